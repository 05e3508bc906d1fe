package gastfreund.app.webhooks;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps messages, and what became of each on its way to whom. */
@Repository
class DeliveryStore {

    private static final String DELIVERIES =
            """
            SELECT d.*, w.address, m.type, m.body FROM webhook_deliveries d
            JOIN webhooks w ON w.id = d.webhook JOIN webhook_messages m ON m.id = d.message
            """;

    private static final RowMapper<Delivery> DELIVERY = (row, n) -> new Delivery(
            row.getLong("id"),
            row.getString("webhook"),
            row.getString("address"),
            row.getString("message"),
            row.getString("type"),
            row.getString("body"),
            row.getInt("tries"),
            row.getObject("next_at") == null ? null : Instant.ofEpochSecond(row.getLong("next_at")),
            row.getString("state"),
            row.getString("answer"),
            row.getObject("last_at") == null ? null : Instant.ofEpochSecond(row.getLong("last_at")));

    private final JdbcClient jdbc;

    DeliveryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Writes a message down, unless it was before.
     *
     * @param about what happened, so that it is told once
     * @return whether it was not
     */
    boolean write(String id, What what, String about, String body, Instant now) {
        return jdbc.sql(
                                """
                                INSERT INTO webhook_messages (id, type, about, body, made_at) VALUES (?, ?, ?, ?, ?)
                                ON CONFLICT (about) DO NOTHING
                                """)
                        .params(id, what.code(), about, body, now.getEpochSecond())
                        .update()
                == 1;
    }

    void send(String message, String webhook, Instant now) {
        jdbc.sql("INSERT INTO webhook_deliveries (message, webhook, next_at) VALUES (?, ?, ?)")
                .params(message, webhook, now.getEpochSecond())
                .update();
    }

    /** What is to be sent to somebody now, the first ones first. */
    List<Delivery> due(String webhook, Instant now, int most) {
        return jdbc.sql(DELIVERIES
                        + " WHERE d.webhook = ? AND d.next_at <= ? AND d.state = 'waiting' ORDER BY d.next_at LIMIT ?")
                .params(webhook, now.getEpochSecond(), most)
                .query(DELIVERY)
                .list();
    }

    Optional<Delivery> byId(long id) {
        return jdbc.sql(DELIVERIES + " WHERE d.id = ?")
                .param(id)
                .query(DELIVERY)
                .optional();
    }

    /** The newest, the last one first. */
    List<Delivery> newest(int most) {
        return jdbc.sql(DELIVERIES + " WHERE d.id > (SELECT coalesce(max(id), 0) FROM webhook_deliveries) - ?"
                        + " ORDER BY d.id DESC")
                .param(most)
                .query(DELIVERY)
                .list();
    }

    /** @param next when it is sent again; null: it is not */
    void sent(long id, String state, String answer, @Nullable Instant next, Instant now) {
        jdbc.sql(
                        """
                        UPDATE webhook_deliveries
                        SET state = ?, answer = ?, next_at = ?, last_at = ?, tries = tries + 1 WHERE id = ?
                        """)
                .params(Arrays.asList(
                        state, answer, next == null ? null : next.getEpochSecond(), now.getEpochSecond(), id))
                .update();
    }

    /** Sends it once more, and as often again as a new one where that fails. */
    void again(long id, Instant now) {
        jdbc.sql("UPDATE webhook_deliveries SET state = 'waiting', tries = 0, next_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }

    /** Sends at once all that waits for somebody. */
    void allAgain(String webhook, Instant now) {
        jdbc.sql("UPDATE webhook_deliveries SET next_at = ? WHERE webhook = ? AND next_at > ? AND state = 'waiting'")
                .params(now.getEpochSecond(), webhook, now.getEpochSecond())
                .update();
    }

    /** Forgets what was written before a moment, sent or not. */
    void forgetBefore(Instant time) {
        jdbc.sql("DELETE FROM webhook_deliveries WHERE message IN (SELECT id FROM webhook_messages WHERE made_at < ?)")
                .param(time.getEpochSecond())
                .update();
        jdbc.sql("DELETE FROM webhook_messages WHERE made_at < ?")
                .param(time.getEpochSecond())
                .update();
    }
}
