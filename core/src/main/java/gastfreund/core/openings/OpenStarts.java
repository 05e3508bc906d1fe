package gastfreund.core.openings;

import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Bounds;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.Ascending;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * The starts at which an option of an offer that nobody shares is open ({@code docs/openings.md}, "Verdict"), found for all of
 * its candidates together: each rule goes once through them and leaves those against which it has nothing. {@link Rules} says
 * the same of one attempt, with its reasons; what both say is compared in the tests.
 */
final class OpenStarts {

    private final Situation situation;
    private final long earliest;
    private final boolean @Nullable [] dates;
    private long[] common = {};

    private OpenStarts(Situation situation) {
        this.situation = situation;
        this.earliest = earliest(situation);
        this.dates = dates(situation);
    }

    /** For each option its open starts, ascending. */
    static long[][] of(Situation situation, long[][] candidates) {
        OpenStarts open = new OpenStarts(situation);
        long[][] starts = new long[candidates.length][];
        for (int i = 0; i < starts.length; i++) {
            Option option = situation.options.get(i);
            boolean alike = i > 0
                    && candidates[i] == candidates[i - 1]
                    && option.everyLayer().equals(situation.options.get(i - 1).everyLayer());
            if (!alike) {
                open.common = open.whoeverServes(option, candidates[i]);
            }
            starts[i] = open.by(option);
        }
        return starts;
    }

    /** The candidates against which nothing stands but who serves; alike for all who work the same hours. */
    private long[] whoeverServes(Option option, long[] candidates) {
        Ascending starts = Ascending.of(
                option.everyLayer().fitting(candidates, option.way().minutes()));
        starts.dropBefore(earliest);
        if (dates != null) {
            onDates(starts, dates);
        }
        for (Situation.Need need : situation.needs) {
            int needed = need.needs().of(situation.demand.query().party(), false);
            if (needed > 0) {
                need.levels().keepAtMost(need.units() - needed, starts, before(), after(option));
            }
        }
        return starts.toArray();
    }

    private long[] by(Option option) {
        Ascending starts = Ascending.of(common);
        for (Option.Server server : option.serving()) {
            Timeline taken = situation.offer.contested() ? server.fixed() : server.timeline();
            taken.keepFree(starts, before(), after(option));
            boolean[] free = isGuest() ? datesOf(server) : null;
            if (free != null) {
                onDates(starts, free);
            }
        }
        return starts.toArray();
    }

    private long before() {
        return situation.offer.prep().count();
    }

    private long after(Option option) {
        return option.way().minutes().count() + situation.offer.reset().count();
    }

    private boolean isGuest() {
        return situation.demand.query().audience() == Audience.GUEST;
    }

    private static long earliest(Situation situation) {
        if (situation.demand.query().audience() != Audience.GUEST) {
            return Long.MIN_VALUE;
        }
        Instant now = situation.demand.query().now();
        Instant allowed = now.plusSeconds(situation.offer.bounds().notice().count() * 60);
        return Math.max(Interval.firstMinuteFrom(now), Interval.firstMinuteFrom(allowed));
    }

    /** On which of the situation's days something can be had, whoever serves; null: on all. */
    private static boolean @Nullable [] dates(Situation situation) {
        OptionalInt horizon = situation.offer.bounds().horizonDays();
        LocalDate last = horizon.isEmpty()
                ? LocalDate.MAX
                : situation.house.zone().dateOf(situation.demand.query().now()).plusDays(horizon.getAsInt());
        boolean[] dates = new boolean[situation.days.count()];
        Arrays.fill(dates, true);
        boolean all = true;
        for (int day = situation.firstDay; day <= situation.lastDay; day++) {
            dates[day] = isPossible(situation, day, last);
            all &= dates[day];
        }
        return all ? null : dates;
    }

    /** @param last the horizon's last date (inclusive) */
    private static boolean isPossible(Situation situation, int day, LocalDate last) {
        LocalDate date = situation.days.date(day);
        if (situation.house.hours().closedOn(date)) {
            return false;
        }
        if (situation.demand.query().audience() != Audience.GUEST) {
            return true;
        }
        Bounds bounds = situation.offer.bounds();
        OptionalInt perDay = bounds.perDay();
        OptionalInt minutesPerDay = bounds.minutesPerDay();
        long minutes = situation.demand.longest().count();
        return !date.isAfter(last)
                && bounds.inSeason(date)
                && (perDay.isEmpty() || situation.taken.sessionsOn(day) < perDay.getAsInt())
                && (minutesPerDay.isEmpty() || situation.taken.minutesOn(day) + minutes <= minutesPerDay.getAsInt());
    }

    /** On which of the situation's days somebody may serve once more; null: on all. */
    private static boolean @Nullable [] datesOf(Option.Server server) {
        int[] sessions = server.sessions();
        if (sessions == null) {
            return null;
        }
        boolean[] dates = new boolean[sessions.length];
        boolean all = true;
        for (int day = 0; day < dates.length; day++) {
            dates[day] = sessions[day] < server.most();
            all &= dates[day];
        }
        return all ? null : dates;
    }

    private void onDates(Ascending starts, boolean[] dates) {
        int day = situation.firstDay;
        starts.begin();
        for (int i = 0; i < starts.size(); i++) {
            day = situation.days.dayOf(starts.get(i), day);
            starts.keep(i, dates[day]);
        }
        starts.end();
    }
}
