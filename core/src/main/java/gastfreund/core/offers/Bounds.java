package gastfreund.core.offers;

import gastfreund.core.time.Minutes;
import java.time.LocalDate;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * How soon, how far ahead, between which dates and how often an offer can be booked by guests.
 *
 * @param notice the least time between now and the start
 * @param horizonDays how many dates after today's; empty means any
 * @param seasonFrom the first date (inclusive); null means no first
 * @param seasonTo the last date (inclusive); null means no last
 * @param perDay sessions that may start on a date; empty means any
 * @param minutesPerDay minutes of sessions that may start on a date; empty means any
 */
public record Bounds(
        Minutes notice,
        OptionalInt horizonDays,
        @Nullable LocalDate seasonFrom,
        @Nullable LocalDate seasonTo,
        OptionalInt perDay,
        OptionalInt minutesPerDay) {

    /** Any time. */
    public static Bounds none() {
        return new Bounds(Minutes.ZERO, OptionalInt.empty(), null, null, OptionalInt.empty(), OptionalInt.empty());
    }

    /** The same bounds with another notice. */
    public Bounds with(Minutes otherNotice) {
        return new Bounds(otherNotice, horizonDays, seasonFrom, seasonTo, perDay, minutesPerDay);
    }

    /** Whether the season has the date. */
    public boolean inSeason(LocalDate date) {
        return (seasonFrom == null || !date.isBefore(seasonFrom)) && (seasonTo == null || !date.isAfter(seasonTo));
    }
}
