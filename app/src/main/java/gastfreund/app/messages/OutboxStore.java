package gastfreund.app.messages;

import gastfreund.app.rounds.Backlog;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps messages until they are sent, and what was sent. */
@Repository
class OutboxStore {

    /** Letters that wait for another day were written some days before. */
    private static final long LOOK_BACK = 30L * 24 * 60 * 60;

    /**
     * A letter that waits.
     *
     * @param written what was written in an earlier version of the application; null: it is written when it goes out
     */
    record Waiting(String id, Letter letter, @Nullable Written written) {}

    private static final String SENT =
            "SELECT o.id, o.order_id, o.kind, o.recipient, o.subject, o.text_part, o.created_at, o.not_before, o.sent_at, o.lost, o.lost_why,"
                    + " coalesce((SELECT w.tries FROM work w WHERE w.kind = 'letter' AND w.subject = o.id), 0) AS tries"
                    + " FROM outbox o ";

    private final JdbcClient jdbc;

    OutboxStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param notBefore when it may go out at the soonest */
    void insert(String id, Letter letter, Instant now, Instant notBefore) {
        jdbc.sql(
                        """
                        INSERT INTO outbox (id, order_id, kind, recipient, language, facts, subject, text_part, html_part,
                                            created_at, not_before)
                        VALUES (?, ?, ?, ?, ?, ?, '', '', '', ?, ?)
                        """)
                .params(Arrays.asList(
                        id,
                        letter.order(),
                        letter.kind(),
                        letter.recipient(),
                        letter.language().toLanguageTag(),
                        letter.facts(),
                        now.getEpochSecond(),
                        notBefore.getEpochSecond()))
                .update();
    }

    void delay(long order, List<String> kinds, Instant since, Instant notBefore) {
        jdbc.sql("UPDATE outbox SET not_before = max(not_before, :until) WHERE order_id = :order AND sent_at IS NULL"
                        + " AND created_at >= :since AND kind IN (:kinds)")
                .param("until", notBefore.getEpochSecond())
                .param("order", order)
                .param("since", since.getEpochSecond())
                .param("kinds", kinds)
                .update();
    }

    void withdraw(long order, List<String> kinds, Instant since) {
        jdbc.sql("DELETE FROM outbox WHERE order_id = :order AND sent_at IS NULL AND lost_at IS NULL"
                        + " AND created_at >= :since AND kind IN (:kinds)")
                .param("order", order)
                .param("since", since.getEpochSecond())
                .param("kinds", kinds)
                .update();
    }

    /** How many letters of one day a recipient has: those that went out, or may, after an instant. */
    int countSince(String recipient, Instant since) {
        return jdbc.sql("SELECT count(*) FROM outbox WHERE recipient = ? AND created_at > ? AND not_before > ?"
                        + " AND kind NOT LIKE ?")
                .params(recipient, since.getEpochSecond() - LOOK_BACK, since.getEpochSecond(), Outbox.ASKED + "%")
                .query(Integer.class)
                .single();
    }

    /** Whether a recipient has a letter of a kind that was put after an instant. */
    boolean hasSince(String recipient, String kind, Instant since) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM outbox WHERE recipient = ? AND created_at > ? AND kind = ?)")
                .params(recipient, since.getEpochSecond(), kind)
                .query(Boolean.class)
                .single();
    }

    int countWaiting() {
        return jdbc.sql("SELECT count(*) FROM outbox WHERE sent_at IS NULL AND lost_at IS NULL")
                .query(Integer.class)
                .single();
    }

    /** The mails that could have gone out; of text messages some wait for the morning. */
    Backlog backlog(Instant now) {
        return jdbc.sql("SELECT count(*) AS waiting, min(not_before) AS oldest FROM outbox"
                        + " WHERE sent_at IS NULL AND lost_at IS NULL AND not_before <= ? AND recipient NOT LIKE '+%'")
                .param(now.getEpochSecond())
                .query(WorkStore::backlog)
                .single();
    }

    List<Waiting> due(Instant now) {
        return jdbc.sql("SELECT * FROM outbox WHERE sent_at IS NULL AND lost_at IS NULL AND not_before <= :now AND "
                        + WorkStore.isReady(Kind.LETTER, "id") + " ORDER BY not_before LIMIT 50")
                .param("now", now.getEpochSecond())
                .query((row, n) -> new Waiting(row.getString("id"), letter(row), written(row)))
                .list();
    }

    /** The letters of an order, sent or not. */
    List<Waiting> ofOrder(long order) {
        return jdbc.sql("SELECT * FROM outbox WHERE order_id = ? ORDER BY created_at, id")
                .param(order)
                .query((row, n) -> new Waiting(row.getString("id"), letter(row), written(row)))
                .list();
    }

    private static Letter letter(ResultSet row) throws SQLException {
        return new Letter(
                row.getObject("order_id") == null ? null : row.getLong("order_id"),
                row.getString("kind"),
                row.getString("recipient"),
                Locale.forLanguageTag(row.getString("language")),
                row.getString("facts"));
    }

    private static @Nullable Written written(ResultSet row) throws SQLException {
        return row.getString("facts").isEmpty()
                ? new Written(
                        row.getString("subject"),
                        row.getString("text_part"),
                        row.getString("html_part"),
                        row.getString("calendar"))
                : null;
    }

    /** Keeps a letter as it was sent. */
    void sent(String id, Written written, Instant now) {
        jdbc.sql("UPDATE outbox SET sent_at = ?, subject = ?, text_part = ?, html_part = ?, calendar = ? WHERE id = ?")
                .params(Arrays.asList(
                        now.getEpochSecond(),
                        written.subject(),
                        written.text(),
                        written.html(),
                        written.calendar(),
                        id))
                .update();
    }

    /** A letter was refused for good; it is kept as it would have gone. */
    void lost(String id, String how, String why, Written written, Instant now) {
        jdbc.sql(
                        "UPDATE outbox SET lost = ?, lost_why = ?, lost_at = ?, subject = ?, text_part = ?, html_part = ? WHERE id = ?")
                .params(how, why, now.getEpochSecond(), written.subject(), written.text(), written.html(), id)
                .update();
    }

    void bounced(String id, String why, Instant now) {
        jdbc.sql("UPDATE outbox SET lost = 'bounced', lost_why = ?, lost_at = ? WHERE id = ? AND sent_at IS NOT NULL"
                        + " AND lost_at IS NULL")
                .params(why, now.getEpochSecond(), id)
                .update();
    }

    boolean again(String id, String other, Instant now) {
        return jdbc.sql(
                                """
                                INSERT INTO outbox (id, order_id, kind, recipient, language, facts, subject, text_part, html_part,
                                                    calendar, created_at, not_before)
                                SELECT :other, order_id, kind, recipient, language, facts, subject, text_part, html_part,
                                       calendar, :now, :now
                                FROM outbox WHERE id = :id
                                """)
                        .param("other", other)
                        .param("now", now.getEpochSecond())
                        .param("id", id)
                        .update()
                == 1;
    }

    List<Sent> last(Instant since, int most) {
        return jdbc.sql(SENT + "WHERE o.created_at > ? ORDER BY o.created_at DESC, o.rowid DESC LIMIT ?")
                .params(since.getEpochSecond(), most)
                .query(OutboxStore::sent)
                .list();
    }

    List<Outbox.Told> told(long order) {
        return jdbc.sql(SENT + "WHERE o.order_id = ? ORDER BY o.created_at, o.rowid")
                .param(order)
                .query((row, n) -> new Outbox.Told(sent(row, n), row.getString("text_part")))
                .list();
    }

    List<Sent> lost(long order) {
        return jdbc.sql(SENT + "WHERE o.order_id = ? AND o.lost <> '' ORDER BY o.lost_at")
                .param(order)
                .query(OutboxStore::sent)
                .list();
    }

    List<Sent> lostSince(Instant since) {
        return jdbc.sql(SENT + "WHERE o.lost_at > ? ORDER BY o.lost_at")
                .param(since.getEpochSecond())
                .query(OutboxStore::sent)
                .list();
    }

    private static Sent sent(ResultSet row, int number) throws SQLException {
        long order = row.getLong("order_id");
        boolean none = row.wasNull();
        long sentAt = row.getLong("sent_at");
        boolean unsent = row.wasNull();
        return new Sent(
                row.getString("id"),
                none ? null : order,
                row.getString("kind"),
                row.getString("recipient"),
                row.getString("subject"),
                Instant.ofEpochSecond(row.getLong("created_at")),
                Instant.ofEpochSecond(row.getLong("not_before")),
                unsent ? null : Instant.ofEpochSecond(sentAt),
                row.getInt("tries"),
                row.getString("lost"),
                row.getString("lost_why"));
    }
}
