package gastfreund.app.letters;

import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps which mail addresses want no letters after bookings. */
@Repository
class UnsubscribedStore {

    private final JdbcClient jdbc;

    UnsubscribedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean has(String email) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM unsubscribed WHERE email = ?)")
                .param(email)
                .query(Boolean.class)
                .single();
    }

    void add(String email, Instant now) {
        jdbc.sql("INSERT INTO unsubscribed (email, at) VALUES (?, ?) ON CONFLICT (email) DO NOTHING")
                .params(email, now.getEpochSecond())
                .update();
    }

    void remove(String email) {
        jdbc.sql("DELETE FROM unsubscribed WHERE email = ?").param(email).update();
    }
}
