package gastfreund.app.bookingpage;

import gastfreund.core.hours.OfferId;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what a guest has booked, by their mail address. */
@Repository
class MineStore {

    private static final int MOST = 20;

    /**
     * An order of theirs.
     *
     * @param token of its page
     * @param offer of its first booking that is not over
     * @param start of its first booking that is not over, in minutes
     * @param bookings how many of it are not over
     */
    record Mine(String token, OfferId offer, long start, int bookings) {}

    private final JdbcClient jdbc;

    MineStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The orders of which something is not over after an instant, the soonest first. */
    List<Mine> after(String email, Instant now) {
        return jdbc.sql(
                        """
                        SELECT o.token, min(b.start_at) AS start_at, count(*) AS bookings,
                               (SELECT f.offer FROM bookings f
                                WHERE f.order_id = o.id AND f.end_at > :now AND f.status IN ('requested', 'confirmed')
                                ORDER BY f.start_at LIMIT 1) AS offer
                        FROM orders o JOIN bookings b ON b.order_id = o.id
                        WHERE o.email = :email COLLATE NOCASE AND o.forgotten_at IS NULL AND b.end_at > :now
                          AND b.status IN ('requested', 'confirmed')
                        GROUP BY o.id ORDER BY start_at LIMIT :most
                        """)
                .param("email", email)
                .param("now", now.getEpochSecond())
                .param("most", MOST)
                .query((row, n) -> new Mine(
                        row.getString("token"),
                        new OfferId(row.getString("offer")),
                        row.getLong("start_at") / 60,
                        row.getInt("bookings")))
                .list();
    }
}
