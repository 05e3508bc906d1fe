package gastfreund.app.board;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.BookingStore;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what the board shows. */
@Repository
class BoardStore {

    private final JdbcClient jdbc;

    BoardStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The bookings that take place, or are kept, in a stretch of time. */
    List<BoardBooking> between(Interval stretch, Instant now) {
        return jdbc.sql("SELECT b.status, b.expires_at, " + BookingStore.RESERVED
                        + """
                        , o.name, o.number, coalesce(l.total, 0) AS total, coalesce(l.paid, 0) AS paid
                        FROM bookings b
                        LEFT JOIN orders o ON o.id = b.order_id
                        LEFT JOIN order_lines l ON l.booking = b.id
                        WHERE\s"""
                        + BookedStore.TOUCHING + " ORDER BY b.start_at, b.id")
                .param("from", stretch.start() * 60)
                .param("to", stretch.end() * 60)
                .param("now", now.getEpochSecond())
                .query(BoardStore::booking)
                .list();
    }

    /**
     * What a booking takes.
     *
     * @param expires when it takes nothing any more, in seconds since the epoch; {@link Long#MAX_VALUE}: never
     */
    record Taken(OfferId offer, Interval time, int party, boolean asks, List<StaffId> staff, long expires) {}

    /** The same bookings as far as it matters how much they take. */
    List<Taken> taken(Interval stretch, Instant now) {
        return jdbc.sql(
                        """
                        SELECT b.offer, b.start_at, b.end_at, b.party, b.status = 'requested' AS asks, b.expires_at, b.status = 'held' AS held,
                               (SELECT group_concat(s.staff, ' ') FROM booking_staff s WHERE s.booking = b.id) AS staff
                        FROM bookings b WHERE\s"""
                                + BookedStore.TOUCHING + " ORDER BY b.start_at, b.id")
                .param("from", stretch.start() * 60)
                .param("to", stretch.end() * 60)
                .param("now", now.getEpochSecond())
                .query((row, n) -> new Taken(
                        new OfferId(row.getString("offer")),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                        row.getInt("party"),
                        row.getBoolean("asks"),
                        BookingStore.staff(row),
                        row.getBoolean("held") ? row.getLong("expires_at") : Long.MAX_VALUE))
                .list();
    }

    private static BoardBooking booking(ResultSet row, int number) throws SQLException {
        long expires = row.getLong("expires_at");
        boolean expiring = !row.wasNull();
        return new BoardBooking(
                row.getString("id"),
                new OfferId(row.getString("offer")),
                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                row.getInt("party"),
                BookingStatus.ofCode(row.getString("status")),
                expiring ? Instant.ofEpochSecond(expires) : null,
                BookingStore.staff(row),
                row.getString("place") == null ? null : new PlaceId(row.getString("place")),
                row.getString("name"),
                row.getLong("number"),
                Money.ofMinor(row.getLong("total")),
                Money.ofMinor(row.getLong("paid")));
    }
}
