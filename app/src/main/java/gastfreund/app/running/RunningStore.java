package gastfreund.app.running;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Asks the house's file whether it answers. */
@Repository
class RunningStore {

    private final JdbcClient jdbc;

    RunningStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    int ask() {
        return jdbc.sql("SELECT 1").query(Integer.class).single();
    }
}
