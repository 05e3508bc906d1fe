package gastfreund.app.baskets;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Hold;
import gastfreund.app.visits.VisitStore;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.orders.Quote;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps baskets, and reads the holds in them. */
@Repository
class BasketStore {

    private final JdbcClient jdbc;

    BasketStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean exists(String token) {
        return jdbc.sql("SELECT count(*) FROM baskets WHERE token = ?")
                        .param(token)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Notes that its guest asked for more time; false where they have before, or there is no such basket. */
    boolean extend(String token, Instant now) {
        return jdbc.sql("UPDATE baskets SET extended_at = ? WHERE token = ? AND extended_at IS NULL")
                        .params(now.getEpochSecond(), token)
                        .update()
                > 0;
    }

    /** Whether its guest has asked for more time. */
    boolean isExtended(String token) {
        return jdbc.sql("SELECT count(*) FROM baskets WHERE token = ? AND extended_at IS NOT NULL")
                        .param(token)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** @param source from where its guest came; empty: nobody knows */
    void insert(String token, String source, Instant now) {
        jdbc.sql("INSERT INTO baskets (token, source, created_at) VALUES (?, ?, ?)")
                .params(token, source, now.getEpochSecond())
                .update();
    }

    void setSource(String token, String source) {
        jdbc.sql("UPDATE baskets SET source = ? WHERE token = ?")
                .params(source, token)
                .update();
    }

    /** The lines of a basket that are not yet ordered, in the order in which they were added. */
    List<BasketLine> lines(String basket) {
        return jdbc.sql(
                        "SELECT b.pay, b.held_at, b.expires_at, b.first_held_at, b.renewals, " + BookingStore.RESERVED
                                + "," + VisitStore.COLUMNS
                                + """
                         FROM bookings b LEFT JOIN visits v ON v.booking = b.id
                        WHERE b.basket = ? AND b.order_id IS NULL AND b.status = 'held'
                        ORDER BY b.rowid
                        """)
                .param(basket)
                .query(BasketStore::line)
                .list();
    }

    private static BasketLine line(ResultSet row, int number) throws SQLException {
        long held = row.getLong("held_at");
        long first = row.getLong("first_held_at");
        boolean known = !row.wasNull();
        return new BasketLine(
                BookingStore.reserved(row),
                new Hold(
                        Instant.ofEpochSecond(held),
                        Instant.ofEpochSecond(row.getLong("expires_at")),
                        Instant.ofEpochSecond(known ? first : held),
                        row.getInt("renewals")),
                Quote.Pay.valueOf(row.getString("pay").toUpperCase(Locale.ROOT)),
                VisitStore.read(row));
    }

    /** How many places a visitor keeps without having paid. */
    int countKept(String visitor, Instant now) {
        return jdbc.sql("SELECT count(*) FROM bookings WHERE visitor = ? AND status = 'held' AND expires_at > ?")
                .params(visitor, now.getEpochSecond())
                .query(Integer.class)
                .single();
    }

    /** A place that is kept and not paid for. */
    record Unpaid(BookingId booking, String visitor) {}

    /** All places that are kept and not paid for. */
    List<Unpaid> unpaid(Instant now) {
        return jdbc.sql(
                        """
                        SELECT id, coalesce(visitor, '') AS visitor FROM bookings
                        WHERE status = 'held' AND expires_at > ? AND coalesce(visitor, '') <> ?
                        """)
                .params(now.getEpochSecond(), Holds.WAITED)
                .query((row, n) -> new Unpaid(new BookingId(row.getString("id")), row.getString("visitor")))
                .list();
    }

    /** The code that was entered for a basket; empty where none was. */
    String promoCode(String basket) {
        return jdbc.sql("SELECT promo_code FROM baskets WHERE token = ?")
                .param(basket)
                .query(String.class)
                .single();
    }

    void setPromoCode(String basket, String code) {
        jdbc.sql("UPDATE baskets SET promo_code = ? WHERE token = ?")
                .params(code, basket)
                .update();
    }

    /** How many orders a code has lowered. */
    int usesOf(String code) {
        return jdbc.sql("SELECT count(*) FROM orders WHERE promo_code = ? AND status <> 'lapsed'")
                .param(code)
                .query(Integer.class)
                .single();
    }
}
