package gastfreund.app.paying;

import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds orders that wait for their money. */
@Repository
class WaitingStore {

    private final JdbcClient jdbc;

    WaitingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Orders that wait for money and whose places are no longer kept; those without places wait for half an hour. */
    List<Long> waitingInVain(Instant now) {
        return jdbc.sql(
                        """
                        SELECT id FROM orders o
                        WHERE status = 'waiting'
                          AND NOT EXISTS (SELECT 1 FROM bookings b
                                          WHERE b.order_id = o.id AND b.status = 'held' AND b.expires_at > :now)
                          AND NOT EXISTS (SELECT 1 FROM goods g WHERE g.order_id = o.id
                                          AND (o.placed_at > :now - 1800
                                               OR EXISTS (SELECT 1 FROM payments p WHERE p.order_id = o.id
                                                          AND p.state = 'created' AND p.expires_at > :now)))
                          AND\s"""
                                + WorkStore.isReady(Kind.END, "o.id") + " ORDER BY placed_at LIMIT 500")
                .param("now", now.getEpochSecond())
                .query(Long.class)
                .list();
    }

    /** Orders that have waited for money since before an instant. */
    List<Long> waitingSince(Instant before, Instant now) {
        return jdbc.sql("SELECT id FROM orders WHERE status = 'waiting' AND placed_at < :before AND "
                        + WorkStore.isReady(Kind.ASK, "id") + " ORDER BY placed_at")
                .param("before", before.getEpochSecond())
                .param("now", now.getEpochSecond())
                .query(Long.class)
                .list();
    }

    /** How many places wait for a transfer: for a mail address, or for a visitor; those of one order are left out. */
    int placesAwaitingTransfer(String email, String visitor, long except) {
        return jdbc.sql(
                        """
                        SELECT count(*) FROM bookings b JOIN orders o ON o.id = b.order_id
                        WHERE b.status = 'held' AND o.status = 'waiting' AND o.id <> :except
                          AND (o.email = :email COLLATE NOCASE OR b.visitor = :visitor)
                          AND EXISTS (SELECT 1 FROM payments p WHERE p.order_id = o.id AND p.state = 'created'
                                      AND p.gateway IN ('transfer', 'practice-transfer'))
                        """)
                .param("email", email)
                .param("visitor", visitor)
                .param("except", except)
                .query(Integer.class)
                .single();
    }
}
