package gastfreund.app.blocked;

import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Keeps times that are kept free; what they take is written by whoever writes all that takes time. */
@Repository
class BlockedStore {

    private static final String TIMES =
            """
            SELECT y.id, y.blocked, y.staff, k.word, k.weekly, y.start_at, y.end_at
            FROM busy y JOIN blocked k ON k.id = y.blocked
            """;

    private final JdbcClient jdbc;

    BlockedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    long insert(StaffId staff, String word, boolean weekly, String who, Instant now) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql("INSERT INTO blocked (staff, word, weekly, who, made_at) VALUES (?, ?, ?, ?, ?)")
                .params(staff.value(), word, weekly ? 1 : 0, who, now.getEpochSecond())
                .update(key, "id");
        return Objects.requireNonNull(key.getKey()).longValue();
    }

    void remove(long blocked) {
        jdbc.sql("DELETE FROM blocked WHERE id = ?").param(blocked).update();
    }

    /** What reaches into a stretch of time, the first one first. */
    List<BlockedTime> between(Interval stretch, int most) {
        return jdbc.sql(
                        TIMES
                                + "WHERE y.end_at > ? AND y.start_at < ? AND y.blocked IS NOT NULL ORDER BY y.start_at, y.id LIMIT ?")
                .params(stretch.start() * 60, stretch.end() * 60, most)
                .query(BlockedStore::time)
                .list();
    }

    Optional<BlockedTime> find(long id) {
        return jdbc.sql(TIMES + "WHERE y.id = ?")
                .param(id)
                .query(BlockedStore::time)
                .optional();
    }

    int countDates(long blocked) {
        return jdbc.sql("SELECT count(*) FROM busy WHERE blocked = ?")
                .param(blocked)
                .query(Integer.class)
                .single();
    }

    private static BlockedTime time(ResultSet row, int number) throws SQLException {
        return new BlockedTime(
                row.getLong("id"),
                row.getLong("blocked"),
                new StaffId(row.getString("staff")),
                row.getString("word"),
                row.getBoolean("weekly"),
                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60));
    }
}
