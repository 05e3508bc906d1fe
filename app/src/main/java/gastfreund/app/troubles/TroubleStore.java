package gastfreund.app.troubles;

import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps when those in charge were last told. */
@Repository
class TroubleStore {

    private final JdbcClient jdbc;

    TroubleStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Instant> told() {
        return jdbc.sql("SELECT told_at FROM troubles_told WHERE id = 1")
                .query(Long.class)
                .optional()
                .map(Instant::ofEpochSecond);
    }

    void told(Instant now) {
        jdbc.sql("INSERT INTO troubles_told (id, told_at) VALUES (1, ?)"
                        + " ON CONFLICT (id) DO UPDATE SET told_at = excluded.told_at")
                .param(now.getEpochSecond())
                .update();
    }
}
