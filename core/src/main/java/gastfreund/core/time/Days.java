package gastfreund.core.time;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;

/**
 * Some consecutive local dates of a zone, counted from 0, with the quick way from a time of day to its minute: the
 * zone's rules are only asked for dates on or beside which the clock is changed.
 */
public final class Days {

    private final HouseZone zone;
    private final LocalDate first;
    private final int count;
    /** One more date than counted, so that a night that runs on past the last date keeps to the zone's rules. */
    private final long[] starts;

    private final boolean[] changes;

    private Days(HouseZone zone, LocalDate first, int count) {
        this.zone = zone;
        this.first = first;
        this.count = count;
        this.starts = new long[count + 2];
        for (int day = 0; day < starts.length; day++) {
            starts[day] = zone.startOf(first.plusDays(day));
        }
        this.changes = new boolean[count + 1];
        for (int day = 0; day < changes.length; day++) {
            changes[day] = starts[day + 1] - starts[day] != 1440 || changesBetween(starts[day], starts[day + 1]);
        }
    }

    /**
     * The dates from {@code first} to {@code last}, both inclusive.
     *
     * @throws IllegalArgumentException where {@code last} is before {@code first}
     */
    public static Days between(HouseZone zone, LocalDate first, LocalDate last) {
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("the last date " + last + " is before the first " + first);
        }
        return new Days(zone, first, Math.toIntExact(ChronoUnit.DAYS.between(first, last)) + 1);
    }

    private boolean changesBetween(long from, long to) {
        var next = zone.id().getRules().nextTransition(Interval.instantOf(from).minusSeconds(1));
        return next != null && next.getInstant().isBefore(Interval.instantOf(to));
    }

    /** How many dates there are. */
    public int count() {
        return count;
    }

    /** The date at an index, from 0 to {@link #count()} (inclusive: the date after the last). */
    public LocalDate date(int day) {
        return first.plusDays(day);
    }

    /** The index of a date; outside {@code 0 … count()-1} for a date that is not among them. */
    public int indexOf(LocalDate date) {
        return Math.toIntExact(ChronoUnit.DAYS.between(first, date));
    }

    /** The minute at which the date at {@code day} begins, {@code day} from 0 to {@link #count()} inclusive. */
    public long start(int day) {
        return starts[day];
    }

    /** From the start of the first date (inclusive) to the end of the last (exclusive). */
    public Interval span() {
        return Interval.between(starts[0], starts[count]);
    }

    /**
     * The minute of a time of day, by the zone's rules.
     *
     * @param day 0 to {@link #count()} (inclusive: the date after the last)
     * @param minuteOfDay 0 to 1440 (inclusive: midnight at the end of the date)
     */
    public long at(int day, int minuteOfDay) {
        if (minuteOfDay == 1440) {
            return starts[day + 1];
        }
        return changes[day] ? zone.minuteOf(local(day, minuteOfDay)) : starts[day] + minuteOfDay;
    }

    /** Whether the clock skips that time of day on that date; {@code minuteOfDay} is 0 to 1439. */
    public boolean skips(int day, int minuteOfDay) {
        return changes[day] && zone.skips(local(day, minuteOfDay));
    }

    /** The index of the date of a minute; outside {@code 0 … count()-1} for a minute outside these dates. */
    public int dayOf(long minute) {
        int found = Arrays.binarySearch(starts, minute);
        int day = found >= 0 ? found : -found - 2;
        boolean nearChange = day < 0 || day >= count || changes[day] || (day > 0 && changes[day - 1]);
        return nearChange ? indexOf(zone.dateOf(minute)) : day;
    }

    private LocalDateTime local(int day, int minuteOfDay) {
        return date(day).atTime(LocalTime.MIDNIGHT).plusMinutes(minuteOfDay);
    }
}
