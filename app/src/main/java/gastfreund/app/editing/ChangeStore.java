package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.ObjectNode;

/** Keeps what was kept: each change of a document, as it was and as it became. */
@Repository
class ChangeStore {

    private final JdbcClient jdbc;

    ChangeStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The number of the next change, with which a keeping begins. */
    long next() {
        return jdbc.sql("SELECT coalesce(max(id), 0) + 1 FROM changes")
                .query(Long.class)
                .single();
    }

    void write(Change change) {
        jdbc.sql(
                        """
                        INSERT INTO changes (keeping, at, who, kind, document, version, before, after, undoes)
                        VALUES (:keeping, :at, :who, :kind, :document, :version, :before, :after, :undoes)
                        """)
                .params(parameters(change))
                .update();
    }

    private static Map<String, @Nullable Object> parameters(Change change) {
        Map<String, @Nullable Object> parameters = new HashMap<>();
        parameters.put("keeping", change.keeping());
        parameters.put("at", change.at().getEpochSecond());
        parameters.put("who", change.who());
        parameters.put("kind", change.ref().kind().code());
        parameters.put("document", change.ref().id());
        parameters.put("version", change.version());
        parameters.put(
                "before", change.before() == null ? null : change.before().toString());
        parameters.put("after", change.after() == null ? null : change.after().toString());
        parameters.put("undoes", change.undoes());
        return parameters;
    }

    /** The last change of a document. */
    Optional<Change> last(DocumentRef ref) {
        return jdbc.sql("SELECT * FROM changes WHERE kind = ? AND document = ? ORDER BY id DESC LIMIT 1")
                .params(ref.kind().code(), ref.id())
                .query(ChangeStore::change)
                .optional();
    }

    /** Those that were kept together, in order. */
    List<Change> kept(long keeping) {
        return jdbc.sql("SELECT * FROM changes WHERE keeping = ? ORDER BY id")
                .param(keeping)
                .query(ChangeStore::change)
                .list();
    }

    /** The latest before another, the newest first. */
    List<Change> latest(long before, int most) {
        return jdbc.sql("SELECT * FROM changes WHERE id < ? ORDER BY id DESC LIMIT ?")
                .params(before, most)
                .query(ChangeStore::change)
                .list();
    }

    private static Change change(ResultSet row, int number) throws SQLException {
        long undoes = row.getLong("undoes");
        boolean undoing = !row.wasNull();
        return new Change(
                row.getLong("id"),
                row.getLong("keeping"),
                Instant.ofEpochSecond(row.getLong("at")),
                row.getString("who"),
                new DocumentRef(Kind.ofCode(row.getString("kind")).orElseThrow(), row.getString("document")),
                row.getInt("version"),
                json(row.getString("before")),
                json(row.getString("after")),
                undoing ? undoes : null);
    }

    private static @Nullable ObjectNode json(@Nullable String text) {
        return text == null ? null : (ObjectNode) HouseFile.parse(text);
    }
}
