package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Sharing;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Answers queries: what can be booked, and why the rest cannot ({@code docs/openings.md}). All answers are the same
 * computation; those without all reasons stop at the first one against an option, the first of all being that it lies
 * outside the hours, and the one for openings drops what is not open.
 */
public final class Openings {

    /** What is answered with. */
    private enum Told {
        /** Nothing but what is open. */
        OPENINGS,
        /** What lies within hours, and of what stands against it the first. */
        FIRST_REASONS,
        /** Every candidate and all that stands against it. */
        ALL_REASONS
    }

    private final Situation situation;
    private final Told told;
    private final boolean withinHours;

    private final Rules.Rule[] rules;

    /** For each option what is judged of it, whether it has the start that is looked at, and what stands against it there. */
    private final Attempt[] attempts;

    private final boolean[] here;
    private final Reasons[] reasons;

    private Openings(Situation situation, Told told) {
        this.situation = situation;
        this.told = told;
        this.withinHours = told != Told.ALL_REASONS && !situation.offer.hasTimetable();
        this.rules = Rules.of(situation, withinHours).toArray(Rules.Rule[]::new);
        this.reasons = situation.options.stream()
                .map(o -> told == Told.ALL_REASONS ? Reasons.all() : Reasons.first())
                .toArray(Reasons[]::new);
        this.attempts = situation.options.stream().map(Attempt::new).toArray(Attempt[]::new);
        this.here = new boolean[attempts.length];
    }

    /**
     * The openings: every entry has at least one option, and every option is open.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Answer openings(House house, Booked booked, Query query) {
        return answer(house, booked, query, Told.OPENINGS);
    }

    /**
     * Every candidate with its options and all the reasons against them.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Answer explain(House house, Booked booked, Query query) {
        return answer(house, booked, query, Told.ALL_REASONS);
    }

    /**
     * Every candidate that lies within the hours of one of its options, with these options and the first reason against each
     * that is not open; of a timetable every session, whatever the hours.
     *
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Answer firstReasons(House house, Booked booked, Query query) {
        return answer(house, booked, query, Told.FIRST_REASONS);
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
        return Interval.between(
                        house.zone().startOf(query.from()),
                        house.zone().startOf(query.to().plusDays(1)))
                .widened(
                        demand.offer().prep(),
                        demand.longest().plus(demand.offer().reset()))
                .widened(house.mostReset().plus(house.longestSession()), house.mostPrep());
    }

    private static Offer offerOf(House house, Query query) {
        return house.offer(query.offer())
                .orElseThrow(() -> new IllegalArgumentException("the house has no offer " + query.offer()));
    }

    private static Answer answer(House house, Booked booked, Query query, Told told) {
        Demand.Checked checked = Demand.check(house, offerOf(house, query), query);
        if (checked instanceof Demand.Refused refused) {
            return Answer.refused(refused.refusal());
        }
        Situation situation = Situation.of(house, booked, ((Demand.Fits) checked).demand());
        // Where no session decides about them, all candidates of an option are judged together.
        boolean together = told == Told.OPENINGS
                && !situation.offer.hasTimetable()
                && !situation.offer.sharing().shared();
        return new Answer(null, together ? OpenEntries.of(situation) : new Openings(situation, told).entries());
    }

    private List<Answer.Entry> entries() {
        long[][] starts = withinHours(Candidates.of(situation).toArray(long[][]::new));
        List<Answer.Entry> entries = new ArrayList<>();
        int[] next = new int[starts.length];
        int day = situation.firstDay;
        for (long start = OpenEntries.earliest(starts, next);
                start != Long.MAX_VALUE;
                start = OpenEntries.earliest(starts, next)) {
            day = situation.days.dayOf(start, day);
            for (int i = 0; i < attempts.length; i++) {
                here[i] = next[i] < starts[i].length && starts[i][next[i]] == start;
                if (here[i]) {
                    next[i]++;
                    attempts[i].goTo(start, day, situation.joined(attempts[i].option(), start));
                }
            }
            judge();
            for (long end = firstEnd(start); end != Long.MAX_VALUE; end = firstEnd(end)) {
                List<Answer.Judged> judged = judged(end);
                if (!judged.isEmpty()) {
                    entries.add(new Answer.Entry(Interval.between(start, end), judged));
                }
            }
        }
        return entries;
    }

    /** The candidate starts of each option; unless every reason is asked for, without those outside its hours. */
    private long[][] withinHours(long[][] candidates) {
        if (!withinHours) {
            return candidates;
        }
        long[][] starts = new long[candidates.length][];
        for (int i = 0; i < starts.length; i++) {
            // A stretch lies inside each layer exactly where it lies inside what all of them have in common.
            Option option = situation.options.get(i);
            starts[i] = option.everyLayer().fitting(candidates[i], option.way().minutes());
        }
        return starts;
    }

    /** The first end after {@code after} that an attempt has; sessions of a timetable may start together. */
    private long firstEnd(long after) {
        long first = Long.MAX_VALUE;
        for (int i = 0; i < attempts.length; i++) {
            if (here[i] && attempts[i].end() > after) {
                first = Math.min(first, attempts[i].end());
            }
        }
        return first;
    }

    private void judge() {
        boolean joinedOpen = false;
        for (int i = 0; i < attempts.length; i++) {
            if (here[i]) {
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
                if (here[i] && attempts[i].joined() == null && !reasons[i].enough()) {
                    reasons[i].add(new Reason.Fill());
                }
            }
        }
    }

    private List<Answer.Judged> judged(long end) {
        Answer.Judged[] judged = new Answer.Judged[attempts.length];
        int n = 0;
        for (int i = 0; i < attempts.length; i++) {
            if (here[i] && attempts[i].end() == end && (told != Told.OPENINGS || reasons[i].none())) {
                judged[n++] = judged(i);
            }
        }
        return n == 0 ? List.of() : List.of(n == judged.length ? judged : Arrays.copyOf(judged, n));
    }

    private Answer.Judged judged(int option) {
        Demand.Way way = attempts[option].option().way();
        Reasons against = reasons[option];
        return new Answer.Judged(
                way.staff(),
                way.place(),
                against.none() ? open(attempts[option]) : new Verdict.Against(against.list()));
    }

    private Verdict open(Attempt attempt) {
        return new Verdict.Open(situation.left(attempt), situation.price(attempt), situation.contested(attempt));
    }
}
