package gastfreund.app.paying;

import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import gastfreund.core.bookings.BookingId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds bookings with money that is due, and notes that it was asked for. */
@Repository
class OwedStore {

    private final JdbcClient jdbc;

    OwedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Confirmed bookings that begin after {@code now} with money that is due: a balance, or what should have been paid with
     * an order that was placed before an instant and waits for no transfer. Not asked for yet, or asked before another instant and not reminded.
     */
    List<BookingId> toAskFor(Instant now, LocalDate today, Instant placedBefore, Instant askedBefore) {
        return jdbc.sql(
                        """
                        SELECT l.booking FROM bookings b JOIN order_lines l ON l.booking = b.id
                            JOIN orders o ON o.id = l.order_id
                        WHERE b.status = 'confirmed' AND b.end_at > :now AND b.start_at > :now
                          AND (l.balance_due <= :today AND l.paid + l.waived < l.total
                               OR l.paid + l.waived < l.due_now AND o.placed_at < :placed
                                  AND NOT EXISTS (SELECT 1 FROM payments p
                                                  WHERE p.order_id = o.id AND p.state = 'created'
                                                    AND p.gateway IN ('transfer', 'practice-transfer')))
                          AND (l.asked_at IS NULL OR l.reminded_at IS NULL AND l.asked_at < :asked)
                          AND\s"""
                                + WorkStore.isReady(Kind.OWED, "l.booking") + " ORDER BY b.start_at LIMIT 200")
                .param("now", now.getEpochSecond())
                .param("today", today.toString())
                .param("placed", placedBefore.getEpochSecond())
                .param("asked", askedBefore.getEpochSecond())
                .query((row, n) -> new BookingId(row.getString("booking")))
                .list();
    }

    /** Orders with money that was asked for and not paid, those that start the soonest first. */
    List<Long> owing() {
        return jdbc.sql(
                        """
                        SELECT b.order_id FROM order_lines l JOIN bookings b ON b.id = l.booking
                        WHERE l.asked_at > 0 AND l.total > l.paid + l.waived AND b.status IN ('confirmed', 'completed')
                        GROUP BY b.order_id
                        ORDER BY min(b.start_at)
                        """)
                .query(Long.class)
                .list();
    }

    /** Whether a balance was asked for. */
    boolean wasAsked(BookingId booking) {
        return jdbc.sql("SELECT asked_at IS NOT NULL FROM order_lines WHERE booking = ?")
                .param(booking.value())
                .query(Boolean.class)
                .single();
    }

    /** Whether a balance was not asked for yet, or long ago and not reminded of. */
    boolean isToBeAsked(BookingId booking, Instant askedBefore) {
        return jdbc.sql(
                        "SELECT asked_at IS NULL OR reminded_at IS NULL AND asked_at < ? FROM order_lines WHERE booking = ?")
                .params(askedBefore.getEpochSecond(), booking.value())
                .query(Boolean.class)
                .single();
    }

    /** Notes that a balance was asked for; true for the first time, false for the reminder. */
    boolean noteAsked(BookingId booking, Instant now) {
        boolean first = jdbc.sql("UPDATE order_lines SET asked_at = ? WHERE booking = ? AND asked_at IS NULL")
                        .params(now.getEpochSecond(), booking.value())
                        .update()
                > 0;
        if (!first) {
            jdbc.sql("UPDATE order_lines SET reminded_at = ? WHERE booking = ?")
                    .params(now.getEpochSecond(), booking.value())
                    .update();
        }
        return first;
    }
}
