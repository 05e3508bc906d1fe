package gastfreund.app.bookings;

import java.time.Instant;

/**
 * How long a place is kept that is not yet ordered.
 *
 * @param since when it was kept, or its time last began anew
 * @param expires when it goes back (exclusive)
 * @param first when it was first kept
 * @param renewals how often its time began anew since
 */
public record Hold(Instant since, Instant expires, Instant first, int renewals) {

    /** Kept from now on. */
    public static Hold from(Instant now, Instant until) {
        return new Hold(now, until, now, 0);
    }

    /** Whether it still lasts. */
    public boolean lasts(Instant now) {
        return expires.isAfter(now);
    }

    /** The same, over as soon as it began. */
    public Hold over() {
        return new Hold(since, since, first, renewals);
    }
}
