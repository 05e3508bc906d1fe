package gastfreund.app.endings;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.House;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What wants the time of somebody that a request asks for: times of an offer can be contested ({@code docs/openings.md},
 * "Contested").
 */
@Component
public class Rivals {

    private static final long REACH = 3L * 24 * 60;

    private final BookedStore booked;
    private final OrderStore orders;
    private final CatalogueService catalogues;
    private final Clock clock;

    Rivals(BookedStore booked, OrderStore orders, CatalogueService catalogues, Clock clock) {
        this.booked = booked;
        this.orders = orders;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** A booking with its order. */
    public record Rival(Order order, OrderLine line) {}

    /**
     * What there is.
     *
     * @param asking other requests for the same time of the same person
     * @param standing bookings that have it already
     */
    public record Found(List<Rival> asking, List<Rival> standing) {

        public boolean isNobody() {
            return asking.isEmpty() && standing.isEmpty();
        }
    }

    /** Whoever else wants a booking's time; those who come to the same session do not. */
    public Found of(OrderLine line) {
        House house = catalogues.catalogue().house();
        Interval around =
                Interval.between(line.time().start() - REACH, line.time().end() + REACH);
        List<Booking> live = booked.touching(around, clock.instant()).bookings().stream()
                .filter(b -> b.isLive(clock.instant()))
                .toList();
        Sessions sessions = Sessions.of(house, live, around);
        List<Session> all = Stream.concat(sessions.apart().stream(), sessions.shared().values().stream())
                .toList();
        Optional<Session> own = all.stream()
                .filter(s -> s.bookings().stream().anyMatch(b -> b.id().equals(line.booking())))
                .findFirst();
        List<Rival> asking = new ArrayList<>();
        List<Rival> standing = new ArrayList<>();
        own.ifPresent(session -> all.stream()
                .filter(s -> s != session
                        && s.taken().overlaps(session.taken())
                        && !Collections.disjoint(s.staff(), session.staff()))
                .flatMap(s -> s.bookings().stream())
                .forEach(b -> {
                    if (b.status() == BookingStatus.REQUESTED) {
                        rival(b).ifPresent(asking::add);
                    } else if (b.status() == BookingStatus.CONFIRMED) {
                        rival(b).ifPresent(standing::add);
                    }
                }));
        return new Found(List.copyOf(asking), List.copyOf(standing));
    }

    private Optional<Rival> rival(Booking booking) {
        return orders.byBooking(booking.id().value())
                .flatMap(o -> o.line(booking.id()).map(l -> new Rival(o, l)));
    }
}
