package gastfreund.app.board;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Clash;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the engine says of the board's days.
 *
 * @param busy when those who serve are busy elsewhere
 * @param clashes what no longer fits
 * @param reasons why, in words, by the ids of bookings
 * @param levels what changes in how many units are taken, by the minute at which it does
 * @param timetabled the sessions of timetables, booked or not
 * @param free what can be sold of each person's time
 * @param sold what can be sold of offers that nobody serves
 */
record BoardFacts(
        Map<StaffId, IntervalSet> busy,
        List<Clash> clashes,
        Map<String, String> reasons,
        Map<ResourceId, Map<Long, Integer>> levels,
        List<Session> timetabled,
        Map<StaffId, List<Start>> free,
        Map<OfferId, List<Start>> sold) {

    /** What lies between two openings and is too short for anything: they are one stretch then, in minutes. */
    private static final int BRIDGED = 15;

    /** An opening. */
    record Start(Interval time, Money price) {}

    /** At how many moments something can be had in a lane, and the least that it costs. */
    static int moments(List<Start> starts) {
        Set<Long> moments = new HashSet<>();
        starts.forEach(s -> moments.add(s.time().start()));
        return moments.size();
    }

    static Money least(List<Start> starts) {
        return starts.stream().map(Start::price).min(Money::compareTo).orElse(Money.ZERO);
    }

    /**
     * The starts that make up each stretch that can be sold without a break.
     *
     * @param taken what is no gap
     */
    static Map<Interval, List<Start>> stretches(List<Start> starts, IntervalSet taken) {
        IntervalSet bridged = IntervalSet.union(starts.stream()
                .map(s -> Interval.between(s.time().start(), s.time().end() + BRIDGED))
                .toList());
        List<Interval> covered = bridged.intervals().stream()
                .map(i -> Interval.between(i.start(), i.end() - BRIDGED))
                .toList();
        Map<Interval, List<Start>> stretches = new LinkedHashMap<>();
        for (Interval stretch : IntervalSet.union(covered).without(taken).intervals()) {
            List<Start> inside =
                    starts.stream().filter(s -> stretch.encloses(s.time())).toList();
            if (!inside.isEmpty()) {
                stretches.put(stretch, inside);
            }
        }
        return stretches;
    }
}
