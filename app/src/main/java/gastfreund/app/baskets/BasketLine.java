package gastfreund.app.baskets;

import gastfreund.app.bookings.Hold;
import gastfreund.app.bookings.Reservation;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Links;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.orders.Quote;
import java.time.Instant;

/**
 * A line of a basket: what is reserved, and how long it is held.
 *
 * @param pay where the offer leaves the choice, when the guest pays
 * @param hold its beginning is the instant with which the line is priced
 */
public record BasketLine(Reserved reserved, Hold hold, Quote.Pay pay) implements Reservation {

    public BookingId id() {
        return booking();
    }

    /** When the place goes back (exclusive). */
    public Instant expires() {
        return hold.expires();
    }

    /** The line as a booking that is to be changed. */
    Choice.Moving changing(Links links) {
        return new Choice.Moving(links.basketPage() + "/lines/" + id() + "/change", id(), false, Audience.GUEST);
    }

    /** The line as if its hold were over: what it holds is no longer sold. */
    BasketLine over() {
        return new BasketLine(reserved, hold.over(), pay);
    }

    public boolean isHeld(Instant now) {
        return hold.lasts(now);
    }
}
