package gastfreund.app.baskets;

import gastfreund.app.house.Links;
import gastfreund.app.openings.Choice;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.Quote;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A line of a basket: a booking that is held.
 *
 * @param place null where the offer has none
 * @param addOns quantities by add-on
 * @param pay where the offer leaves the choice, when the guest pays
 * @param heldSince the instant with which the line is priced
 * @param expires when the place goes back (exclusive)
 * @param firstHeld when the hold first began
 * @param renewals how often its time began anew since
 */
public record BasketLine(
        BookingId id,
        OfferId offer,
        Interval time,
        PlaceId place,
        LengthId length,
        int units,
        int party,
        Map<AddOnId, Integer> addOns,
        List<StaffId> staff,
        Quote.Pay pay,
        Instant heldSince,
        Instant expires,
        Instant firstHeld,
        int renewals) {

    /** The line as a booking that is to be changed. */
    Choice.Moving changing(Links links) {
        return new Choice.Moving(links.basketPage() + "/lines/" + id + "/change", id, false, Audience.GUEST);
    }

    /** The line as if its hold were over: what it holds is no longer sold. */
    BasketLine over() {
        return new BasketLine(
                id, offer, time, place, length, units, party, addOns, staff, pay, heldSince, heldSince, firstHeld, renewals);
    }

    public boolean isHeld(Instant now) {
        return expires.isAfter(now);
    }
}
