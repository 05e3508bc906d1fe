package gastfreund.app.strangers;

import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps the seals that have served. */
@Repository
class SealStore {

    private final JdbcClient jdbc;

    SealStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Notes that a seal serves; false where it has served before. */
    boolean spend(String seal, Instant now) {
        return jdbc.sql("INSERT INTO spent_seals (seal, at) VALUES (?, ?) ON CONFLICT DO NOTHING")
                        .params(seal, now.getEpochSecond())
                        .update()
                > 0;
    }

    /** Forgets those that served before an instant. */
    void forget(Instant before) {
        jdbc.sql("DELETE FROM spent_seals WHERE at < ?")
                .param(before.getEpochSecond())
                .update();
    }
}
