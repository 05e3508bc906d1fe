package gastfreund.app.several;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds the bookings of somebody's day. */
@Repository
class SeveralStore {

    private final JdbcClient jdbc;

    SeveralStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What somebody serves that begins in a stretch of time and stands or asks, the first one first. */
    List<BookingId> ofPerson(StaffId person, Interval stretch, int most) {
        return jdbc.sql(
                        """
                        SELECT b.id FROM bookings b
                        WHERE b.start_at >= ? AND b.start_at < ? AND b.status IN ('requested', 'confirmed')
                          AND b.order_id IS NOT NULL
                          AND EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b.id AND s.staff = ?)
                        ORDER BY b.start_at, b.id LIMIT ?
                        """)
                .params(stretch.start() * 60, stretch.end() * 60, person.value(), most)
                .query((row, n) -> new BookingId(row.getString("id")))
                .list();
    }
}
