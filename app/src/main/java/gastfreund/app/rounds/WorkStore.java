package gastfreund.app.rounds;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what was tried in vain: how often, why, and when it is tried again. */
@Repository
public class WorkStore {

    private final JdbcClient jdbc;

    WorkStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A condition for a statement that looks for what is to be done: that an entry does not rest after it failed. The
     * statement has a parameter {@code now}.
     *
     * @param subject the column that names the entry
     */
    public static String isReady(Kind kind, String subject) {
        return "NOT EXISTS (SELECT 1 FROM work w WHERE w.kind = '" + kind.code() + "' AND w.subject = CAST(" + subject
                + " AS TEXT) AND w.next_try > :now)";
    }

    /** How often it was tried before. */
    int tries(Kind kind, String subject) {
        return jdbc.sql("SELECT coalesce(max(tries), 0) FROM work WHERE kind = ? AND subject = ?")
                .params(kind.code(), subject)
                .query(Integer.class)
                .single();
    }

    void failed(Kind kind, String subject, String error, Instant now, Instant next) {
        jdbc.sql(
                        """
                        INSERT INTO work (kind, subject, tries, since, next_try, last_error)
                        VALUES (:kind, :subject, 1, :now, :next, :error)
                        ON CONFLICT (kind, subject) DO UPDATE
                            SET tries = work.tries + 1, next_try = excluded.next_try, last_error = excluded.last_error
                        """)
                .param("kind", kind.code())
                .param("subject", subject)
                .param("now", now.getEpochSecond())
                .param("next", next.getEpochSecond())
                .param("error", error)
                .update();
    }

    void done(Kind kind, String subject) {
        jdbc.sql("DELETE FROM work WHERE kind = ? AND subject = ?")
                .params(kind.code(), subject)
                .update();
    }

    /** When a kind of work was last gone through, as far as it is noted. */
    Optional<Instant> last(Kind kind) {
        return jdbc.sql("SELECT at FROM rounds WHERE kind = ?")
                .param(kind.code())
                .query((row, n) -> Instant.ofEpochSecond(row.getLong("at")))
                .optional();
    }

    void note(Kind kind, Instant now) {
        jdbc.sql("INSERT INTO rounds (kind, at) VALUES (?, ?) ON CONFLICT (kind) DO UPDATE SET at = excluded.at")
                .params(kind.code(), now.getEpochSecond())
                .update();
    }

    /** What was tried at least so often, what has waited longest being the first. */
    List<Stuck> stuck(int tries) {
        return jdbc.sql(
                        """
                        SELECT w.*, CASE w.kind
                            WHEN 'letter' THEN (SELECT l.order_id FROM outbox l WHERE l.id = w.subject)
                            WHEN 'step' THEN (SELECT p.order_id FROM payment_steps s JOIN payments p ON p.id = s.payment
                                              WHERE s.id = w.subject)
                            WHEN 'ask' THEN CAST(w.subject AS INTEGER)
                            WHEN 'end' THEN CAST(w.subject AS INTEGER)
                            ELSE (SELECT b.order_id FROM bookings b WHERE b.id = w.subject) END AS about
                        FROM work w WHERE w.tries >= ? ORDER BY w.since LIMIT 200
                        """)
                .param(tries)
                .query((row, n) -> {
                    long order = row.getLong("about");
                    return new Stuck(
                            row.getString("kind"),
                            row.getString("subject"),
                            row.wasNull() ? null : order,
                            row.getInt("tries"),
                            Instant.ofEpochSecond(row.getLong("since")),
                            Instant.ofEpochSecond(row.getLong("next_try")),
                            row.getString("last_error"));
                })
                .list();
    }

    int countStuck(int tries) {
        return jdbc.sql("SELECT count(*) FROM work WHERE tries >= ?")
                .param(tries)
                .query(Integer.class)
                .single();
    }

    /** Of a row with {@code waiting}, a number, and {@code oldest}, in seconds since the epoch. */
    public static Backlog backlog(ResultSet row, int number) throws SQLException {
        long oldest = row.getLong("oldest");
        boolean none = row.wasNull();
        return new Backlog(row.getInt("waiting"), none ? null : Instant.ofEpochSecond(oldest));
    }

    Backlog backlog(int tries) {
        return jdbc.sql("SELECT count(*) AS waiting, min(since) AS oldest FROM work WHERE tries >= ?")
                .param(tries)
                .query(WorkStore::backlog)
                .single();
    }

    /** Lets everything that was tried at least so often be tried at once. */
    void tryNow(int tries, Instant now) {
        jdbc.sql("UPDATE work SET next_try = ? WHERE tries >= ?")
                .params(now.getEpochSecond(), tries)
                .update();
    }
}
