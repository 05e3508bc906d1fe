package gastfreund.app.journal;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps who did what when. */
@Repository
public class JournalStore {

    private static final RowMapper<JournalEntry> ENTRY = (row, n) -> new JournalEntry(
            row.getLong("order_id"),
            row.getString("about"),
            row.getString("subject"),
            row.getString("step_from"),
            row.getString("step_to"),
            Actor.ofCode(row.getString("who")),
            row.getString("why"),
            Instant.ofEpochSecond(row.getLong("at")));

    /** A step with its place among all. */
    public record Step(long id, JournalEntry entry) {}

    private final JdbcClient jdbc;

    JournalStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Writes down a step, in the transaction in which it is taken. */
    public void write(JournalEntry entry, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO journal (at, who, order_id, about, subject, step_from, step_to, why)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        now.getEpochSecond(),
                        entry.who().code(),
                        entry.order(),
                        entry.about(),
                        entry.subject(),
                        entry.from(),
                        entry.to(),
                        entry.why())
                .update();
    }

    /** The steps of an order, its bookings and its payments, the first one first. */
    public List<JournalEntry> ofOrder(long order) {
        return jdbc.sql("SELECT * FROM journal WHERE order_id = ? ORDER BY id")
                .param(order)
                .query(ENTRY)
                .list();
    }

    /** The steps that follow one, of whatever order, the first one first. */
    public List<Step> after(long id, int most) {
        return jdbc.sql("SELECT * FROM journal WHERE id > ? ORDER BY id LIMIT ?")
                .params(id, most)
                .query((row, n) -> new Step(row.getLong("id"), Objects.requireNonNull(ENTRY.mapRow(row, n))))
                .list();
    }
}
