package gastfreund.app.byhand;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds guests who were here before. */
@Repository
class KnownGuestStore {

    private static final int LOOKED_AT = 400;

    private final JdbcClient jdbc;

    KnownGuestStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param match a query of the full-text index */
    List<KnownGuest> find(String match, int most) {
        return jdbc.sql(
                        """
                        SELECT o.name, o.email, o.phone, max(o.id) AS last FROM orders o
                        WHERE o.id IN (SELECT rowid FROM known_guests WHERE known_guests MATCH :match
                                       ORDER BY rowid DESC LIMIT :looked)
                          AND o.forgotten_at IS NULL
                        GROUP BY lower(o.name), lower(o.email) ORDER BY last DESC LIMIT :most
                        """)
                .param("match", match)
                .param("looked", LOOKED_AT)
                .param("most", most)
                .query((row, n) ->
                        new KnownGuest(row.getString("name"), row.getString("email"), row.getString("phone")))
                .list();
    }
}
