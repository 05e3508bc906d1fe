package gastfreund.app.bookings;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is reserved by a booking, whether it is a hold in a basket or a line of an order.
 *
 * @param time of the guests
 * @param place null where the offer has none
 */
public record Reserved(
        BookingId id,
        OfferId offer,
        Interval time,
        @Nullable PlaceId place,
        LengthId length,
        int units,
        int party,
        Map<AddOnId, Integer> addOns,
        List<StaffId> staff) {

    public Reserved {
        addOns = Map.copyOf(addOns);
        staff = List.copyOf(staff);
    }

    /** The question of which this is an answer, for its own date, with its own time counting as free. */
    public Query query(HouseZone zone, Instant now) {
        LocalDate date = zone.dateOf(time.start());
        return Query.of(offer, date, date, now)
                .withLength(length, units)
                .withParty(party)
                .withAddOns(addOns)
                .withPlace(place)
                .without(Set.of(id));
    }
}
