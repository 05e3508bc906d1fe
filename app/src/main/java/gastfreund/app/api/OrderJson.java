package gastfreund.app.api;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.moves.Moves;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Links;
import gastfreund.core.time.HouseZone;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Writes baskets, orders and bookings for programs. */
@Component
public class OrderJson {

    private final CatalogueService catalogues;
    private final Moves moves;
    private final Address address;
    private final Clock clock;

    OrderJson(CatalogueService catalogues, Moves moves, Address address, Clock clock) {
        this.catalogues = catalogues;
        this.moves = moves;
        this.address = address;
        this.clock = clock;
    }

    ObjectNode basket(String basket, List<BasketLine> lines, Bill bill) {
        HouseZone zone = catalogues.catalogue().zone();
        ObjectNode node = Json.object().put("basket", basket);
        Json.name(
                node,
                "heldUntil",
                lines.stream()
                        .map(BasketLine::expires)
                        .min(Comparator.naturalOrder())
                        .map(t -> Json.moment(t, zone))
                        .orElse(null));
        node.put("page", address.of(new Links(basket).basketPage()));
        node.set("lines", Json.array(lines.stream().map(l -> line(l, zone)).toList()));
        node.set("bill", bill(bill));
        return node;
    }

    private ObjectNode line(BasketLine line, HouseZone zone) {
        Catalogue catalogue = catalogues.catalogue();
        ObjectNode node = reserved(line.reserved(), zone);
        node.put("heldUntil", Json.moment(line.expires(), zone));
        node.put("held", line.isHeld(clock.instant()));
        Json.money(node, "price", BasketService.priced(line, catalogue).price().amount());
        return node;
    }

    private static ObjectNode reserved(Reserved reserved, HouseZone zone) {
        ObjectNode node = Json.object()
                .put("id", reserved.id().value())
                .put("offer", reserved.offer().value());
        Json.time(node, reserved.time(), zone);
        node.set("staff", Json.names(reserved.staff()));
        Json.name(node, "place", reserved.place());
        node.put("length", reserved.length().value())
                .put("units", reserved.units())
                .put("party", reserved.party());
        node.set("addOns", Json.quantities(reserved.addOns()));
        return node;
    }

    static ObjectNode bill(Bill bill) {
        ObjectNode node = Json.object();
        Json.money(node, "subtotal", bill.subtotal());
        Json.money(node, "discount", bill.quote().discount());
        Json.money(node, "total", bill.total());
        Json.money(node, "dueNow", bill.dueNow());
        node.set(
                "later",
                Json.array(bill.later().stream()
                        .map(l -> {
                            ObjectNode later = Json.object().put("due", l.due().toString());
                            Json.money(later, "amount", l.amount());
                            return later;
                        })
                        .toList()));
        return node;
    }

    /** An order with its bookings and its guest. */
    ObjectNode order(Order order) {
        HouseZone zone = catalogues.catalogue().zone();
        ObjectNode node = Json.object()
                .put("number", order.number())
                .put("status", order.status().code())
                .put("placed", Json.moment(order.placed(), zone))
                .put("language", order.locale().toLanguageTag())
                .put("source", order.source())
                .put("page", address.of("/bookings/" + order.token()));
        node.set("contact", contact(order.contact()));
        Json.money(node, "total", order.total());
        Json.money(node, "dueNow", order.dueNow());
        Json.money(node, "paid", order.paid());
        Json.money(node, "toPay", order.balance());
        node.set(
                "bookings",
                Json.array(order.lines().stream().map(l -> booking(order, l)).toList()));
        return node;
    }

    private static ObjectNode contact(Contact contact) {
        return Json.object()
                .put("name", contact.name())
                .put("email", contact.email())
                .put("phone", contact.phone())
                .put("company", contact.company())
                .put("address", contact.address())
                .put("notes", contact.notes());
    }

    /** A booking, without who booked it. */
    public ObjectNode booking(Order order, OrderLine line) {
        HouseZone zone = catalogues.catalogue().zone();
        Instant now = clock.instant();
        ObjectNode node = reserved(line.reserved(), zone);
        node.put("order", order.number())
                .put("title", line.sold().title())
                .put("status", line.status().code());
        Json.name(node, "heldUntil", line.expires() == null ? null : Json.moment(line.expires(), zone));
        Json.money(node, "total", line.total());
        Json.money(node, "paid", line.paid());
        Json.money(node, "toPay", line.unpaid());
        node.put("canBeMoved", moves.mayMove(line)).put("canBeCancelled", canBeCancelled(line, now));
        node.set(
                "cancelling",
                canBeCancelled(line, now)
                        ? Times.cancelling(
                                line.sold().terms(),
                                new Times.Cancelled(line.total(), line.deposit(), line.floor(), line.time()),
                                now,
                                zone)
                        : Json.array(List.of()));
        return node;
    }

    static boolean canBeCancelled(OrderLine line, Instant now) {
        return line.canBeCancelled() && line.time().startInstant().isAfter(now);
    }
}
