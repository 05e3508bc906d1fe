package gastfreund.app.letters;

import gastfreund.core.bookings.BookingId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads how often bookings were moved. */
@Repository
class MovesStore {

    private final JdbcClient jdbc;

    MovesStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    int of(BookingId booking) {
        return jdbc.sql("SELECT moves FROM bookings WHERE id = ?")
                .param(booking.value())
                .query(Integer.class)
                .optional()
                .orElse(0);
    }
}
