package gastfreund.app.files;

import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what a host's last file would change, until they decide. */
@Repository
class IncomingStore {

    private final JdbcClient jdbc;

    IncomingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void put(long host, String content, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO incoming (host, content, at) VALUES (?, ?, ?)
                        ON CONFLICT (host) DO UPDATE SET content = excluded.content, at = excluded.at
                        """)
                .params(host, content, now.getEpochSecond())
                .update();
    }

    Optional<String> of(long host) {
        return jdbc.sql("SELECT content FROM incoming WHERE host = ?")
                .param(host)
                .query(String.class)
                .optional();
    }

    void drop(long host) {
        jdbc.sql("DELETE FROM incoming WHERE host = ?").param(host).update();
    }
}
