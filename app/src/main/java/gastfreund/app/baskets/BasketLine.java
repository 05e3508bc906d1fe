package gastfreund.app.baskets;

import gastfreund.app.bookings.Hold;
import gastfreund.app.bookings.Reservation;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Links;
import gastfreund.app.visits.Visit;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.orders.Quote;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A line of a basket: what is reserved, and how long it is held.
 *
 * @param pay where the offer leaves the choice, when the guest pays
 * @param hold its beginning is the instant with which the line is priced
 * @param visit the guest's address, where it takes place there; null: it does not, or the guest has not said
 */
public record BasketLine(Reserved reserved, Hold hold, Quote.Pay pay, @Nullable Visit visit) implements Reservation {

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
        return new BasketLine(reserved, hold.over(), pay, visit);
    }

    public boolean isHeld(Instant now) {
        return hold.lasts(now);
    }
}
