package gastfreund.app.endings;

import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import gastfreund.core.bookings.BookingId;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds bookings that wait for an answer, or have ended. */
@Repository
class EndingStore {

    private final JdbcClient jdbc;

    EndingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Requests that nobody answered although they were placed before an instant, or start by now. */
    List<BookingId> unanswered(Instant placedBefore, Instant now) {
        return jdbc.sql(
                        """
                        SELECT b.id FROM bookings b JOIN orders o ON o.id = b.order_id
                        WHERE b.status = 'requested' AND (o.placed_at <= :placed OR b.start_at <= :now) AND\s"""
                                + WorkStore.isReady(Kind.UNANSWERED, "b.id") + " ORDER BY b.start_at LIMIT 500")
                .param("placed", placedBefore.getEpochSecond())
                .param("now", now.getEpochSecond())
                .query((row, n) -> new BookingId(row.getString("id")))
                .list();
    }

    int countAsking() {
        return jdbc.sql("SELECT count(*) FROM bookings WHERE status = 'requested'")
                .query(Integer.class)
                .single();
    }

    /** Orders with a request that waits for an answer, those that start the soonest first. */
    List<Long> asking() {
        return jdbc.sql(
                        """
                        SELECT order_id FROM bookings WHERE status = 'requested' AND order_id IS NOT NULL
                        GROUP BY order_id
                        ORDER BY min(start_at)
                        """)
                .query(Long.class)
                .list();
    }

    /** Confirmed bookings of orders that ended before an instant, the oldest first. */
    List<BookingId> endedBefore(Instant before, Instant now) {
        return jdbc.sql(
                        """
                        SELECT id FROM bookings
                        WHERE status = 'confirmed' AND end_at < :before AND order_id IS NOT NULL AND\s"""
                                + WorkStore.isReady(Kind.ATTENDED, "id") + " ORDER BY end_at LIMIT 500")
                .param("before", before.getEpochSecond())
                .param("now", now.getEpochSecond())
                .query((row, n) -> new BookingId(row.getString("id")))
                .list();
    }
}
