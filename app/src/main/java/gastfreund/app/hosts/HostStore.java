package gastfreund.app.hosts;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps hosts. */
@Repository
class HostStore {

    private final JdbcClient jdbc;

    HostStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean any() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM hosts)").query(Integer.class).single() == 1;
    }

    Optional<Host> byEmail(String email) {
        return jdbc.sql("SELECT id, email, name, password, role FROM hosts WHERE email = ?")
                .param(email.trim())
                .query(Host.class)
                .optional();
    }

    List<String> addresses() {
        return jdbc.sql("SELECT email FROM hosts WHERE role IN ('owner', 'manager') ORDER BY id")
                .query(String.class)
                .list();
    }

    void insert(String email, String name, String password, String role, Instant now) {
        jdbc.sql("INSERT INTO hosts (email, name, password, role, created_at) VALUES (?, ?, ?, ?, ?)")
                .params(email.trim(), name.trim(), password, role, now.getEpochSecond())
                .update();
    }
}
