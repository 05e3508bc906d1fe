package gastfreund.core.time;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * When consecutive local dates of a zone begin, and on which of them the clock is changed. The tables of zones are kept, since
 * every query asks for almost the same dates; one for dates that lie far apart from the rest is made and forgotten.
 */
final class Midnights {

    /** So many dates of a zone are kept at most. */
    private static final int MOST = 2200;

    /** What is made beyond what was asked for, in dates before and after. */
    private static final int BEFORE = 14;

    private static final int AFTER = 120;
    private static final Map<ZoneId, Midnights> KEPT = new ConcurrentHashMap<>();

    private final long first;
    private final long[] starts;
    private final boolean[] changes;

    private Midnights(HouseZone zone, long first, int count) {
        this.first = first;
        this.starts = new long[count + 1];
        for (int day = 0; day < starts.length; day++) {
            starts[day] = zone.startOf(LocalDate.ofEpochDay(first + day));
        }
        this.changes = new boolean[count];
        for (int day = 0; day < count; day++) {
            changes[day] = starts[day + 1] - starts[day] != 1440 || changesBetween(zone, starts[day], starts[day + 1]);
        }
    }

    private static boolean changesBetween(HouseZone zone, long from, long to) {
        var next = zone.id().getRules().nextTransition(Interval.instantOf(from).minusSeconds(1));
        return next != null && next.getInstant().isBefore(Interval.instantOf(to));
    }

    /** A table that has so many dates from an epoch day on. */
    static Midnights of(HouseZone zone, long first, int count) {
        Midnights kept = KEPT.get(zone.id());
        if (kept != null && kept.has(first, count)) {
            return kept;
        }
        long from = first - BEFORE;
        long to = first + count + AFTER;
        if (kept != null && Math.max(to, kept.end()) - Math.min(from, kept.first) <= MOST) {
            from = Math.min(from, kept.first);
            to = Math.max(to, kept.end());
        }
        if (to - from > MOST) {
            return new Midnights(zone, first, count);
        }
        Midnights wider = new Midnights(zone, from, (int) (to - from));
        KEPT.put(zone.id(), wider);
        return wider;
    }

    private long end() {
        return first + changes.length;
    }

    private boolean has(long from, int count) {
        return from >= first && from + count <= end();
    }

    /** The index of an epoch day in the table. */
    int indexOf(long epochDay) {
        return (int) (epochDay - first);
    }

    /** The minute at which the date at an index begins; also of the date after the last. */
    long start(int index) {
        return starts[index];
    }

    /** Whether the clock is changed on the date at an index, or it has not 1,440 minutes. */
    boolean changes(int index) {
        return changes[index];
    }

    /** The index of the last of some dates that begins at or before a minute; {@code from - 1} where none does. */
    int lastAtOrBefore(long minute, int from, int to) {
        int low = from;
        int high = to;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            if (starts[middle] <= minute) {
                low = middle + 1;
            } else {
                high = middle - 1;
            }
        }
        return high;
    }
}
