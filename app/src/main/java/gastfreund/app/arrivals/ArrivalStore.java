package gastfreund.app.arrivals;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Keeps tables that came, and which orders were made of each. */
@Repository
class ArrivalStore {

    private static final RowMapper<Arrival> ARRIVAL = (row, n) -> new Arrival(
            row.getLong("id"),
            row.getString("name"),
            row.getString("who"),
            Instant.ofEpochSecond(row.getLong("came_at")),
            row.getString("content"),
            words(row.getString("columns")).map(Column::of).toList(),
            row.getBoolean("month_first"),
            words(row.getString("left_out")).map(Integer::valueOf).collect(Collectors.toSet()),
            row.getObject("taken_at") == null ? null : Instant.ofEpochSecond(row.getLong("taken_at")),
            row.getObject("undone_at") == null ? null : Instant.ofEpochSecond(row.getLong("undone_at")));

    private final JdbcClient jdbc;

    ArrivalStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static Stream<String> words(String text) {
        return Arrays.stream(text.split(" ")).filter(w -> !w.isEmpty());
    }

    long insert(String name, String who, String content, Instant now) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql("INSERT INTO arrivals (name, who, content, came_at) VALUES (:name, :who, :content, :now)")
                .param("name", name)
                .param("who", who)
                .param("content", content)
                .param("now", now.getEpochSecond())
                .update(key, "id");
        return Objects.requireNonNull(key.getKey()).longValue();
    }

    Optional<Arrival> byId(long id) {
        return jdbc.sql("SELECT * FROM arrivals WHERE id = ?")
                .param(id)
                .query(ARRIVAL)
                .optional();
    }

    List<Arrival> newest(int most) {
        return jdbc.sql("SELECT * FROM arrivals ORDER BY id DESC LIMIT ?")
                .param(most)
                .query(ARRIVAL)
                .list();
    }

    void say(long id, List<Column> columns, boolean monthFirst) {
        jdbc.sql("UPDATE arrivals SET columns = ?, month_first = ?, left_out = '' WHERE id = ?")
                .params(columns.stream().map(Column::code).collect(Collectors.joining(" ")), monthFirst ? 1 : 0, id)
                .update();
    }

    void leaveOut(long id, Set<Integer> rows) {
        jdbc.sql("UPDATE arrivals SET left_out = ? WHERE id = ?")
                .params(rows.stream().sorted().map(String::valueOf).collect(Collectors.joining(" ")), id)
                .update();
    }

    /** Notes that it was taken over; what stood in it lies in the orders now. */
    void taken(long id, List<Long> orders, Instant now) {
        jdbc.sql("UPDATE arrivals SET taken_at = ?, content = '' WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
        for (long order : orders) {
            jdbc.sql("INSERT INTO arrival_orders (arrival, order_id) VALUES (?, ?)")
                    .params(id, order)
                    .update();
        }
    }

    List<Long> orders(long id) {
        return jdbc.sql("SELECT order_id FROM arrival_orders WHERE arrival = ? ORDER BY order_id")
                .param(id)
                .query(Long.class)
                .list();
    }

    void remove(long id) {
        jdbc.sql("DELETE FROM arrivals WHERE id = ? AND taken_at IS NULL")
                .param(id)
                .update();
    }

    /** Forgets tables that nobody took over for a while: guests stand in them. */
    void forgetOpen(Instant before) {
        jdbc.sql("DELETE FROM arrivals WHERE came_at < ? AND taken_at IS NULL")
                .param(before.getEpochSecond())
                .update();
    }

    /** Whether a guest has a booking of an offer at a start, in minutes, that stands. */
    boolean isThere(String offer, long start, String email) {
        return jdbc.sql(
                        """
                        SELECT EXISTS (SELECT 1 FROM bookings b JOIN orders o ON o.id = b.order_id
                                       WHERE b.offer = ? AND b.start_at = ? AND o.email = ? COLLATE NOCASE
                                         AND b.status IN ('requested', 'confirmed', 'completed'))
                        """)
                .params(offer, start * 60, email)
                .query(Boolean.class)
                .single();
    }

    /** Whether a guest is known by their mail address. */
    boolean isKnown(String email) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM orders WHERE email = ? COLLATE NOCASE AND forgotten_at IS NULL)")
                .param(email)
                .query(Boolean.class)
                .single();
    }

    /** Whether an order is as it was brought in: nobody did anything with it. */
    boolean isUntouched(long order) {
        return jdbc.sql(
                        """
                        SELECT (SELECT count(*) FROM journal WHERE order_id = :order) = 1
                           AND NOT EXISTS (SELECT 1 FROM payments WHERE order_id = :order
                                           AND (gateway <> 'elsewhere' OR refunded > 0))
                           AND NOT EXISTS (SELECT 1 FROM documents WHERE order_id = :order)
                           AND NOT EXISTS (SELECT 1 FROM outbox WHERE order_id = :order)
                           AND NOT EXISTS (SELECT 1 FROM threads WHERE order_id = :order)
                           AND NOT EXISTS (SELECT 1 FROM order_lines l JOIN house_notes n ON n.booking = l.booking
                                           WHERE l.order_id = :order)
                        """)
                .param("order", order)
                .query(Boolean.class)
                .single();
    }

    /** Removes an order that was brought in, but for its bookings. */
    void removeOrder(long order) {
        for (String sql : List.of(
                "DELETE FROM payment_parts WHERE payment IN (SELECT id FROM payments WHERE order_id = ?)",
                "DELETE FROM payments WHERE order_id = ?",
                "DELETE FROM journal WHERE order_id = ?",
                "DELETE FROM order_lines WHERE order_id = ?",
                "DELETE FROM arrival_orders WHERE order_id = ?")) {
            jdbc.sql(sql).param(order).update();
        }
    }

    /** The rest of it, once its bookings are gone. */
    void removeEmptied(long order) {
        jdbc.sql("DELETE FROM orders WHERE id = ?").param(order).update();
    }

    void undone(long id, Instant now) {
        jdbc.sql("UPDATE arrivals SET undone_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }
}
