package gastfreund.app.checkout;

import gastfreund.app.orders.Order;
import gastfreund.core.bookings.BookingId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What became of a wish to order a basket. */
public sealed interface Placed {

    /**
     * It is an order now.
     *
     * @param payment the payment that is wanted; null where nothing is due
     */
    record Done(Order order, @Nullable String payment) implements Placed {}

    /** These lines cannot be had; nothing was charged, and the rest of the basket stays. */
    record NotToBeHad(List<BookingId> lines) implements Placed {}

    /** It costs something else by now than the guest was shown; nothing was ordered. */
    record Changed() implements Placed {}

    /** The page's seal has served before. */
    record Stale() implements Placed {}

    /** Enough places wait for a transfer of this guest already; nothing was ordered. */
    record TooManyTransfers() implements Placed {}

    /** This guest has used the promo code as often as one can; nothing was ordered. */
    record CodeUsed(String code) implements Placed {}

    /** Of what is bought there is not so much any more; nothing was ordered. */
    record SoldOut() implements Placed {}

    /** Something takes place at the guest's address, which nobody knows; nothing was ordered. */
    record NoAddress() implements Placed {}

    /** There is nothing in the basket. */
    record Empty() implements Placed {}
}
