package gastfreund.core.bookings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Minutes;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One guest's place in one session ({@code docs/openings.md}, "Commitments").
 *
 * @param start of the guest's time, in minutes since the epoch
 * @param minutes of the guest's time, add-ons included
 * @param staff those who serve; empty: nobody
 * @param place null where the offer has none
 * @param party 1 or more
 * @param expires when a hold ends (exclusive); null unless held
 * @param addOns quantities by add-on; their minutes are part of {@code minutes}
 */
public record Booking(
        BookingId id,
        OfferId offer,
        long start,
        Minutes minutes,
        List<StaffId> staff,
        @Nullable PlaceId place,
        int party,
        BookingStatus status,
        @Nullable Instant expires,
        Map<AddOnId, Integer> addOns) {

    /** @throws IllegalArgumentException where a hold has no end, or nobody comes */
    public Booking {
        staff = List.copyOf(staff);
        addOns = Map.copyOf(addOns);
        if (status == BookingStatus.HELD && expires == null) {
            throw new IllegalArgumentException("a hold needs an end");
        }
        if (party < 1) {
            throw new IllegalArgumentException("a party has at least one person");
        }
    }

    /** Whether it takes its place whenever one asks. */
    boolean isAlwaysLive() {
        return switch (status) {
            case REQUESTED, CONFIRMED, COMPLETED, NO_SHOW -> true;
            case HELD, CANCELLED, DECLINED, LAPSED -> false;
        };
    }

    /** Whether it takes its place at {@code now}: a hold does until it expires, what ended does not. */
    public boolean isLive(Instant now) {
        return isAlwaysLive() || status == BookingStatus.HELD && expires != null && expires.isAfter(now);
    }
}
