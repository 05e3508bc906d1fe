package gastfreund.app.orders;

import gastfreund.app.bookings.BookingStore;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.orders.Quote;
import gastfreund.core.orders.Sold;
import gastfreund.housefile.HouseFile;
import gastfreund.housefile.SoldFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Keeps orders, their lines and what became of their bookings. */
@Repository
public class OrderStore {

    private static final long FIRST_NUMBER = 1001;

    private static final String LINES = "SELECT b.status, b.expires_at, b.came, " + BookingStore.RESERVED
            + """
            , l.order_id, l.discount, l.covered, l.total, l.deposit, l.waived, l.floor, l.visits_kept, l.paid, l.due_now,
                   l.balance, l.balance_due, l.sold
            FROM order_lines l JOIN bookings b ON b.id = l.booking
            """;

    private final JdbcClient jdbc;

    OrderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param promoCode the code that lowered the price; null where none did */
    public long insert(
            String token,
            @Nullable String basket,
            Contact contact,
            Locale locale,
            OrderStatus status,
            Money total,
            Money dueNow,
            @Nullable String promoCode,
            Instant now) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql(
                        """
                        INSERT INTO orders (number, token, basket, name, email, phone, company, address, notes, locale, status, total, due_now,
                                            promo_code, source, texts, placed_at)
                        VALUES ((SELECT coalesce(max(number) + 1, :first) FROM orders), :token, :basket, :name, :email,
                                :phone, :company, :address, :notes, :locale, :status, :total, :dueNow, :promoCode,
                                coalesce((SELECT source FROM baskets WHERE token = :basket), ''), :texts, :now)
                        """)
                .param("first", FIRST_NUMBER)
                .param("token", token)
                .param("basket", basket)
                .param("name", contact.name())
                .param("email", contact.email())
                .param("phone", contact.phone())
                .param("company", contact.company())
                .param("address", contact.address())
                .param("notes", contact.notes())
                .param("texts", contact.wantsTexts() ? 1 : 0)
                .param("locale", locale.toLanguageTag())
                .param("status", status.code())
                .param("total", total.minor())
                .param("dueNow", dueNow.minor())
                .param("promoCode", promoCode)
                .param("now", now.getEpochSecond())
                .update(key, "id");
        return Objects.requireNonNull(key.getKey()).longValue();
    }

    public void insertLine(long order, int line, BookingId booking, Quote.QuotedLine quoted, Sold sold) {
        jdbc.sql(
                        """
                        INSERT INTO order_lines (order_id, line, booking, amount, discount, total, deposit, due_now,
                                                 balance, balance_due, covered, sold)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(Arrays.asList(
                        order,
                        line,
                        booking.value(),
                        quoted.amount().minor(),
                        quoted.discount().minor(),
                        quoted.total().minor(),
                        quoted.deposit().minor(),
                        quoted.dueNow().minor(),
                        quoted.balance().minor(),
                        quoted.balanceDue() == null ? null : quoted.balanceDue().toString(),
                        quoted.covered().minor(),
                        SoldFile.written(sold).toString()))
                .update();
    }

    /**
     * Notes money that came for a booking, or, where it is negative, that it goes back. Once all is there that was due
     * with the order, what is left is asked for anew.
     */
    public void addPaid(BookingId booking, Money amount) {
        jdbc.sql(
                        """
                        UPDATE order_lines
                        SET paid = paid + :amount,
                            asked_at = CASE WHEN paid + waived < due_now AND paid + :amount + waived >= due_now
                                            THEN NULL ELSE asked_at END,
                            reminded_at = CASE WHEN paid + waived < due_now AND paid + :amount + waived >= due_now
                                               THEN NULL ELSE reminded_at END
                        WHERE booking = :booking
                        """)
                .param("amount", amount.minor())
                .param("booking", booking.value())
                .update();
    }

    /** Notes what the house gives back of a booking that stands. */
    public void addWaived(BookingId booking, Money amount) {
        jdbc.sql("UPDATE order_lines SET waived = waived + ? WHERE booking = ?")
                .params(amount.minor(), booking.value())
                .update();
    }

    public void changeContact(long order, Contact contact) {
        jdbc.sql("UPDATE orders SET name = ?, email = ?, phone = ?, company = ?, address = ?, notes = ?, texts = ?"
                        + " WHERE id = ?")
                .params(
                        contact.name(),
                        contact.email(),
                        contact.phone(),
                        contact.company(),
                        contact.address(),
                        contact.notes(),
                        contact.wantsTexts() ? 1 : 0,
                        order)
                .update();
    }

    /**
     * Writes what a line costs after its booking was moved.
     *
     * @param left what is left to pay of it; nothing: then there is no date either
     */
    public void reprice(BookingId booking, Money total, Money left, LocalDate due, Sold sold) {
        jdbc.sql(
                        """
                        UPDATE order_lines
                        SET amount = :total + discount, total = :total, due_now = min(due_now, :total),
                            balance = :left, balance_due = :due, sold = :sold,
                            asked_at = NULL, reminded_at = NULL
                        WHERE booking = :booking
                        """)
                .param("total", total.minor())
                .param("left", left.minor())
                .param("due", left.isZero() ? null : due.toString())
                .param("sold", SoldFile.written(sold).toString())
                .param("booking", booking.value())
                .update();
    }

    /** Notes what a guest's move keeps of a line at least, and whether its visits are used up. */
    public void keepAtLeast(BookingId booking, Money floor, boolean visits) {
        jdbc.sql("UPDATE order_lines SET floor = ?, visits_kept = max(visits_kept, ?) WHERE booking = ?")
                .params(floor.minor(), visits ? 1 : 0, booking.value())
                .update();
    }

    void moveOrder(long order, OrderStatus status) {
        jdbc.sql("UPDATE orders SET status = ? WHERE id = ?")
                .params(status.code(), order)
                .update();
    }

    public void setProof(long order, Order.Proof proof) {
        jdbc.sql("UPDATE orders SET proof = ? WHERE id = ?")
                .params(proof.code(), order)
                .update();
    }

    public Optional<Order> byToken(String token) {
        return find("token = ?", token);
    }

    public Optional<Order> byNumber(long number) {
        return find("number = ?", number);
    }

    public Optional<Order> byId(long id) {
        return find("id = ?", id);
    }

    public Optional<Order> byBooking(String booking) {
        return find("id = (SELECT order_id FROM bookings WHERE id = ?)", booking);
    }

    /** The latest that was placed from a basket. */
    public Optional<Order> byBasket(String basket) {
        return find("id = (SELECT max(id) FROM orders WHERE basket = ?)", basket);
    }

    private Optional<Order> find(String condition, Object value) {
        return jdbc.sql("SELECT * FROM orders WHERE " + condition)
                .param(value)
                .query(this::order)
                .optional();
    }

    /** How many orders of a mail address a code has lowered. */
    public int usesOf(String code, String email) {
        return jdbc.sql(
                        """
                        SELECT count(*) FROM orders
                        WHERE promo_code = ? AND email = ? COLLATE NOCASE AND status <> 'lapsed'
                        """)
                .params(code, email)
                .query(Integer.class)
                .single();
    }

    /**
     * What a code brought.
     *
     * @param orders how many it lowered
     * @param total what these cost
     */
    public record Brought(int orders, Money total) {}

    public Brought broughtBy(String code) {
        return jdbc.sql(
                        """
                        SELECT count(*) AS orders, coalesce(sum(total), 0) AS total FROM orders
                        WHERE promo_code = ? AND status <> 'lapsed'
                        """)
                .param(code)
                .query((row, n) -> new Brought(row.getInt("orders"), Money.ofMinor(row.getLong("total"))))
                .single();
    }

    /** The newest orders, the last one first. */
    public List<Order> newest(int most) {
        return all("SELECT * FROM orders ORDER BY number DESC LIMIT :most", "", most);
    }

    /** From where its guest came, where no basket says it. */
    public void setSource(long order, String source) {
        jdbc.sql("UPDATE orders SET source = ? WHERE id = ?")
                .params(source, order)
                .update();
    }

    /** The newest orders of those who came from somewhere, the last one first. */
    public List<Order> newestFrom(String source, int most) {
        return all(
                "SELECT * FROM orders WHERE source = :source AND source <> '' ORDER BY placed_at DESC LIMIT :most",
                source,
                most);
    }

    /** The newest orders under a mail address that are not forgotten, the last one first. */
    List<Order> ofGuest(String email, int most) {
        return all(
                "SELECT * FROM orders WHERE email = :source COLLATE NOCASE AND forgotten_at IS NULL"
                        + " ORDER BY number DESC LIMIT :most",
                email,
                most);
    }

    private List<Order> all(String orders, String source, int most) {
        Map<Long, List<OrderLine>> lines = new HashMap<>();
        jdbc.sql(LINES + "WHERE l.order_id IN (SELECT id FROM (" + orders + ") o) ORDER BY l.line")
                .param("source", source)
                .param("most", most)
                .query(row -> {
                    lines.computeIfAbsent(row.getLong("order_id"), o -> new ArrayList<>())
                            .add(line(row, 0));
                });
        return jdbc.sql(orders)
                .param("source", source)
                .param("most", most)
                .query((row, n) -> order(row, lines.getOrDefault(row.getLong("id"), List.of())))
                .list();
    }

    private Order order(ResultSet row, int number) throws SQLException {
        return order(row, lines(row.getLong("id")));
    }

    private static Order order(ResultSet row, List<OrderLine> lines) throws SQLException {
        return new Order(
                row.getLong("id"),
                row.getLong("number"),
                row.getString("token"),
                new Contact(
                        row.getString("name"),
                        row.getString("email"),
                        row.getString("phone"),
                        row.getString("company"),
                        row.getString("address"),
                        row.getString("notes"),
                        row.getBoolean("texts")),
                Locale.forLanguageTag(row.getString("locale")),
                OrderStatus.ofCode(row.getString("status")),
                Money.ofMinor(row.getLong("total")),
                Money.ofMinor(row.getLong("due_now")),
                Instant.ofEpochSecond(row.getLong("placed_at")),
                Order.Proof.valueOf(row.getString("proof").toUpperCase(Locale.ROOT)),
                row.getString("source"),
                lines);
    }

    private List<OrderLine> lines(long order) {
        return jdbc.sql(LINES + "WHERE l.order_id = ? ORDER BY l.line")
                .param(order)
                .query(OrderStore::line)
                .list();
    }

    private static OrderLine line(ResultSet row, int number) throws SQLException {
        String due = row.getString("balance_due");
        long expires = row.getLong("expires_at");
        boolean expiring = !row.wasNull();
        return new OrderLine(
                BookingStore.reserved(row),
                BookingStatus.ofCode(row.getString("status")),
                expiring ? Instant.ofEpochSecond(expires) : null,
                row.getString("came"),
                Money.ofMinor(row.getLong("discount")),
                Money.ofMinor(row.getLong("covered")),
                Money.ofMinor(row.getLong("total")),
                Money.ofMinor(row.getLong("deposit")),
                Money.ofMinor(row.getLong("waived")),
                Money.ofMinor(row.getLong("floor")),
                row.getInt("visits_kept") == 1,
                Money.ofMinor(row.getLong("paid")),
                Money.ofMinor(row.getLong("due_now")),
                Money.ofMinor(row.getLong("balance")),
                due == null ? null : LocalDate.parse(due),
                SoldFile.read(HouseFile.parse(row.getString("sold"))));
    }
}
