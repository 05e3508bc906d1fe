package gastfreund.app.lists;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what hosts look for again and again. */
@Repository
class KeptViewStore {

    private final JdbcClient jdbc;

    KeptViewStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param query what stands behind the question mark of its address */
    record View(long id, String list, String name, String query) {}

    List<View> of(String list) {
        return jdbc.sql("SELECT id, list, name, query FROM kept_views WHERE list = ? ORDER BY name LIMIT 50")
                .param(list)
                .query((row, n) -> new View(
                        row.getLong("id"), row.getString("list"), row.getString("name"), row.getString("query")))
                .list();
    }

    /** Keeps a view; one of the same name gives way. */
    void keep(String list, String name, String query, String who) {
        jdbc.sql(
                        """
                        INSERT INTO kept_views (list, name, query, who) VALUES (?, ?, ?, ?)
                        ON CONFLICT (list, name) DO UPDATE SET query = excluded.query, who = excluded.who
                        """)
                .params(list, name, query, who)
                .update();
    }

    void remove(String list, long id) {
        jdbc.sql("DELETE FROM kept_views WHERE id = ? AND list = ?")
                .params(id, list)
                .update();
    }
}
