package gastfreund.app.messages;

import java.util.List;
import java.util.Locale;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Letters of the outbox as they go out, or went. */
@TestComponent
public class Letters {

    private final JdbcClient jdbc;
    private final List<LetterWriting> writings;

    Letters(JdbcClient jdbc, List<LetterWriting> writings) {
        this.jdbc = jdbc;
        this.writings = writings;
    }

    /** Those to a recipient, in the order in which they were caused. */
    public List<Written> to(String recipient) {
        return read("recipient = ?", recipient);
    }

    /** Those to a recipient about an order. */
    public List<Written> to(String recipient, long order) {
        return read("recipient = ? AND order_id = ?", recipient, order);
    }

    public List<Written> ofOrder(long order) {
        return read("order_id = ?", order);
    }

    /** The one of a kind about an order. */
    public Written one(long order, String kind) {
        List<Written> found = read("kind = ? AND order_id = ?", kind, order);
        if (found.size() != 1) {
            throw new IllegalStateException(found.size() + " letters " + kind + " about order " + order);
        }
        return found.get(0);
    }

    private List<Written> read(String where, Object... values) {
        return jdbc
                .sql("SELECT kind, recipient, language, facts FROM outbox WHERE facts <> '' AND " + where
                        + " ORDER BY rowid")
                .params(values)
                .query((row, n) -> new Letter(
                        null,
                        row.getString("kind"),
                        row.getString("recipient"),
                        Locale.forLanguageTag(row.getString("language")),
                        row.getString("facts")))
                .list()
                .stream()
                .map(this::written)
                .toList();
    }

    private Written written(Letter letter) {
        return writings.stream()
                .filter(w -> w.writes(letter.kind()))
                .findFirst()
                .orElseThrow()
                .write(letter);
    }
}
