package gastfreund.app.figures;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A booking of which figures are made.
 *
 * @param placed when it was ordered
 * @param code the promo code of its order; empty: none
 * @param earlier whether its guest had come before
 */
record Row(
        String id,
        long order,
        String guest,
        OfferId offer,
        String length,
        Interval time,
        BookingStatus status,
        int party,
        List<StaffId> staff,
        Map<AddOnId, Integer> addOns,
        Instant placed,
        String source,
        String code,
        boolean earlier,
        Earned money) {

    /** Whether it took place, or should have. */
    boolean stood() {
        return status == BookingStatus.CONFIRMED
                || status == BookingStatus.COMPLETED
                || status == BookingStatus.NO_SHOW;
    }
}
