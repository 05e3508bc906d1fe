package gastfreund.core.orders;

import static gastfreund.core.bookings.BookingStatus.CANCELLED;
import static gastfreund.core.bookings.BookingStatus.COMPLETED;
import static gastfreund.core.bookings.BookingStatus.CONFIRMED;
import static gastfreund.core.bookings.BookingStatus.DECLINED;
import static gastfreund.core.bookings.BookingStatus.HELD;
import static gastfreund.core.bookings.BookingStatus.LAPSED;
import static gastfreund.core.bookings.BookingStatus.NO_SHOW;
import static gastfreund.core.bookings.BookingStatus.REQUESTED;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.Offer;
import java.util.Map;
import java.util.Set;

/**
 * The steps a booking may take ({@code docs/money.md}, "Orders, payments, holds"). A hold that lapsed has ended, but for
 * one case: money that arrives late takes the place again where it is still free.
 */
public final class BookingSteps {

    private static final Map<BookingStatus, Set<BookingStatus>> NEXT = Map.of(
            HELD, Set.of(REQUESTED, CONFIRMED, CANCELLED, LAPSED),
            REQUESTED, Set.of(CONFIRMED, DECLINED, CANCELLED, LAPSED),
            CONFIRMED, Set.of(COMPLETED, NO_SHOW, CANCELLED),
            COMPLETED, Set.of(),
            NO_SHOW, Set.of(),
            CANCELLED, Set.of(),
            DECLINED, Set.of(),
            LAPSED, Set.of(REQUESTED, CONFIRMED));

    private BookingSteps() {}

    public static boolean allows(BookingStatus from, BookingStatus to) {
        return NEXT.getOrDefault(from, Set.of()).contains(to);
    }

    /**
     * What a hold becomes when its order is placed, before anything is paid; {@code HELD} where it waits for money. What
     * waits for the host's yes waits for the guest's bank first, so that no request blocks a place without any.
     */
    public static BookingStatus whenPlaced(Offer.Confirm confirm, boolean nothingDue) {
        return switch (confirm) {
            case INSTANT -> CONFIRMED;
            case BY_HAND -> nothingDue ? REQUESTED : HELD;
            case ON_PAYMENT -> nothingDue ? CONFIRMED : HELD;
        };
    }

    /** What a hold becomes when what is due now has been paid, or authorised for what waits for the host's yes. */
    public static BookingStatus whenSecured(Offer.Confirm confirm) {
        return confirm == Offer.Confirm.BY_HAND ? REQUESTED : CONFIRMED;
    }
}
