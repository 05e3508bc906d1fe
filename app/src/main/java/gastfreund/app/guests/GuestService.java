package gastfreund.app.guests;

import gastfreund.app.house.Actor;
import gastfreund.app.house.Tokens;
import gastfreund.app.orders.OrderService;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Takes out what the house has of a guest, and forgets them. */
@Service
class GuestService {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What the file has of each order, by the name of its part. */
    private static final Map<String, String> PARTS = new LinkedHashMap<>();

    static {
        PARTS.put(
                "bookings",
                """
                SELECT b.id, b.offer, b.start_at, b.end_at, b.place, b.length, b.units, b.party, b.add_ons, b.status,
                       l.total, l.discount, l.paid, l.waived, l.balance, l.balance_due
                FROM order_lines l JOIN bookings b ON b.id = l.booking WHERE l.order_id = ? ORDER BY l.line
                """);
        PARTS.put(
                "answers",
                """
                SELECT a.booking, a.person, a.label, a.value FROM answers a JOIN order_lines l ON l.booking = a.booking
                WHERE l.order_id = ? ORDER BY a.booking, a.position
                """);
        PARTS.put("agreements", "SELECT title, wording, agreed_at FROM agreements WHERE order_id = ?");
        PARTS.put(
                "payments",
                """
                SELECT id, gateway, reference, amount, captured, released, refunded, state, reason, created_at
                FROM payments WHERE order_id = ? ORDER BY created_at
                """);
        PARTS.put(
                "vouchers",
                """
                SELECT g.kind, g.title, g.price, g.recipient, g.greeting, p.code, p.rest, p.last_day
                FROM goods g LEFT JOIN prepaid p ON p.id = g.prepaid WHERE g.order_id = ?
                """);
        PARTS.put("documents", "SELECT number, kind, issued_at, content FROM documents WHERE order_id = ? ORDER BY number");
        PARTS.put(
                "letters",
                """
                SELECT kind, recipient, subject, text_part AS text, created_at, sent_at FROM outbox
                WHERE order_id = ? AND recipient NOT IN (SELECT email FROM hosts) ORDER BY created_at
                """);
        PARTS.put("journal", "SELECT at, who, about, step_from, step_to, why FROM journal WHERE order_id = ? ORDER BY id");
    }

    private static final String ORDER =
            """
            SELECT number, name, email, phone, company, address, notes, locale, status, total, due_now, promo_code, placed_at
            FROM orders WHERE id = ?
            """;

    private final GuestStore store;
    private final OrderService books;
    private final Tokens tokens;
    private final Clock clock;

    GuestService(GuestStore store, OrderService books, Tokens tokens, Clock clock) {
        this.store = store;
        this.books = books;
        this.tokens = tokens;
        this.clock = clock;
    }

    int countOrders(String email) {
        return store.ordersOf(email).size();
    }

    /** All that the house has of a guest, as JSON; instants are seconds since the epoch, amounts minor units. */
    @Transactional
    public String takeOut(String email, Actor host) {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", "gastfreund-guest/1").put("guest", email).put("made", clock.instant().toString());
        ArrayNode orders = file.putArray("orders");
        for (long id : store.ordersOf(email)) {
            ObjectNode order = (ObjectNode) JSON.<JsonNode>valueToTree(store.rows(ORDER, id).get(0));
            PARTS.forEach((name, sql) -> order.set(name, JSON.<JsonNode>valueToTree(store.rows(sql, id))));
            orders.add(order);
            books.note(id, host, "the guest's data were taken out");
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    /**
     * Forgets a guest: what they said of themselves goes, bookings stay as numbers, documents as long as the law asks.
     *
     * @return false where something is still to come, or the house has nothing of them
     */
    @Transactional
    public boolean forget(String email, Actor who) {
        List<Long> orders = store.ordersOf(email);
        Instant now = clock.instant();
        if (orders.isEmpty() || store.isOpen(email, now)) {
            return false;
        }
        orders.forEach(order -> {
            store.forget(order, tokens.next(), now);
            books.note(order, who, "the guest's data were forgotten");
        });
        return true;
    }
}
