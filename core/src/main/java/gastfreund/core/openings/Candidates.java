package gastfreund.core.openings;

import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Timetable;
import gastfreund.core.time.Days;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;

/** The candidate starts of a situation ({@code docs/openings.md}, "Candidate starts" and "Mode timetable"), ascending. */
final class Candidates {

    private static final long DAY = 1440;

    private Candidates() {}

    /** For each option its starts; the same array for all where the starts do not depend on who serves. */
    static List<long[]> of(Situation situation) {
        if (situation.offer.hasTimetable()) {
            Query query = situation.demand.query();
            return situation.options.stream()
                    .map(option -> occurrences(
                            situation, Objects.requireNonNull(option.way().entry()), query))
                    .toList();
        }
        Starts starts = situation.offer.starts();
        if (starts instanceof Starts.FromWindow window) {
            return situation.options.stream()
                    .map(option -> fromWindows(situation, option, window.every()))
                    .toList();
        }
        int[] minutesOfDay = starts instanceof Starts.At at
                ? at.minutesOfDay().stream().mapToInt(Integer::intValue).toArray()
                : clock((Starts.Clock) starts);
        long[] same = onEveryDate(situation, minutesOfDay);
        return situation.options.stream().map(option -> same).toList();
    }

    /** The occurrences of an entry whose date, by the zone's rules, is among the query's. */
    private static long[] occurrences(Situation situation, Timetable.Entry entry, Query query) {
        HouseZone zone = situation.house.zone();
        return Arrays.stream(entry.startsBetween(query.from().minusDays(1), query.to(), zone))
                .filter(start -> {
                    LocalDate date = zone.dateOf(start);
                    return !date.isBefore(query.from()) && !date.isAfter(query.to());
                })
                .toArray();
    }

    private static int[] clock(Starts.Clock clock) {
        int first = Math.floorMod(clock.offset(), clock.every());
        return IntStream.iterate(first, m -> m < DAY, m -> m + clock.every()).toArray();
    }

    private static long[] onEveryDate(Situation situation, int[] minutesOfDay) {
        Days days = situation.days;
        long[] starts = new long[(situation.lastDay - situation.firstDay + 1) * minutesOfDay.length];
        int n = 0;
        for (int day = situation.firstDay; day <= situation.lastDay; day++) {
            for (int minute : minutesOfDay) {
                if (!days.skips(day, minute)) {
                    starts[n++] = days.at(day, minute);
                }
            }
        }
        long[] exact = n == starts.length ? starts : Arrays.copyOf(starts, n);
        Arrays.sort(exact);
        return exact;
    }

    private static long[] fromWindows(Situation situation, Option option, int every) {
        Days days = situation.days;
        IntervalSet open = option.everyLayer();
        Growing starts = new Growing(situation);
        for (int i = 0; i < open.size(); i++) {
            long start = open.start(i);
            long end = open.end(i);
            if (end - start > DAY) {
                for (int day = days.dayOf(start) + 1; day <= days.count() && days.start(day) < end; day++) {
                    if (days.start(day) > start) {
                        starts.addSteps(start, days.start(day), every);
                        start = days.start(day);
                    }
                }
            }
            starts.addSteps(start, end, every);
        }
        return starts.toArray();
    }

    /** Starts on the query's dates. */
    private static final class Growing {

        private final Situation situation;
        private final long from;
        private final long to;
        private long[] starts = new long[64];
        private int n;

        Growing(Situation situation) {
            this.situation = situation;
            // A clock set back over midnight can put a minute of the asked dates beyond their usual ends.
            this.from = situation.days.start(situation.firstDay) - DAY;
            this.to = situation.days.start(situation.lastDay + 1) + DAY;
        }

        void addSteps(long start, long end, int every) {
            long skipped = start < from ? (from - start + every - 1) / every : 0;
            for (long s = start + skipped * every; s < end && s < to; s += every) {
                int day = situation.days.dayOf(s);
                if (day >= situation.firstDay && day <= situation.lastDay) {
                    if (n == starts.length) {
                        starts = Arrays.copyOf(starts, n * 2);
                    }
                    starts[n++] = s;
                }
            }
        }

        long[] toArray() {
            return Arrays.copyOf(starts, n);
        }
    }
}
