package gastfreund.app.orders;

import gastfreund.app.bookings.Reservation;
import gastfreund.app.bookings.Reserved;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.orders.Sold;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A line of an order: what is reserved, and what it was sold as and cost when it was placed.
 *
 * @param covered what a pass pays for, beside the total
 * @param waived what the house gave back although the booking stands, and does not ask for again
 * @param floor what earlier moves by the guest keep of it at least
 * @param visitsKept whether earlier moves have used up the visits that a pass paid
 * @param paid what the house has of it: paid, less what was decided to go back
 * @param expires when the hold ends (exclusive); null where it is none
 * @param came whether its guests came, as a code; empty: nobody noted that
 * @param balanceDue when the balance falls due; null where there is none
 */
public record OrderLine(
        Reserved reserved,
        BookingStatus status,
        @Nullable Instant expires,
        String came,
        Money discount,
        Money covered,
        Money total,
        Money deposit,
        Money waived,
        Money floor,
        boolean visitsKept,
        Money paid,
        Money dueNow,
        Money balance,
        @Nullable LocalDate balanceDue,
        Sold sold)
        implements Reservation {

    /** What is asked for it altogether: its total, less what was waived. */
    public Money asked() {
        return askedAt(total);
    }

    /** What would be asked for it altogether at another total. */
    public Money askedAt(Money other) {
        return other.minus(waived).notBelowZero();
    }

    /** What is still to be paid of it, now or later; nothing where it does not stand, or nobody came. */
    public Money unpaid() {
        return stands() && isCollected() ? asked().minus(paid).notBelowZero() : Money.ZERO;
    }

    /** What is still to be paid of what is due with the order; nothing where nobody came. */
    public Money open() {
        return isCollected() ? dueNow.minus(waived).minus(paid).notBelowZero() : Money.ZERO;
    }

    /** What is kept of a no-show beyond what was paid is not collected ({@code docs/money.md}, "Terms"). */
    private boolean isCollected() {
        return status != BookingStatus.NO_SHOW;
    }

    /** Whether its place is kept without having been booked. */
    public boolean isHeld(Instant now) {
        return status == BookingStatus.HELD && expires != null && expires.isAfter(now);
    }

    /** Whether it can still be cancelled. */
    public boolean canBeCancelled() {
        return status == BookingStatus.REQUESTED || status == BookingStatus.CONFIRMED;
    }

    /** Whether the booking stands, or waits to. */
    public boolean stands() {
        return switch (status) {
            case HELD, REQUESTED, CONFIRMED, COMPLETED, NO_SHOW -> true;
            case CANCELLED, DECLINED, LAPSED -> false;
        };
    }
}
