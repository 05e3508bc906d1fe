package gastfreund.app.busytimes;

import gastfreund.core.offers.StaffId;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps other calendars, with what was read of them last. */
@Repository
class BusySourceStore {

    private static final String COLUMNS =
            "id, staff, address, name, read_at, failing_at, error, etag, modified, occurrences, unread, zones";

    private final JdbcClient jdbc;

    BusySourceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    long add(StaffId staff, String address, String name, Instant now) {
        return jdbc.sql(
                        """
                        INSERT INTO busy_sources (staff, address, name, added_at, next_at) VALUES (?, ?, ?, ?, ?)
                        RETURNING id
                        """)
                .params(staff.value(), address, name, now.getEpochSecond(), now.getEpochSecond())
                .query(Long.class)
                .single();
    }

    void remove(long id) {
        jdbc.sql("DELETE FROM busy_sources WHERE id = ?").param(id).update();
    }

    Optional<Source> find(long id) {
        return jdbc.sql("SELECT " + COLUMNS + " FROM busy_sources WHERE id = ?")
                .param(id)
                .query(BusySourceStore::source)
                .optional();
    }

    List<Source> of(StaffId staff) {
        return jdbc.sql("SELECT " + COLUMNS + " FROM busy_sources WHERE staff = ? ORDER BY id")
                .param(staff.value())
                .query(BusySourceStore::source)
                .list();
    }

    /** Those that are to be read now; of files, what is kept of them. */
    List<Source> due(Instant now) {
        return jdbc.sql("SELECT " + COLUMNS + " FROM busy_sources WHERE next_at <= ? ORDER BY next_at")
                .param(now.getEpochSecond())
                .query(BusySourceStore::source)
                .list();
    }

    /** Those that could not be read since an instant or longer, and of which nobody was told. */
    /** Those that could not be read the last time, what has failed longest being the first. */
    List<Source> failing() {
        return jdbc.sql("SELECT " + COLUMNS + " FROM busy_sources WHERE failing_at IS NOT NULL ORDER BY failing_at")
                .query(BusySourceStore::source)
                .list();
    }

    boolean isEmpty() {
        return jdbc.sql("SELECT NOT EXISTS (SELECT 1 FROM busy_sources WHERE id > 0)")
                .query(Boolean.class)
                .single();
    }

    List<Source> failingSince(Instant since) {
        return jdbc.sql("SELECT " + COLUMNS
                        + " FROM busy_sources WHERE failing_at IS NOT NULL AND failing_at <= ? AND told_at IS NULL")
                .param(since.getEpochSecond())
                .query(BusySourceStore::source)
                .list();
    }

    void told(long id, Instant now) {
        jdbc.sql("UPDATE busy_sources SET told_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }

    /** What was read last; null: nothing yet. */
    @Nullable
    String content(long id) {
        byte[] packed = jdbc.sql("SELECT content FROM busy_sources WHERE id = ? AND content IS NOT NULL")
                .param(id)
                .query(byte[].class)
                .optional()
                .orElse(null);
        if (packed == null) {
            return null;
        }
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Keeps the file itself, from which times further ahead are read later. */
    void content(long id, String content, String etag, String modified) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(content.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        jdbc.sql("UPDATE busy_sources SET content = ?, etag = ?, modified = ? WHERE id = ?")
                .params(packed.toByteArray(), etag, modified, id)
                .update();
    }

    void read(long id, int occurrences, int unread, String zones, Instant now, Instant next) {
        jdbc.sql(
                        """
                        UPDATE busy_sources SET tried_at = :now, read_at = :now, next_at = :next, failing_at = NULL,
                            told_at = NULL, error = '', occurrences = :occurrences, unread = :unread, zones = :zones
                        WHERE id = :id
                        """)
                .param("now", now.getEpochSecond())
                .param("next", next.getEpochSecond())
                .param("occurrences", occurrences)
                .param("unread", unread)
                .param("zones", zones)
                .param("id", id)
                .update();
    }

    void failed(long id, String error, Instant now, Instant next) {
        jdbc.sql(
                        """
                        UPDATE busy_sources SET tried_at = :now, next_at = :next, error = :error,
                            failing_at = coalesce(failing_at, :now)
                        WHERE id = :id
                        """)
                .param("now", now.getEpochSecond())
                .param("next", next.getEpochSecond())
                .param("error", error)
                .param("id", id)
                .update();
    }

    private static Source source(ResultSet row, int number) throws SQLException {
        return new Source(
                row.getLong("id"),
                new StaffId(row.getString("staff")),
                row.getString("address"),
                row.getString("name"),
                instant(row, "read_at"),
                instant(row, "failing_at"),
                row.getString("error"),
                row.getString("etag"),
                row.getString("modified"),
                row.getInt("occurrences"),
                row.getInt("unread"),
                row.getString("zones"));
    }

    private static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
        long second = row.getLong(column);
        return row.wasNull() ? null : Instant.ofEpochSecond(second);
    }
}
