package gastfreund.app.moves;

import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How bookings were before they were moved, as long as that can be taken back. It is forgotten where the process ends. */
@Component
class Undos {

    /** For how long letters of a move wait, and it can be taken back. */
    static final Duration GRACE = Duration.ofSeconds(20);

    /** @param since when it was moved */
    record Before(
            long order,
            Interval time,
            @Nullable PlaceId place,
            List<StaffId> staff,
            Moves.Size size,
            Money total,
            Instant since) {}

    private final Map<BookingId, Before> kept = new ConcurrentHashMap<>();

    void keep(Order order, OrderLine line, Instant now) {
        kept.values().removeIf(b -> isOver(b, now));
        kept.put(
                line.booking(),
                new Before(
                        order.id(),
                        line.time(),
                        line.place(),
                        line.reserved().staff(),
                        new Moves.Size(line.sold().length(), line.units()),
                        line.total(),
                        now));
    }

    Optional<Before> of(BookingId booking, Instant now) {
        return Optional.ofNullable(kept.get(booking)).filter(b -> !isOver(b, now));
    }

    void forget(BookingId booking) {
        kept.remove(booking);
    }

    private static boolean isOver(Before before, Instant now) {
        return !now.isBefore(before.since().plus(GRACE));
    }
}
