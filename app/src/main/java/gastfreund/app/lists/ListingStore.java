package gastfreund.app.lists;

import gastfreund.app.orders.GuestWords;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds orders and payments for lists. */
@Repository
class ListingStore {

    private static final String ORDER_SUMS =
            " (SELECT coalesce(sum(max(0, l.total - l.waived - l.paid)), 0) FROM order_lines l JOIN bookings b ON b.id = l.booking"
                    + " WHERE l.order_id = o.id AND b.status IN ('requested', 'confirmed', 'completed'))";

    private static final String PAID = " (SELECT coalesce(sum(l.paid), 0) FROM order_lines l WHERE l.order_id = o.id)";

    private final JdbcClient jdbc;

    ListingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Between which instants, in seconds.
     *
     * @param to not included
     */
    record Between(long from, long to) {}

    /** An order. */
    record OrderRow(
            long id,
            long number,
            Instant placed,
            String name,
            String email,
            String phone,
            String company,
            String status,
            String source,
            Money total,
            Money paid,
            Money open,
            String what) {}

    /** A payment of an order. */
    record PaymentRow(
            long id,
            Instant created,
            long order,
            String guest,
            String way,
            String state,
            String reference,
            Money amount,
            Money captured,
            Money refunded) {}

    /** What rows come to. */
    record Sums(int count, Money first, Money second, Money third) {}

    private static String guest(Looked looked) {
        return GuestWords.match(looked.q()).isEmpty()
                ? ""
                : " AND o.id IN (SELECT rowid FROM known_guests WHERE known_guests MATCH :match)";
    }

    /** That something is booked by the order of what is looked for. */
    private static String booked(Looked looked) {
        String of = (looked.offer().isEmpty() ? "" : " AND b.offer = :offer")
                + (looked.place().isEmpty() ? "" : " AND b.place = :place")
                + (looked.person().isEmpty()
                        ? ""
                        : " AND EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b.id AND s.staff = :person)");
        return of.isEmpty() ? "" : " AND EXISTS (SELECT 1 FROM bookings b WHERE b.order_id = o.id" + of + ")";
    }

    private static String orders(Looked looked) {
        return " FROM orders o WHERE o.placed_at >= :from AND o.placed_at < :to" + guest(looked) + booked(looked)
                + (looked.state().isEmpty() ? "" : " AND o.status = :state")
                + (looked.source().isEmpty() ? "" : " AND o.source = :source")
                + (looked.money().isEmpty()
                        ? ""
                        : " AND" + ORDER_SUMS + (looked.money().equals("open") ? " > 0" : " = 0"));
    }

    private JdbcClient.StatementSpec ask(String sql, Looked looked, Between between) {
        return jdbc.sql(sql)
                .param("from", between.from())
                .param("to", between.to())
                .param("match", GuestWords.match(looked.q()))
                .param("state", looked.state())
                .param("way", looked.way())
                .param("source", looked.source())
                .param("offer", looked.offer())
                .param("person", looked.person())
                .param("place", looked.place());
    }

    List<OrderRow> orders(Looked looked, Between between, long before, int most) {
        return ask(
                        "SELECT o.id, o.number, o.placed_at, o.name, o.email, o.phone, o.company, o.status, o.source, o.total,"
                                + PAID + " AS paid," + ORDER_SUMS
                                + " AS open, (SELECT group_concat(json_extract(l.sold, '$.title'), '; ') FROM order_lines l"
                                + " WHERE l.order_id = o.id) AS what"
                                + orders(looked) + " AND o.id < :before ORDER BY o.id DESC LIMIT :most",
                        looked,
                        between)
                .param("before", before)
                .param("most", most)
                .query((row, n) -> new OrderRow(
                        row.getLong("id"),
                        row.getLong("number"),
                        Instant.ofEpochSecond(row.getLong("placed_at")),
                        row.getString("name"),
                        row.getString("email"),
                        row.getString("phone"),
                        row.getString("company"),
                        row.getString("status"),
                        row.getString("source"),
                        Money.ofMinor(row.getLong("total")),
                        Money.ofMinor(row.getLong("paid")),
                        Money.ofMinor(row.getLong("open")),
                        row.getString("what") == null ? "" : row.getString("what")))
                .list();
    }

    Sums orderSums(Looked looked, Between between) {
        return ask(
                        "SELECT count(*) AS n, coalesce(sum(o.total), 0) AS a, coalesce(sum(" + PAID
                                + "), 0) AS b, coalesce(sum(" + ORDER_SUMS + "), 0) AS c" + orders(looked),
                        looked,
                        between)
                .query((row, n) -> sums(row.getInt("n"), row.getLong("a"), row.getLong("b"), row.getLong("c")))
                .single();
    }

    private static String payments(Looked looked) {
        return " FROM payments p JOIN orders o ON o.id = p.order_id WHERE p.created_at >= :from AND p.created_at < :to"
                + guest(looked)
                + booked(looked)
                + (looked.state().isEmpty() ? "" : " AND p.state = :state")
                + (looked.way().isEmpty() ? "" : " AND p.gateway = :way");
    }

    List<PaymentRow> payments(Looked looked, Between between, long before, int most) {
        return ask(
                        "SELECT p.rowid AS id, p.created_at, o.number, o.name, p.gateway, p.state, coalesce(p.reference, '') AS reference,"
                                + " p.amount, p.captured, p.refunded" + payments(looked)
                                + " AND p.rowid < :before ORDER BY p.rowid DESC LIMIT :most",
                        looked,
                        between)
                .param("before", before)
                .param("most", most)
                .query((row, n) -> new PaymentRow(
                        row.getLong("id"),
                        Instant.ofEpochSecond(row.getLong("created_at")),
                        row.getLong("number"),
                        row.getString("name"),
                        row.getString("gateway"),
                        row.getString("state"),
                        row.getString("reference"),
                        Money.ofMinor(row.getLong("amount")),
                        Money.ofMinor(row.getLong("captured")),
                        Money.ofMinor(row.getLong("refunded"))))
                .list();
    }

    Sums paymentSums(Looked looked, Between between) {
        return ask(
                        "SELECT count(*) AS n, coalesce(sum(p.captured), 0) AS a, coalesce(sum(p.refunded), 0) AS b,"
                                + " coalesce(sum(p.captured - p.refunded), 0) AS c" + payments(looked),
                        looked,
                        between)
                .query((row, n) -> sums(row.getInt("n"), row.getLong("a"), row.getLong("b"), row.getLong("c")))
                .single();
    }

    private static Sums sums(int count, long first, long second, long third) {
        return new Sums(count, Money.ofMinor(first), Money.ofMinor(second), Money.ofMinor(third));
    }
}
