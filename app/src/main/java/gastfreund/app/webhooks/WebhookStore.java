package gastfreund.app.webhooks;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps who is told what happens. */
@Repository
class WebhookStore {

    private static final RowMapper<Webhook> WEBHOOK = (row, n) -> new Webhook(
            row.getString("id"),
            row.getString("address"),
            Arrays.stream(row.getString("subjects").split(" ")).collect(Collectors.toSet()),
            row.getString("secret"),
            Instant.ofEpochSecond(row.getLong("made_at")),
            row.getObject("failing_since") == null ? null : Instant.ofEpochSecond(row.getLong("failing_since")),
            row.getString("paused"));

    private final JdbcClient jdbc;

    WebhookStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Webhook> all() {
        return jdbc.sql("SELECT * FROM webhooks ORDER BY made_at, id")
                .query(WEBHOOK)
                .list();
    }

    Optional<Webhook> byId(String id) {
        return jdbc.sql("SELECT * FROM webhooks WHERE id = ?")
                .param(id)
                .query(WEBHOOK)
                .optional();
    }

    void insert(Webhook webhook) {
        jdbc.sql(
                        """
                        INSERT INTO webhooks (id, address, subjects, secret, made_at) VALUES (?, ?, ?, ?, ?)
                        """)
                .params(
                        webhook.id(),
                        webhook.address(),
                        webhook.subjects().stream().sorted().collect(Collectors.joining(" ")),
                        webhook.secret(),
                        webhook.made().getEpochSecond())
                .update();
    }

    /** With all that was to be sent there. */
    void remove(String id) {
        jdbc.sql("DELETE FROM webhook_deliveries WHERE webhook = ?").param(id).update();
        jdbc.sql("DELETE FROM webhooks WHERE id = ?").param(id).update();
    }

    /** @param since null: it gets through */
    void failing(String id, @Nullable Instant since) {
        jdbc.sql("UPDATE webhooks SET failing_since = ? WHERE id = ?")
                .params(Arrays.asList(since == null ? null : since.getEpochSecond(), id))
                .update();
    }

    /** @param why empty: it goes on */
    void pause(String id, String why) {
        jdbc.sql("UPDATE webhooks SET paused = ? WHERE id = ?").params(why, id).update();
    }

    int countPaused() {
        return jdbc.sql("SELECT count(*) FROM webhooks WHERE paused <> ''")
                .query(Integer.class)
                .single();
    }

    /** Up to where the journal and the changes of the house have been told. */
    record Told(long step, long change) {}

    Told told() {
        return jdbc.sql("SELECT step, change FROM webhooks_told")
                .query((row, n) -> new Told(row.getLong("step"), row.getLong("change")))
                .single();
    }

    void told(Told told) {
        jdbc.sql("UPDATE webhooks_told SET step = ?, change = ?")
                .params(told.step(), told.change())
                .update();
    }

    /** The last step of the journal and the last change of the house. */
    Told newest() {
        return new Told(
                jdbc.sql("SELECT coalesce(max(id), 0) FROM journal")
                        .query(Long.class)
                        .single(),
                jdbc.sql("SELECT coalesce(max(id), 0) FROM changes")
                        .query(Long.class)
                        .single());
    }
}
