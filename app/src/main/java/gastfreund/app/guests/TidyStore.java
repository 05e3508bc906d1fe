package gastfreund.app.guests;

import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Removes what is old, and nobody asks for any more. */
@Repository
class TidyStore {

    private final JdbcClient jdbc;

    TidyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Baskets in which nothing lies any more that an order or a hold speaks of. */
    void removeBaskets(Instant before) {
        long instant = before.getEpochSecond();
        jdbc.sql("UPDATE orders SET basket = NULL WHERE placed_at < ? AND basket IS NOT NULL")
                .param(instant)
                .update();
        String old = "(SELECT b.token FROM baskets b WHERE b.created_at < ? "
                + "AND NOT EXISTS (SELECT 1 FROM bookings k WHERE k.basket = b.token) "
                + "AND NOT EXISTS (SELECT 1 FROM orders o WHERE o.basket = b.token))";
        jdbc.sql("DELETE FROM goods WHERE order_id IS NULL AND basket IN " + old)
                .param(instant)
                .update();
        jdbc.sql("DELETE FROM basket_prepaid WHERE basket IN " + old)
                .param(instant)
                .update();
        jdbc.sql("DELETE FROM baskets WHERE token IN " + old
                        + " AND NOT EXISTS (SELECT 1 FROM goods g WHERE g.basket = token)")
                .param(instant)
                .update();
    }

    void emptyLetters(Instant before) {
        jdbc.sql(
                        """
                        UPDATE outbox SET facts = '', text_part = '', html_part = '', calendar = NULL
                        WHERE sent_at < ? AND (facts <> '' OR text_part <> '')
                        """)
                .param(before.getEpochSecond())
                .update();
    }

    /** The newest document stays: its number is where the next one goes on. */
    void removeDocuments(Instant before) {
        jdbc.sql("DELETE FROM documents WHERE issued_at < ? AND number < (SELECT max(number) FROM documents)")
                .param(before.getEpochSecond())
                .update();
    }

    void removeSignIns(Instant before) {
        jdbc.sql("DELETE FROM sign_ins WHERE at < ?")
                .param(before.getEpochSecond())
                .update();
    }
}
