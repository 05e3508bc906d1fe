package gastfreund.app.baskets;

import gastfreund.app.catalogue.Quantities;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.Quote;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps baskets and their holds. */
@Repository
class BasketStore {

    private final JdbcClient jdbc;

    BasketStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean exists(String token) {
        return jdbc.sql("SELECT count(*) FROM baskets WHERE token = ?").param(token).query(Integer.class).single() > 0;
    }

    void insert(String token, Instant now) {
        jdbc.sql("INSERT INTO baskets (token, created_at) VALUES (?, ?)")
                .params(token, now.getEpochSecond())
                .update();
    }

    /** @param visitor the mark of whoever keeps the place */
    void insertHold(String basket, BasketLine line, String visitor) {
        jdbc.sql(
                        """
                        INSERT INTO bookings (id, offer, start_at, end_at, place, length, units, party, add_ons, status,
                                              held_at, expires_at, first_held_at, renewals, basket, visitor)
                        VALUES (:id, :offer, :start, :end, :place, :length, :units, :party, :addOns, 'held',
                                :heldAt, :expires, :firstHeld, :renewals, :basket, :visitor)
                        """)
                .params(parameters(basket, line))
                .param("visitor", visitor)
                .param("offer", line.offer().value())
                .update();
        insertStaff(line);
    }

    private static Map<String, Object> parameters(String basket, BasketLine line) {
        Map<String, Object> parameters = new HashMap<>();
        parameters.put("id", line.id().value());
        parameters.put("start", line.time().start() * 60);
        parameters.put("end", line.time().end() * 60);
        parameters.put("place", line.place() == null ? null : line.place().value());
        parameters.put("length", line.length().value());
        parameters.put("units", line.units());
        parameters.put("party", line.party());
        parameters.put("addOns", Quantities.written(line.addOns()));
        parameters.put("heldAt", line.heldSince().getEpochSecond());
        parameters.put("expires", line.expires().getEpochSecond());
        parameters.put("firstHeld", line.firstHeld().getEpochSecond());
        parameters.put("renewals", line.renewals());
        parameters.put("basket", basket);
        return parameters;
    }

    private void insertStaff(BasketLine line) {
        for (StaffId person : line.staff()) {
            jdbc.sql("INSERT INTO booking_staff (booking, staff) VALUES (?, ?)")
                    .params(line.id().value(), person.value())
                    .update();
        }
    }

    /** Changes a line that is not yet ordered into another of the same offer. */
    void change(String basket, BasketLine line) {
        int changed = jdbc.sql(
                        """
                        UPDATE bookings
                        SET start_at = :start, end_at = :end, place = :place, length = :length, units = :units,
                            party = :party, add_ons = :addOns, held_at = :heldAt, expires_at = :expires,
                            first_held_at = :firstHeld, renewals = :renewals
                        WHERE id = :id AND basket = :basket AND order_id IS NULL AND status = 'held'
                        """)
                .params(parameters(basket, line))
                .update();
        if (changed > 0) {
            jdbc.sql("DELETE FROM booking_staff WHERE booking = ?").param(line.id().value()).update();
            insertStaff(line);
        }
    }

    /** The lines of a basket that are not yet ordered, in the order in which they were added. */
    List<BasketLine> lines(String basket) {
        return jdbc.sql(
                        """
                        SELECT b.*,
                               (SELECT group_concat(s.staff, ' ') FROM booking_staff s WHERE s.booking = b.id) AS staff
                        FROM bookings b
                        WHERE b.basket = ? AND b.order_id IS NULL AND b.status = 'held'
                        ORDER BY b.rowid
                        """)
                .param(basket)
                .query(BasketStore::line)
                .list();
    }

    private static BasketLine line(ResultSet row, int number) throws SQLException {
        String staff = row.getString("staff");
        String place = row.getString("place");
        long held = row.getLong("held_at");
        long first = row.getLong("first_held_at");
        boolean known = !row.wasNull();
        return new BasketLine(
                new BookingId(row.getString("id")),
                new OfferId(row.getString("offer")),
                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                place == null ? null : new PlaceId(place),
                new LengthId(row.getString("length")),
                row.getInt("units"),
                row.getInt("party"),
                Quantities.read(row.getString("add_ons")),
                staff == null ? List.of() : Arrays.stream(staff.split(" ")).map(StaffId::new).toList(),
                Quote.Pay.valueOf(row.getString("pay").toUpperCase(Locale.ROOT)),
                Instant.ofEpochSecond(held),
                Instant.ofEpochSecond(row.getLong("expires_at")),
                Instant.ofEpochSecond(known ? first : held),
                row.getInt("renewals"));
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
        return jdbc.sql("SELECT id, coalesce(visitor, '') AS visitor FROM bookings WHERE status = 'held' AND expires_at > ?")
                .param(now.getEpochSecond())
                .query((row, n) -> new Unpaid(new BookingId(row.getString("id")), row.getString("visitor")))
                .list();
    }

    /** The code that was entered for a basket; empty where none was. */
    String promoCode(String basket) {
        return jdbc.sql("SELECT promo_code FROM baskets WHERE token = ?").param(basket).query(String.class).single();
    }

    void setPromoCode(String basket, String code) {
        jdbc.sql("UPDATE baskets SET promo_code = ? WHERE token = ?").params(code, basket).update();
    }

    /** How many orders a code has lowered. */
    int usesOf(String code) {
        return jdbc.sql("SELECT count(*) FROM orders WHERE promo_code = ? AND status <> 'lapsed'")
                .param(code)
                .query(Integer.class)
                .single();
    }

    void setPay(String basket, BookingId line, Quote.Pay pay) {
        jdbc.sql("UPDATE bookings SET pay = ? WHERE id = ? AND basket = ? AND order_id IS NULL AND status = 'held'")
                .params(pay.name().toLowerCase(Locale.ROOT), line.value(), basket)
                .update();
    }

    /** Ends a hold that is not yet ordered; false where the basket has no such line. */
    boolean release(String basket, BookingId line) {
        return jdbc.sql(
                                """
                                UPDATE bookings SET status = 'cancelled'
                                WHERE id = ? AND basket = ? AND order_id IS NULL AND status = 'held'
                                """)
                        .params(line.value(), basket)
                        .update()
                > 0;
    }
}
