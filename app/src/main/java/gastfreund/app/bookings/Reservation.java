package gastfreund.app.bookings;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Something that reserves, such as a line of a basket or of an order, and can be asked for what it reserves. */
public interface Reservation {

    Reserved reserved();

    default BookingId booking() {
        return reserved().id();
    }

    default OfferId offer() {
        return reserved().offer();
    }

    default Interval time() {
        return reserved().time();
    }

    /** Null where the offer has none. */
    default @Nullable PlaceId place() {
        return reserved().place();
    }

    default LengthId length() {
        return reserved().length();
    }

    default int units() {
        return reserved().units();
    }

    default int party() {
        return reserved().party();
    }

    default Map<AddOnId, Integer> addOns() {
        return reserved().addOns();
    }

    default List<StaffId> staff() {
        return reserved().staff();
    }
}
