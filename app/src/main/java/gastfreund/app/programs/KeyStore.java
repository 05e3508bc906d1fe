package gastfreund.app.programs;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps the keys of programs, each as a mark of it that nobody can turn back. */
@Repository
class KeyStore {

    private static final RowMapper<Program> PROGRAM = (row, n) -> new Program(
            row.getString("id"),
            row.getString("name"),
            scopes(row.getString("scopes")),
            Instant.ofEpochSecond(row.getLong("made_at")),
            row.getString("made_by"),
            row.getObject("used_at") == null ? null : Instant.ofEpochSecond(row.getLong("used_at")),
            row.getObject("ended_at") == null ? null : Instant.ofEpochSecond(row.getLong("ended_at")));

    private final JdbcClient jdbc;

    KeyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static Set<Scope> scopes(String codes) {
        return Arrays.stream(codes.split(" "))
                .flatMap(c -> Scope.find(c).stream())
                .collect(Collectors.toSet());
    }

    void insert(Program program, String mark) {
        jdbc.sql(
                        """
                        INSERT INTO program_keys (id, name, mark, scopes, made_at, made_by)
                        VALUES (?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        program.id(),
                        program.name(),
                        mark,
                        program.scopes().stream().map(Scope::code).sorted().collect(Collectors.joining(" ")),
                        program.made().getEpochSecond(),
                        program.madeBy())
                .update();
    }

    /** A program whose key was not withdrawn. */
    Optional<Program> byMark(String mark) {
        return jdbc.sql("SELECT * FROM program_keys WHERE mark = ? AND ended_at IS NULL")
                .param(mark)
                .query(PROGRAM)
                .optional();
    }

    Optional<Program> byId(String id) {
        return jdbc.sql("SELECT * FROM program_keys WHERE id = ?")
                .param(id)
                .query(PROGRAM)
                .optional();
    }

    /** The newest keys, those that were withdrawn among them. */
    List<Program> newest(int most) {
        return jdbc.sql("SELECT * FROM program_keys ORDER BY made_at DESC LIMIT ?")
                .param(most)
                .query(PROGRAM)
                .list();
    }

    void used(String id, Instant now) {
        jdbc.sql("UPDATE program_keys SET used_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }

    void end(String id, Instant now) {
        jdbc.sql("UPDATE program_keys SET ended_at = ? WHERE id = ? AND ended_at IS NULL")
                .params(now.getEpochSecond(), id)
                .update();
    }
}
