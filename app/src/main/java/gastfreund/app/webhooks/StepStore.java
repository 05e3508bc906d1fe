package gastfreund.app.webhooks;

import gastfreund.app.journal.Actor;
import gastfreund.app.journal.JournalEntry;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what has happened since: steps of the journal, and changes of the house. */
@Repository
class StepStore {

    /** @param id in the journal */
    record Step(long id, JournalEntry entry) {}

    private final JdbcClient jdbc;

    StepStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The steps that follow one, the first one first. */
    List<Step> after(long id, int most) {
        return jdbc.sql("SELECT * FROM journal WHERE id > ? ORDER BY id LIMIT ?")
                .params(id, most)
                .query((row, n) -> new Step(
                        row.getLong("id"),
                        new JournalEntry(
                                row.getLong("order_id"),
                                row.getString("about"),
                                row.getString("subject"),
                                row.getString("step_from"),
                                row.getString("step_to"),
                                Actor.ofCode(row.getString("who")),
                                row.getString("why"),
                                Instant.ofEpochSecond(row.getLong("at")))))
                .list();
    }
}
