package gastfreund.app.bookings;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Keeps what takes time: bookings, those who serve them, and busy times. Nobody else writes these tables; everything belongs
 * into the transaction that causes it.
 */
@Repository
public class BookingStore {

    /** For a statement about {@code bookings b}: the columns that {@link #reserved} reads. */
    public static final String RESERVED =
            """
            b.id, b.offer, b.start_at, b.end_at, b.place, b.length, b.units, b.party, b.add_ons,
            (SELECT group_concat(s.staff, ' ') FROM booking_staff s WHERE s.booking = b.id) AS staff
            """;

    private final JdbcClient jdbc;
    private final BookingChanges changes;

    BookingStore(JdbcClient jdbc, BookingChanges changes) {
        this.jdbc = jdbc;
        this.changes = changes;
    }

    /** What a row of a statement with {@link #RESERVED} reserves. */
    public static Reserved reserved(ResultSet row) throws SQLException {
        String place = row.getString("place");
        return new Reserved(
                new BookingId(row.getString("id")),
                new OfferId(row.getString("offer")),
                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                place == null ? null : new PlaceId(place),
                new LengthId(row.getString("length")),
                row.getInt("units"),
                row.getInt("party"),
                Quantities.read(row.getString("add_ons")),
                staff(row));
    }

    /** Who serves, as a row of a statement with {@link #RESERVED} says. */
    public static List<StaffId> staff(ResultSet row) throws SQLException {
        String staff = row.getString("staff");
        return staff == null
                ? List.of()
                : Arrays.stream(staff.split(" ")).map(StaffId::new).toList();
    }

    private static Map<String, @Nullable Object> parameters(Reserved reserved, Hold hold) {
        Map<String, @Nullable Object> parameters = new HashMap<>();
        parameters.put("id", reserved.id().value());
        parameters.put("start", reserved.time().start() * 60);
        parameters.put("end", reserved.time().end() * 60);
        parameters.put(
                "place", reserved.place() == null ? null : reserved.place().value());
        parameters.put("length", reserved.length().value());
        parameters.put("units", reserved.units());
        parameters.put("party", reserved.party());
        parameters.put("addOns", Quantities.written(reserved.addOns()));
        parameters.put("heldAt", hold.since().getEpochSecond());
        parameters.put("expires", hold.expires().getEpochSecond());
        parameters.put("firstHeld", hold.first().getEpochSecond());
        parameters.put("renewals", hold.renewals());
        return parameters;
    }

    /** @param visitor the mark of whoever keeps the place */
    public void insertHold(String basket, Reserved reserved, Hold hold, String visitor) {
        changes.note();
        jdbc.sql(
                        """
                        INSERT INTO bookings (id, offer, start_at, end_at, place, length, units, party, add_ons, status,
                                              held_at, expires_at, first_held_at, renewals, basket, visitor)
                        VALUES (:id, :offer, :start, :end, :place, :length, :units, :party, :addOns, 'held',
                                :heldAt, :expires, :firstHeld, :renewals, :basket, :visitor)
                        """)
                .params(parameters(reserved, hold))
                .param("offer", reserved.offer().value())
                .param("basket", basket)
                .param("visitor", visitor)
                .update();
        insertStaff(reserved.id(), reserved.staff());
    }

    /** What a booking is sold with. */
    public void setAddOns(BookingId booking, Map<AddOnId, Integer> addOns) {
        changes.note();
        jdbc.sql("UPDATE bookings SET add_ons = ? WHERE id = ?")
                .params(Quantities.written(addOns), booking.value())
                .update();
    }

    /** Changes a hold that is not yet ordered into another of the same offer. */
    public void changeHold(String basket, Reserved reserved, Hold hold) {
        changes.note();
        int changed = jdbc.sql(
                        """
                        UPDATE bookings
                        SET start_at = :start, end_at = :end, place = :place, length = :length, units = :units,
                            party = :party, add_ons = :addOns, held_at = :heldAt, expires_at = :expires,
                            first_held_at = :firstHeld, renewals = :renewals
                        WHERE id = :id AND basket = :basket AND order_id IS NULL AND status = 'held'
                        """)
                .params(parameters(reserved, hold))
                .param("basket", basket)
                .update();
        if (changed > 0) {
            replaceStaff(reserved.id(), reserved.staff());
        }
    }

    /** Ends a hold that is not yet ordered; false where the basket has no such line. */
    public boolean release(String basket, BookingId hold) {
        changes.note();
        return jdbc.sql(
                                """
                                UPDATE bookings SET status = 'cancelled'
                                WHERE id = ? AND basket = ? AND order_id IS NULL AND status = 'held'
                                """)
                        .params(hold.value(), basket)
                        .update()
                > 0;
    }

    /** @param pay when a hold that is not yet ordered is to be paid, by its name in tables */
    public void setPay(String basket, BookingId hold, String pay) {
        jdbc.sql("UPDATE bookings SET pay = ? WHERE id = ? AND basket = ? AND order_id IS NULL AND status = 'held'")
                .params(pay, hold.value(), basket)
                .update();
    }

    /** Writes a booking that was made elsewhere. */
    public void insert(Booking booking, Length length, Instant placed) {
        insert(booking, length, length.minUnits(), placed);
    }

    /** The same of so many units. */
    public void insert(Booking booking, Length length, int units, Instant placed) {
        changes.note();
        jdbc.sql(
                        """
                        INSERT INTO bookings (id, offer, start_at, end_at, place, length, units, party, add_ons, status,
                                              held_at)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(Arrays.asList(
                        booking.id().value(),
                        booking.offer().value(),
                        booking.start() * 60,
                        (booking.start() + booking.minutes().count()) * 60,
                        booking.place() == null ? null : booking.place().value(),
                        length.id().value(),
                        units,
                        booking.party(),
                        Quantities.written(booking.addOns()),
                        booking.status().code(),
                        placed.getEpochSecond()))
                .update();
        insertStaff(booking.id(), booking.staff());
    }

    /** Writes busy time of one of the staff. */
    public void insert(Busy busy) {
        changes.note();
        jdbc.sql("INSERT INTO busy (staff, start_at, end_at) VALUES (?, ?, ?)")
                .params(
                        busy.staff().value(),
                        busy.interval().start() * 60,
                        busy.interval().end() * 60)
                .update();
    }

    /** Writes the busy times that come from one source in the place of those that did, where they are others. */
    public void replaceBusy(long source, StaffId staff, List<Interval> busy) {
        List<Interval> before = jdbc.sql("SELECT start_at, end_at FROM busy WHERE source = ? ORDER BY start_at")
                .param(source)
                .query((row, n) -> Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60))
                .list();
        if (before.equals(busy)) {
            return;
        }
        changes.note();
        jdbc.sql("DELETE FROM busy WHERE source = ?").param(source).update();
        for (Interval interval : busy) {
            jdbc.sql("INSERT INTO busy (staff, start_at, end_at, source) VALUES (?, ?, ?, ?)")
                    .params(staff.value(), interval.start() * 60, interval.end() * 60, source)
                    .update();
        }
    }

    /** Keeps times free. */
    public void block(long blocked, StaffId staff, List<Interval> times) {
        changes.note();
        for (Interval time : times) {
            jdbc.sql("INSERT INTO busy (staff, start_at, end_at, blocked) VALUES (?, ?, ?, ?)")
                    .params(staff.value(), time.start() * 60, time.end() * 60, blocked)
                    .update();
        }
    }

    /** Gives one time free that was kept so. */
    public void free(long busy) {
        changes.note();
        jdbc.sql("DELETE FROM busy WHERE id = ? AND blocked IS NOT NULL")
                .param(busy)
                .update();
    }

    /** Gives free what was kept so and ends after a minute. */
    public void free(long blocked, long minute) {
        changes.note();
        jdbc.sql("DELETE FROM busy WHERE blocked = ? AND end_at > ?")
                .params(blocked, minute * 60)
                .update();
    }

    private void insertStaff(BookingId booking, List<StaffId> staff) {
        for (StaffId person : staff) {
            jdbc.sql("INSERT INTO booking_staff (booking, staff) VALUES (?, ?)")
                    .params(booking.value(), person.value())
                    .update();
        }
    }

    private void replaceStaff(BookingId booking, List<StaffId> staff) {
        jdbc.sql("DELETE FROM booking_staff WHERE booking = ?")
                .param(booking.value())
                .update();
        insertStaff(booking, staff);
    }

    /** Notes whether its guests came. */
    public void setCame(BookingId booking, String code) {
        jdbc.sql("UPDATE bookings SET came = ? WHERE id = ?")
                .params(code, booking.value())
                .update();
    }

    /** Makes a booking one of an order. */
    public void setOrder(BookingId booking, long order) {
        jdbc.sql("UPDATE bookings SET order_id = ? WHERE id = ?")
                .params(order, booking.value())
                .update();
    }

    /** Lets a booking take a step; whether it is allowed is asked before. */
    public void setStatus(BookingId booking, BookingStatus status) {
        changes.note();
        jdbc.sql("UPDATE bookings SET status = ? WHERE id = ?")
                .params(status.code(), booking.value())
                .update();
    }

    /**
     * @param place null where the offer has none
     * @param now since when it has its start, where that is another than before
     */
    public void move(BookingId booking, Interval time, @Nullable PlaceId place, List<StaffId> staff, Instant now) {
        changes.note();
        jdbc.sql(
                        """
                        UPDATE bookings SET start_since = CASE WHEN start_at = :start THEN start_since ELSE :now END,
                                            start_at = :start, end_at = :end, place = :place, moves = moves + 1
                        WHERE id = :id
                        """)
                .param("start", time.start() * 60)
                .param("end", time.end() * 60)
                .param("place", place == null ? null : place.value())
                .param("id", booking.value())
                .param("now", now.getEpochSecond())
                .update();
        replaceStaff(booking, staff);
    }

    /** Notes of what length a booking is, and of how many of its units; its time is another already. */
    public void setLength(BookingId booking, LengthId length, int units) {
        jdbc.sql("UPDATE bookings SET length = ?, units = ? WHERE id = ?")
                .params(length.value(), units, booking.value())
                .update();
    }

    /** Lets the holds of an order end at {@code until}, whether that is sooner or later than before. */
    public void holdUntil(long order, Instant until) {
        changes.note();
        jdbc.sql("UPDATE bookings SET expires_at = ? WHERE order_id = ? AND status = 'held'")
                .params(until.getEpochSecond(), order)
                .update();
    }

    /**
     * Lets what a basket keeps last until an instant, unless it lasts longer, and no longer than so many seconds after it was
     * first kept; what is kept no longer stays so.
     */
    public void extendBasket(String basket, Instant now, Instant until, long longest) {
        changes.note();
        jdbc.sql(
                        """
                        UPDATE bookings SET expires_at = max(expires_at, min(?, first_held_at + ?))
                        WHERE basket = ? AND order_id IS NULL AND status = 'held' AND expires_at > ?
                        """)
                .params(until.getEpochSecond(), longest, basket, now.getEpochSecond())
                .update();
    }

    /** Lets the holds of an order last until {@code until}, unless they last longer. */
    public void extendHolds(long order, Instant until) {
        changes.note();
        jdbc.sql("UPDATE bookings SET expires_at = max(expires_at, ?) WHERE order_id = ? AND status = 'held'")
                .params(until.getEpochSecond(), order)
                .update();
    }

    /** Forgets who kept the places of an order. */
    public void forgetVisitors(long order) {
        jdbc.sql("UPDATE bookings SET visitor = NULL, basket = NULL WHERE order_id = ?")
                .param(order)
                .update();
    }

    /** Removes the bookings of an order that is taken back as if it had never been. */
    public void removeOf(long order) {
        changes.note();
        jdbc.sql("DELETE FROM bookings WHERE order_id = ?").param(order).update();
    }

    /** Removes holds that ended before an instant without an order. */
    public void removeHolds(Instant before) {
        jdbc.sql("DELETE FROM bookings WHERE order_id IS NULL AND status IN ('held', 'cancelled') AND expires_at < ?")
                .param(before.getEpochSecond())
                .update();
    }

    /** Parts bookings that were ordered before an instant from the baskets they once lay in. */
    public void leaveBaskets(Instant before) {
        jdbc.sql("UPDATE bookings SET basket = NULL WHERE order_id IS NOT NULL AND held_at < ? AND basket IS NOT NULL")
                .param(before.getEpochSecond())
                .update();
    }
}
