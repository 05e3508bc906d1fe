package gastfreund.app.messages;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps messages until they are sent, and what was sent. */
@Repository
class OutboxStore {

    /** A message that waits. */
    record Waiting(String id, int tries, Letter letter) {}

    private final JdbcClient jdbc;

    OutboxStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(String id, Letter letter, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO outbox (id, order_id, kind, recipient, subject, text_part, html_part, calendar,
                                            created_at, next_try)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        id,
                        letter.order(),
                        letter.kind(),
                        letter.recipient(),
                        letter.subject(),
                        letter.text(),
                        letter.html(),
                        letter.calendar(),
                        now.getEpochSecond(),
                        now.getEpochSecond())
                .update();
    }

    List<Waiting> due(Instant now) {
        return jdbc.sql("SELECT * FROM outbox WHERE sent_at IS NULL AND next_try <= ? ORDER BY next_try LIMIT 50")
                .param(now.getEpochSecond())
                .query((row, n) -> new Waiting(
                        row.getString("id"),
                        row.getInt("tries"),
                        new Letter(
                                row.getLong("order_id"),
                                row.getString("kind"),
                                row.getString("recipient"),
                                row.getString("subject"),
                                row.getString("text_part"),
                                row.getString("html_part"),
                                row.getString("calendar"))))
                .list();
    }

    void sent(String id, Instant now) {
        jdbc.sql("UPDATE outbox SET sent_at = ?, tries = tries + 1, last_error = '' WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }

    void failed(String id, Instant next, String error) {
        jdbc.sql("UPDATE outbox SET tries = tries + 1, next_try = ?, last_error = ? WHERE id = ?")
                .params(next.getEpochSecond(), error, id)
                .update();
    }
}
