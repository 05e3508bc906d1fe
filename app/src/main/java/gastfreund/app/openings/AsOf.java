package gastfreund.app.openings;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.core.offers.House;
import java.time.Instant;

/**
 * As of when something was worked out of what can be had: it holds until the house, a booking or the minute is another.
 *
 * @param version of what takes time
 * @param minute since the epoch
 */
public record AsOf(House house, long version, long minute) {

    private static final int MINUTE = 60;

    /** To be asked before the bookings are read: one that comes meanwhile makes it another. */
    public static AsOf of(House house, BookingChanges changes, Instant now) {
        return new AsOf(house, changes.version(), now.getEpochSecond() / MINUTE);
    }
}
