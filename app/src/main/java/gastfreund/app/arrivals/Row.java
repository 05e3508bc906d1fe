package gastfreund.app.arrivals;

import gastfreund.app.orders.Contact;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a row says.
 *
 * @param number from 1 on
 * @param wish null where it is a guest without a booking, or cannot be read
 * @param wrong why it cannot be taken over, as the names of texts
 */
record Row(int number, Contact contact, @Nullable Wish wish, List<Wrong> wrong) {

    /** @param about what stands in the row */
    record Wrong(String what, String about) {}

    /**
     * A booking.
     *
     * @param start in minutes
     * @param staff null: nobody is named
     * @param place null: the offer's first, or none
     * @param price null: what the house asks
     */
    record Wish(
            Offer offer,
            Length length,
            int units,
            long start,
            int party,
            @Nullable StaffId staff,
            @Nullable PlaceId place,
            @Nullable Money price,
            Money paid) {}
}
