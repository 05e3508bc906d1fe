package gastfreund.app.lists;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A booking in a list.
 *
 * @param place null where the offer has none
 * @param moves how often it was moved
 * @param notes what the guest wants the house to know
 * @param open what is still to be paid of it
 */
record ListedBooking(
        String id,
        long order,
        OfferId offer,
        Interval time,
        BookingStatus status,
        int party,
        List<StaffId> staff,
        @Nullable PlaceId place,
        int moves,
        Map<AddOnId, Integer> addOns,
        String notes,
        String guest,
        String email,
        String phone,
        String source,
        Money total,
        Money paid,
        Money open) {

    /** What a list comes to. */
    record Sums(int bookings, int people, Money total, Money paid, Money open) {}
}
