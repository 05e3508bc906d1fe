package gastfreund.app.guests;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds guests and removes what they said of themselves, in whichever table it lies. */
@Repository
class GuestStore {

    private static final String OPEN =
            """
            (EXISTS (SELECT 1 FROM bookings b WHERE b.order_id = o.id
                     AND (b.status IN ('held', 'requested') OR b.status = 'confirmed' AND b.end_at > :now))
             OR o.status = 'waiting'
             OR EXISTS (SELECT 1 FROM payments p JOIN payment_steps s ON s.payment = p.id
                        WHERE p.order_id = o.id AND s.done_at IS NULL)
             OR EXISTS (SELECT 1 FROM outbox l WHERE l.order_id = o.id AND l.sent_at IS NULL))
            """;

    private static final Map<String, String> COUNTS = new LinkedHashMap<>();

    static {
        COUNTS.put("orders", "SELECT count(*) FROM orders WHERE id IN (:orders)");
        COUNTS.put(
                "answers",
                "SELECT count(*) FROM order_lines l JOIN answers a ON a.booking = l.booking WHERE l.order_id IN (:orders)");
        COUNTS.put("letters", "SELECT count(*) FROM outbox WHERE order_id IN (:orders)");
        COUNTS.put(
                "messages",
                "SELECT count(*) FROM threads th JOIN talks t ON t.thread = th.key WHERE th.order_id IN (:orders)");
        COUNTS.put(
                "notes",
                "SELECT count(*) FROM order_lines l JOIN house_notes n ON n.booking = l.booking WHERE l.order_id IN (:orders)");
        COUNTS.put("bookings", "SELECT count(*) FROM order_lines WHERE order_id IN (:orders)");
        COUNTS.put("documents", "SELECT count(*) FROM documents WHERE order_id IN (:orders)");
    }

    private final JdbcClient jdbc;

    GuestStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The orders of a mail address that are not forgotten, the first one first. */
    List<Long> ordersOf(String email) {
        return jdbc.sql("SELECT id FROM orders WHERE email = ? COLLATE NOCASE AND forgotten_at IS NULL ORDER BY id")
                .param(email)
                .query(Long.class)
                .list();
    }

    /** Whether something of some orders is still to come: a booking, a payment or a letter. */
    boolean isOpen(List<Long> orders, Instant now) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM orders o WHERE o.id IN (:orders) AND " + OPEN + ")")
                        .param("orders", orders)
                        .param("now", now.getEpochSecond())
                        .query(Integer.class)
                        .single()
                == 1;
    }

    /** How much of each kind goes when some orders are forgotten, and what stays: by names that texts know. */
    Map<String, Integer> goes(List<Long> orders) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        COUNTS.forEach((name, sql) -> counts.put(
                name, jdbc.sql(sql).param("orders", orders).query(Integer.class).single()));
        return counts;
    }

    /** Mail addresses of guests whose last booking ended, and whose last order was placed, before an instant. */
    List<String> notSeenSince(Instant before, Instant now) {
        return jdbc.sql(
                        """
                        SELECT DISTINCT lower(old.email) FROM orders old
                        WHERE old.forgotten_at IS NULL AND old.placed_at < :before
                          AND NOT EXISTS (SELECT 1 FROM orders o
                                          WHERE o.email = old.email COLLATE NOCASE AND o.forgotten_at IS NULL
                                            AND (o.placed_at >= :before
                                                 OR EXISTS (SELECT 1 FROM bookings b
                                                            WHERE b.order_id = o.id AND b.end_at >= :before)
                                                 OR\s"""
                                + OPEN + ")) LIMIT " + Tidying.AT_ONCE)
                .param("before", before.getEpochSecond())
                .param("now", now.getEpochSecond())
                .query(String.class)
                .list();
    }

    /** Removes what a guest said of themselves from an order; {@code token} takes the place of the one they know. */
    void forget(long order, String token, Instant now) {
        run("DELETE FROM answers WHERE booking IN (SELECT booking FROM order_lines WHERE order_id = ?)", order);
        run("DELETE FROM visits WHERE booking IN (SELECT booking FROM order_lines WHERE order_id = ?)", order);
        run("DELETE FROM work WHERE kind = 'letter' AND subject IN (SELECT id FROM outbox WHERE order_id = ?)", order);
        run("DELETE FROM outbox WHERE order_id = ?", order);
        run("UPDATE journal SET why = '' WHERE order_id = ?", order);
        run("UPDATE payment_steps SET why = '' WHERE payment IN (SELECT id FROM payments WHERE order_id = ?)", order);
        run(
                "UPDATE prepaid SET recipient = '', greeting = '' WHERE id IN (SELECT prepaid FROM goods WHERE order_id = ?)",
                order);
        run("UPDATE goods SET recipient = '', greeting = '' WHERE order_id = ?", order);
        jdbc.sql(
                        """
                        UPDATE orders SET name = '\u2013', email = '', phone = '', company = '', address = '', notes = '', texts = 0,
                                          token = ?, basket = NULL, forgotten_at = ?
                        WHERE id = ?
                        """)
                .params(token, now.getEpochSecond(), order)
                .update();
    }

    private void run(String sql, long order) {
        jdbc.sql(sql).param(order).update();
    }
}
