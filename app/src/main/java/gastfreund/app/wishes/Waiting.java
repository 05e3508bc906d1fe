package gastfreund.app.wishes;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.wishes.Wish;
import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A wish with whose it is and what has become of it. Its id is the token of its page.
 *
 * @param guest a name
 * @param source from where its guest came; empty: nobody knows
 * @param turn the lower, the sooner
 * @param offered null unless something is kept for it, or was
 */
record Waiting(
        Wish wish,
        String guest,
        String email,
        Locale language,
        String source,
        Instant made,
        long turn,
        State state,
        @Nullable Offered offered) {

    /**
     * What is kept for a wish.
     *
     * @param until when it goes back (exclusive)
     */
    record Offered(String basket, BookingId booking, Instant until) {}

    /** What has become of a wish. */
    enum State {
        WAITING,
        /** Something is kept for it. */
        OFFERED,
        /** What was kept for it was ordered. */
        TAKEN,
        /** What was kept for it was not ordered in time, or given back. */
        LAPSED,
        /** Its guest, or the house, has taken it off the list. */
        LEFT,
        /** Its dates are over. */
        OVER;

        String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    String token() {
        return wish.id();
    }
}
