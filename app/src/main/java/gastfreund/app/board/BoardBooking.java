package gastfreund.app.board;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A booking as the board shows it.
 *
 * @param expires when a hold ends; null where it is none
 * @param place null where the offer has none
 * @param guest null for a hold in a basket
 * @param order the order's number; 0 for a hold in a basket
 * @param total what it costs
 * @param paid what was paid for its order
 */
public record BoardBooking(
        String id,
        OfferId offer,
        Interval time,
        int party,
        BookingStatus status,
        @Nullable Instant expires,
        List<StaffId> staff,
        @Nullable PlaceId place,
        @Nullable String guest,
        long order,
        Money total,
        Money paid) {

    /** The same for whoever may not see whose it is: only that somebody or something is taken. */
    BoardBooking hidden(String words, int number) {
        return new BoardBooking(
                "hidden-" + number, offer, time, party, status, null, staff, place, words, 0, Money.ZERO, Money.ZERO);
    }

    /** Stands for a session that nobody has booked. */
    static BoardBooking nobody(Session session) {
        return new BoardBooking(
                "",
                session.offer(),
                session.guests(),
                0,
                BookingStatus.CONFIRMED,
                null,
                List.copyOf(session.staff()),
                session.place(),
                null,
                0,
                Money.ZERO,
                Money.ZERO);
    }

    /** Whether whoever drags it may ask where else it could be. */
    boolean isMovable() {
        return order > 0 && (status == BookingStatus.CONFIRMED || status == BookingStatus.REQUESTED);
    }

    /** The sign in which it is drawn: {@code confirmed}, {@code request} or {@code hold}. */
    public String sign() {
        return switch (status) {
            case HELD -> "hold";
            case REQUESTED -> "request";
            default -> "confirmed";
        };
    }
}
