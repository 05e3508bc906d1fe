package gastfreund.core.time;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;

/**
 * Some consecutive local dates of a zone, counted from 0, with the quick way from a time of day to its minute: the
 * zone's rules are only asked for dates on or beside which the clock is changed.
 */
public final class Days {

    private final HouseZone zone;
    private final LocalDate first;
    private final int count;
    private final Midnights midnights;

    /** Where the first date stands among the midnights, which reach two dates farther than is counted. */
    private final int offset;

    private Days(HouseZone zone, LocalDate first, int count) {
        this.zone = zone;
        this.first = first;
        this.count = count;
        this.midnights = Midnights.of(zone, first.toEpochDay(), count + 1);
        this.offset = midnights.indexOf(first.toEpochDay());
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

    /** The zone whose dates they are. */
    public HouseZone zone() {
        return zone;
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
        return midnights.start(offset + day);
    }

    /** From the start of the first date (inclusive) to the end of the last (exclusive). */
    public Interval span() {
        return Interval.between(start(0), start(count));
    }

    /**
     * The minute of a time of day, by the zone's rules.
     *
     * @param day 0 to {@link #count()} (inclusive: the date after the last)
     * @param minuteOfDay 0 to 1440 (inclusive: midnight at the end of the date)
     */
    public long at(int day, int minuteOfDay) {
        if (minuteOfDay == 1440) {
            return start(day + 1);
        }
        return changes(day) ? zone.minuteOf(local(day, minuteOfDay)) : start(day) + minuteOfDay;
    }

    /** Whether the clock skips that time of day on that date; {@code minuteOfDay} is 0 to 1439. */
    public boolean skips(int day, int minuteOfDay) {
        return changes(day) && zone.skips(local(day, minuteOfDay));
    }

    /** The index of the date of a minute; outside {@code 0 … count()-1} for a minute outside these dates. */
    public int dayOf(long minute) {
        return confirmed(midnights.lastAtOrBefore(minute, offset, offset + count + 1) - offset, minute);
    }

    /** The same, quicker where the date lies at or soon after another: {@code near} is that one's index. */
    public int dayOf(long minute, int near) {
        if (near < 0 || near > count || minute < start(near)) {
            return dayOf(minute);
        }
        int day = near;
        while (day <= count && minute >= start(day + 1)) {
            day++;
        }
        return confirmed(day, minute);
    }

    private int confirmed(int day, long minute) {
        boolean nearChange = day < 0 || day >= count || changes(day) || (day > 0 && changes(day - 1));
        return nearChange ? indexOf(zone.dateOf(minute)) : day;
    }

    private boolean changes(int day) {
        return midnights.changes(offset + day);
    }

    private LocalDateTime local(int day, int minuteOfDay) {
        return date(day).atTime(LocalTime.MIDNIGHT).plusMinutes(minuteOfDay);
    }
}
