package gastfreund.app.companions;

import gastfreund.core.bookings.BookingId;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps who comes along. */
@Repository
class CompanionStore {

    private final JdbcClient jdbc;

    CompanionStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** False where the address was invited already. */
    boolean insert(BookingId booking, String name, String email, Instant now) {
        return jdbc.sql(
                                """
                                INSERT INTO companions (booking, name, email, invited) VALUES (?, ?, ?, ?)
                                ON CONFLICT (booking, email) DO NOTHING
                                """)
                        .params(booking.value(), name, email, now.getEpochSecond())
                        .update()
                > 0;
    }

    /** Those of a booking, in the order in which they were invited. */
    List<Companion> of(BookingId booking) {
        return jdbc.sql("SELECT id, name, email FROM companions WHERE booking = ? ORDER BY id")
                .param(booking.value())
                .query((row, n) ->
                        new Companion(row.getLong("id"), booking, row.getString("name"), row.getString("email")))
                .list();
    }

    void delete(BookingId booking, long id) {
        jdbc.sql("DELETE FROM companions WHERE id = ? AND booking = ?")
                .params(id, booking.value())
                .update();
    }

    /** Forgets those of an order. */
    void forget(long order) {
        jdbc.sql("DELETE FROM companions WHERE booking IN (SELECT id FROM bookings WHERE order_id = ?)")
                .param(order)
                .update();
    }
}
