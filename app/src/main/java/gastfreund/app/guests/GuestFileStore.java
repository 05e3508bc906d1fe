package gastfreund.app.guests;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what the house has of a guest's order, for the file that the guest is given. */
@Repository
class GuestFileStore {

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
        PARTS.put(
                "visits",
                "SELECT v.booking, v.address, v.metres FROM visits v JOIN order_lines l ON l.booking = v.booking"
                        + " WHERE l.order_id = ? ORDER BY l.line");
        PARTS.put(
                "companions",
                "SELECT c.booking, c.name, c.email FROM companions c JOIN order_lines l ON l.booking = c.booking"
                        + " WHERE l.order_id = ? ORDER BY l.line, c.id");
        PARTS.put(
                "messages",
                """
                SELECT t.at, t.from_guest, t.who, t.words FROM threads th JOIN talks t ON t.thread = th.key
                WHERE th.order_id = ? ORDER BY t.at, t.id
                """);
        PARTS.put(
                "notesOfTheHouse",
                """
                SELECT n.booking, n.words, n.at FROM order_lines l JOIN house_notes n ON n.booking = l.booking
                WHERE l.order_id = ? ORDER BY l.line
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
        PARTS.put(
                "documents",
                "SELECT number, kind, issued_at, content FROM documents WHERE order_id = ? ORDER BY number");
        PARTS.put(
                "letters",
                """
                SELECT kind, recipient, facts, subject, text_part AS text, created_at, sent_at FROM outbox
                WHERE order_id = ? AND recipient NOT IN (SELECT email FROM hosts) ORDER BY created_at
                """);
        PARTS.put(
                "journal",
                "SELECT at, who, about, step_from, step_to, why FROM journal WHERE order_id = ? ORDER BY id");
    }

    private static final String ORDER =
            """
            SELECT number, name, email, phone, company, address, notes, locale, status, total, due_now, promo_code, placed_at
            FROM orders WHERE id = ?
            """;

    private final JdbcClient jdbc;

    GuestFileStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What somebody waits or waited for, by the names of its columns. */
    List<Map<String, Object>> wishesOf(String email) {
        return jdbc.sql(
                        """
                        SELECT offer, party, from_date, to_date, parts, start_at, guest, state, made_at FROM wishes
                        WHERE email = ? COLLATE NOCASE ORDER BY made_at
                        """)
                .param(email)
                .query()
                .listOfRows();
    }

    /** An order by the names of its columns, with a list for each of its parts. */
    Map<String, Object> of(long order) {
        Map<String, Object> file =
                new LinkedHashMap<>(jdbc.sql(ORDER).param(order).query().singleRow());
        PARTS.forEach(
                (name, sql) -> file.put(name, jdbc.sql(sql).param(order).query().listOfRows()));
        return file;
    }
}
