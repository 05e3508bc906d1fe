package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Keeps what hosts have changed and not kept yet. */
@Repository
class DraftStore {

    private final JdbcClient jdbc;

    DraftStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Draft> find(long host, DocumentRef ref) {
        return jdbc.sql("SELECT * FROM drafts WHERE host = ? AND kind = ? AND document = ?")
                .params(host, ref.kind().code(), ref.id())
                .query(DraftStore::draft)
                .optional();
    }

    /** All of a host's. */
    List<Draft> of(long host) {
        return jdbc.sql("SELECT * FROM drafts WHERE host = ? ORDER BY kind, document")
                .param(host)
                .query(DraftStore::draft)
                .list();
    }

    private static Draft draft(ResultSet row, int number) throws SQLException {
        Map<String, String> typed = new LinkedHashMap<>();
        HouseFile.parse(row.getString("typed"))
                .properties()
                .forEach(p -> typed.put(p.getKey(), p.getValue().stringValue()));
        return new Draft(
                new DocumentRef(Kind.ofCode(row.getString("kind")).orElseThrow(), row.getString("document")),
                row.getInt("version"),
                (ObjectNode) HouseFile.parse(row.getString("base")),
                (ObjectNode) HouseFile.parse(row.getString("definition")),
                typed,
                Instant.ofEpochSecond(row.getLong("changed_at")));
    }

    void put(long host, Draft draft) {
        ObjectNode typed = JsonNodeFactory.instance.objectNode();
        draft.typed().forEach(typed::put);
        jdbc.sql(
                        """
                        INSERT INTO drafts (host, kind, document, version, base, definition, typed, changed_at)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                        ON CONFLICT (host, kind, document) DO UPDATE SET version = excluded.version, base = excluded.base,
                            definition = excluded.definition, typed = excluded.typed, changed_at = excluded.changed_at
                        """)
                .params(
                        host,
                        draft.ref().kind().code(),
                        draft.ref().id(),
                        draft.version(),
                        draft.base().toString(),
                        draft.json().toString(),
                        typed.toString(),
                        draft.changedAt().getEpochSecond())
                .update();
    }

    void drop(long host, DocumentRef ref) {
        jdbc.sql("DELETE FROM drafts WHERE host = ? AND kind = ? AND document = ?")
                .params(host, ref.kind().code(), ref.id())
                .update();
    }
}
