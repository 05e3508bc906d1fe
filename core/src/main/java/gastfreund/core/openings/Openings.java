package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Sharing;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Answers queries: what can be booked, and why the rest cannot ({@code docs/openings.md}). Both answers are the same
 * computation; the one for openings stops at the first reason against an option, the first of all being that it lies
 * outside the hours, and drops what is not open.
 */
public final class Openings {

    private final Situation situation;
    private final boolean explain;
    private final boolean withinHours;
    private final Rule[] rules;
    private final Reasons[] reasons;

    private Openings(Situation situation, boolean explain) {
        this.situation = situation;
        this.explain = explain;
        this.withinHours = !explain && !situation.offer.hasTimetable();
        this.rules = Rules.of(situation, withinHours).toArray(Rule[]::new);
        this.reasons = situation.options.stream()
                .map(o -> explain ? Reasons.all() : Reasons.first())
                .toArray(Reasons[]::new);
    }

    /**
     * The openings: every entry has at least one option, and every option is open.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Answer openings(House house, Booked booked, Query query) {
        return answer(house, booked, query, false);
    }

    /**
     * Every candidate with its options and all the reasons against them.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Answer explain(House house, Booked booked, Query query) {
        return answer(house, booked, query, true);
    }

    /**
     * The stretch in which the time of a booking's guests, or of a busy entry, can matter to a query; empty where the
     * query is refused, since then nothing does.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Interval reach(House house, Query query) {
        if (!(Demand.check(house, offerOf(house, query), query) instanceof Demand.Fits fits)) {
            return Interval.between(0, 0);
        }
        Demand demand = fits.demand();
        Minutes mostPrep = Minutes.of(Taken.most(house, Offer::prep));
        Minutes mostReset = Minutes.of(Taken.most(house, Offer::reset));
        return Interval.between(
                        house.zone().startOf(query.from()),
                        house.zone().startOf(query.to().plusDays(1)))
                .widened(
                        demand.offer().prep(),
                        demand.longest().plus(demand.offer().reset()))
                .widened(mostReset.plus(Minutes.of(Taken.longestSession(house))), mostPrep);
    }

    private static Offer offerOf(House house, Query query) {
        return house.offer(query.offer())
                .orElseThrow(() -> new IllegalArgumentException("the house has no offer " + query.offer()));
    }

    private static Answer answer(House house, Booked booked, Query query, boolean explain) {
        Demand.Checked checked = Demand.check(house, offerOf(house, query), query);
        if (checked instanceof Demand.Refused refused) {
            return Answer.refused(refused.refusal());
        }
        Situation situation = Situation.of(house, booked, ((Demand.Fits) checked).demand());
        return new Answer(null, new Openings(situation, explain).entries());
    }

    private List<Answer.Entry> entries() {
        long[][] starts = starts();
        List<Answer.Entry> entries = new ArrayList<>();
        int[] next = new int[starts.length];
        Attempt[] attempts = new Attempt[starts.length];
        for (long start = earliest(starts, next); start != Long.MAX_VALUE; start = earliest(starts, next)) {
            int day = situation.days.dayOf(start);
            for (int i = 0; i < attempts.length; i++) {
                attempts[i] = null;
                if (next[i] < starts[i].length && starts[i][next[i]] == start) {
                    next[i]++;
                    attempts[i] = situation.attempt(situation.options.get(i), start, day);
                }
            }
            judge(attempts);
            for (long end = firstEnd(attempts, start); end != Long.MAX_VALUE; end = firstEnd(attempts, end)) {
                List<Answer.Judged> judged = judged(attempts, end);
                if (!judged.isEmpty()) {
                    entries.add(new Answer.Entry(Interval.between(start, end), judged));
                }
            }
        }
        return entries;
    }

    /** The candidate starts of each option; where only openings are asked for, without those outside its hours. */
    private long[][] starts() {
        long[][] starts = Candidates.of(situation).toArray(long[][]::new);
        for (int i = 0; i < starts.length && withinHours; i++) {
            // A stretch lies inside each layer exactly where it lies inside what all of them have in common.
            Option option = situation.options.get(i);
            starts[i] = option.everyLayer().fitting(starts[i], option.way().minutes());
        }
        return starts;
    }

    /** The first end after {@code after} that an attempt has; sessions of a timetable may start together. */
    private static long firstEnd(Attempt[] attempts, long after) {
        long first = Long.MAX_VALUE;
        for (Attempt attempt : attempts) {
            if (attempt != null && attempt.end() > after) {
                first = Math.min(first, attempt.end());
            }
        }
        return first;
    }

    private static long earliest(long[][] starts, int[] next) {
        long earliest = Long.MAX_VALUE;
        for (int i = 0; i < next.length; i++) {
            if (next[i] < starts[i].length) {
                earliest = Math.min(earliest, starts[i][next[i]]);
            }
        }
        return earliest;
    }

    private void judge(Attempt[] attempts) {
        boolean joinedOpen = false;
        for (int i = 0; i < attempts.length; i++) {
            if (attempts[i] != null) {
                Reasons against = reasons[i];
                against.clear();
                for (int r = 0; r < rules.length && !against.enough(); r++) {
                    rules[r].check(attempts[i], against);
                }
                joinedOpen |= attempts[i].joined() != null && against.none();
            }
        }
        if (joinedOpen && situation.offer.sharing().fill() == Sharing.Fill.FIRST) {
            for (int i = 0; i < attempts.length; i++) {
                if (attempts[i] != null && attempts[i].joined() == null) {
                    reasons[i].add(new Reason.Fill());
                }
            }
        }
    }

    private List<Answer.Judged> judged(Attempt[] attempts, long end) {
        List<Answer.Judged> judged = new ArrayList<>();
        for (int i = 0; i < attempts.length; i++) {
            if (attempts[i] != null && attempts[i].end() == end && (explain || reasons[i].none())) {
                Verdict verdict = reasons[i].none() ? open(attempts[i]) : new Verdict.Against(reasons[i].list());
                judged.add(new Answer.Judged(
                        attempts[i].option().staff(), attempts[i].option().way().place(), verdict));
            }
        }
        return judged;
    }

    private Verdict open(Attempt attempt) {
        return new Verdict.Open(situation.left(attempt), situation.price(attempt), contested(attempt));
    }

    /** Whether only the offer's being contested keeps bookings from standing against the attempt. */
    private boolean contested(Attempt attempt) {
        return situation.offer.contested()
                && !situation.offer.hasTimetable()
                && Arrays.stream(attempt.option().serving()).anyMatch(s -> s.timeline()
                        .taken(situation.takenFrom(attempt), situation.takenTo(attempt), attempt.joined()));
    }
}
