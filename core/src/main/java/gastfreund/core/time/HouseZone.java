package gastfreund.core.time;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;

/**
 * The house's time zone, and how local dates and times become moments in it ({@code docs/openings.md}, "Time"): a time
 * that occurs twice means the earlier one, a time that the clock skips is moved later by the length of the skip.
 *
 * @param id the zone's name in the tz database
 */
public record HouseZone(ZoneId id) {

    /**
     * @throws java.time.DateTimeException where there is no zone of that name
     */
    public static HouseZone of(String name) {
        return new HouseZone(ZoneId.of(name));
    }

    /** The minute at which a local date and time begins. */
    public long minuteOf(LocalDateTime local) {
        return Math.floorDiv(ZonedDateTime.ofLocal(local, id, null).toEpochSecond(), 60L);
    }

    /** The minute at which a local date begins. */
    public long startOf(LocalDate date) {
        return minuteOf(date.atTime(LocalTime.MIDNIGHT));
    }

    /** Whether the clock skips this local date and time. */
    public boolean skips(LocalDateTime local) {
        return id.getRules().getValidOffsets(local).isEmpty();
    }

    /** The local date of an instant. */
    public LocalDate dateOf(Instant instant) {
        return instant.atZone(id).toLocalDate();
    }

    /** The local date of a minute. */
    public LocalDate dateOf(long minute) {
        return dateOf(Interval.instantOf(minute));
    }

    /** The local date and time of a minute. */
    public LocalDateTime localOf(long minute) {
        return Interval.instantOf(minute).atZone(id).toLocalDateTime();
    }

    /** The minute with the house's offset, as answers print it. */
    public OffsetDateTime offsetOf(long minute) {
        return Interval.instantOf(minute).atZone(id).toOffsetDateTime();
    }
}
