package gastfreund.app.openings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Booked;
import gastfreund.core.openings.Booking;
import gastfreund.core.openings.BookingId;
import gastfreund.core.openings.BookingStatus;
import gastfreund.core.openings.Busy;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what takes time, as far as it can touch a stretch of it. */
@Repository
class BookedStore {

    private final JdbcClient jdbc;

    BookedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What takes time at {@code now}; places that are no longer kept do not. */
    Booked touching(Interval reach, Instant now) {
        return Booked.of(bookings(reach, now), busy(reach));
    }

    private List<Booking> bookings(Interval reach, Instant now) {
        return jdbc.sql(
                        """
                        SELECT b.id, b.offer, b.start_at, b.end_at, b.place, b.party, b.status, b.expires_at,
                               (SELECT group_concat(s.staff, ' ') FROM booking_staff s WHERE s.booking = b.id) AS staff
                        FROM bookings b
                        WHERE b.start_at > :from - max(
                                  (SELECT coalesce(max(end_at - start_at), 0) FROM bookings
                                   WHERE status IN ('requested', 'confirmed', 'completed', 'no-show')),
                                  (SELECT coalesce(max(end_at - start_at), 0) FROM bookings
                                   WHERE status = 'held' AND expires_at > :now))
                          AND b.start_at < :to
                          AND b.end_at > :from
                          AND (b.status IN ('requested', 'confirmed', 'completed', 'no-show')
                               OR b.status = 'held' AND b.expires_at > :now)
                        ORDER BY b.start_at, b.id
                        """)
                .param("from", reach.start() * 60)
                .param("to", reach.end() * 60)
                .param("now", now.getEpochSecond())
                .query(BookedStore::booking)
                .list();
    }

    private static Booking booking(ResultSet row, int number) throws SQLException {
        long start = row.getLong("start_at") / 60;
        long expires = row.getLong("expires_at");
        boolean expiring = !row.wasNull();
        String place = row.getString("place");
        String staff = row.getString("staff");
        return new Booking(
                new BookingId(row.getString("id")),
                new OfferId(row.getString("offer")),
                start,
                Minutes.of(row.getLong("end_at") / 60 - start),
                staff == null ? List.of() : Arrays.stream(staff.split(" ")).map(StaffId::new).toList(),
                place == null ? null : new PlaceId(place),
                row.getInt("party"),
                BookingStatus.ofCode(row.getString("status")),
                expiring ? Instant.ofEpochSecond(expires) : null,
                Map.of());
    }

    private List<Busy> busy(Interval reach) {
        return jdbc.sql("SELECT staff, start_at, end_at FROM busy WHERE end_at > ? AND start_at < ?")
                .params(reach.start() * 60, reach.end() * 60)
                .query((row, n) -> new Busy(
                        new StaffId(row.getString("staff")),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60)))
                .list();
    }
}
