package gastfreund.app.statements;

import gastfreund.core.money.Money;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Keeps statements and their lines. */
@Repository
class StatementStore {

    private final JdbcClient jdbc;

    StatementStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A statement.
     *
     * @param content what waits until its columns are named; empty: it is read
     */
    record Statement(long id, String name, String who, Instant read, String content) {}

    /** A line that was kept, and the payment that it was matched with. */
    record Kept(long id, StatementLine line, String state, @Nullable String payment) {}

    boolean has(String hash) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM statements WHERE hash = ? AND content = '')")
                .param(hash)
                .query(Boolean.class)
                .single();
    }

    /** Keeps a statement; the same file that still waits gives way. */
    long insert(String hash, String name, String who, Instant now, String content) {
        jdbc.sql("DELETE FROM statements WHERE hash = ? AND content <> ''")
                .param(hash)
                .update();
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql("INSERT INTO statements (hash, name, who, read_at, content) VALUES (?, ?, ?, ?, ?)")
                .params(hash, name, who, now.getEpochSecond(), content)
                .update(key, "id");
        return Objects.requireNonNull(key.getKey()).longValue();
    }

    Optional<Statement> find(long id) {
        return jdbc.sql("SELECT * FROM statements WHERE id = ?")
                .param(id)
                .query(StatementStore::statement)
                .optional();
    }

    List<Statement> last(int most) {
        return jdbc.sql("SELECT * FROM statements ORDER BY id DESC LIMIT ?")
                .param(most)
                .query(StatementStore::statement)
                .list();
    }

    private static Statement statement(ResultSet row, int number) throws SQLException {
        return new Statement(
                row.getLong("id"),
                row.getString("name"),
                row.getString("who"),
                Instant.ofEpochSecond(row.getLong("read_at")),
                row.getString("content"));
    }

    void isRead(long id) {
        jdbc.sql("UPDATE statements SET content = '' WHERE id = ?").param(id).update();
    }

    Optional<String> columns(String heads) {
        return jdbc.sql("SELECT columns FROM statement_columns WHERE heads = ?")
                .param(heads)
                .query(String.class)
                .optional();
    }

    void keepColumns(String heads, String columns) {
        jdbc.sql("INSERT INTO statement_columns (heads, columns) VALUES (?, ?)"
                        + " ON CONFLICT (heads) DO UPDATE SET columns = excluded.columns")
                .params(heads, columns)
                .update();
    }

    /** @return the line's id; empty where it was taken before */
    Optional<Long> insertLine(long statement, StatementLine line, String mark) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        int inserted = jdbc.sql(
                        """
                        INSERT INTO statement_lines (statement, mark, booked_on, amount, name, words, state)
                        VALUES (?, ?, ?, ?, ?, ?, 'open') ON CONFLICT (mark) DO NOTHING
                        """)
                .params(Arrays.asList(
                        statement, mark, line.booked().toString(), line.amount().minor(), line.name(), line.words()))
                .update(key, "id");
        return inserted == 0
                ? Optional.empty()
                : Optional.of(Objects.requireNonNull(key.getKey()).longValue());
    }

    /** @return whether the line was open */
    boolean matched(long line, String payment) {
        return jdbc.sql("UPDATE statement_lines SET state = 'matched', payment = ? WHERE id = ? AND state = 'open'")
                        .params(payment, line)
                        .update()
                == 1;
    }

    boolean other(long line) {
        return jdbc.sql("UPDATE statement_lines SET state = 'other' WHERE id = ? AND state = 'open'")
                        .param(line)
                        .update()
                == 1;
    }

    List<Kept> open(int most) {
        return jdbc.sql("SELECT * FROM statement_lines WHERE state = 'open' ORDER BY booked_on, id LIMIT ?")
                .param(most)
                .query(StatementStore::kept)
                .list();
    }

    Optional<Kept> line(long id) {
        return jdbc.sql("SELECT * FROM statement_lines WHERE id = ?")
                .param(id)
                .query(StatementStore::kept)
                .optional();
    }

    /** The lines of a statement that were matched. */
    List<Kept> matched(long statement) {
        return jdbc.sql(
                        "SELECT * FROM statement_lines WHERE statement = ? AND state = 'matched' ORDER BY booked_on, id")
                .param(statement)
                .query(StatementStore::kept)
                .list();
    }

    private static Kept kept(ResultSet row, int number) throws SQLException {
        return new Kept(
                row.getLong("id"),
                new StatementLine(
                        row.getString("mark"),
                        LocalDate.parse(row.getString("booked_on")),
                        Money.ofMinor(row.getLong("amount")),
                        row.getString("name"),
                        row.getString("words")),
                row.getString("state"),
                row.getString("payment"));
    }
}
