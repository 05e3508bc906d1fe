package gastfreund.app.api;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.programs.Refused;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Finds orders and bookings for programs. */
@Service
class Found {

    /** So many orders are answered at once. */
    private static final int MOST = 100;

    private static final int MOST_BOOKINGS = 500;

    private final ProgramOrderStore store;
    private final Orders orders;
    private final CatalogueService catalogues;
    private final OrderJson json;
    private final Reading reading;

    Found(ProgramOrderStore store, Orders orders, CatalogueService catalogues, OrderJson json, Reading reading) {
        this.store = store;
        this.orders = orders;
        this.catalogues = catalogues;
        this.json = json;
        this.reading = reading;
    }

    /** The orders whose numbers follow one. */
    JsonNode after(long number) {
        return reading.of(() -> Json.with(
                "orders",
                Json.array(store.after(number, MOST).stream()
                        .map(id -> json.order(orders.byId(id)))
                        .toList())));
    }

    /** An order. */
    JsonNode order(long number) {
        return reading.of(
                () -> json.order(orders.byNumber(number).orElseThrow(() -> Refused.because(Refused.Why.NOT_THERE))));
    }

    /** The bookings that begin from one date to another (both inclusive), those that fell through among them. */
    JsonNode bookings(LocalDate from, LocalDate to) {
        HouseZone zone = catalogues.catalogue().zone();
        return reading.of(() -> {
            List<String> found = store.starting(
                    Interval.between(zone.startOf(from), zone.startOf(to.plusDays(1))), MOST_BOOKINGS + 1);
            ObjectNode node = Json.object();
            node.set(
                    "bookings",
                    Json.array(found.stream()
                            .limit(MOST_BOOKINGS)
                            .map(id -> booking(new BookingId(id)))
                            .toList()));
            return node.put("more", found.size() > MOST_BOOKINGS);
        });
    }

    JsonNode booking(BookingId id) {
        return reading.of(() -> {
            Order order = of(id);
            return json.booking(order, order.line(id).orElseThrow());
        });
    }

    /** The order of a booking. */
    Order of(BookingId id) {
        return orders.byBooking(id)
                .filter(o -> o.line(id).isPresent())
                .orElseThrow(() -> Refused.because(Refused.Why.NOT_THERE));
    }
}
