package gastfreund.app.export;

import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Reads every table, row by row. Nobody waits for it: it goes through a copy of the house's file. */
@Component
class ExportStore {

    /** What serves only this installation: keys, sessions, marks of links, and what can be made anew of other tables. */
    private static final Set<String> LEFT_OUT = Set.of(
            "flyway_schema_history",
            "gateways",
            "host_sessions",
            "second_factors",
            "spare_codes",
            "invitations",
            "account_links",
            "account_visits",
            "passkeys",
            "passkey_challenges",
            "spent_seals");

    private static final Set<String> SECRET = Set.of("password", "handle");

    private final JdbcClient jdbc;

    ExportStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The tables that are taken out, by name. */
    List<String> tables() {
        return jdbc
                .sql("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'"
                        + " AND name NOT LIKE 'known_guests%' ORDER BY name")
                .query(String.class)
                .list()
                .stream()
                .filter(t -> !LEFT_OUT.contains(t))
                .toList();
    }

    /**
     * Hands on the names of a table's columns, and then each of its rows.
     *
     * @param table one of {@link #tables()}
     */
    void rows(String table, Consumer<List<String>> each) {
        jdbc.sql("SELECT * FROM \"" + table + "\"").query((ResultSet rows) -> {
            ResultSetMetaData columns = rows.getMetaData();
            List<Integer> taken = new ArrayList<>();
            List<String> names = new ArrayList<>();
            for (int i = 1; i <= columns.getColumnCount(); i++) {
                if (!SECRET.contains(columns.getColumnName(i))) {
                    taken.add(i);
                    names.add(columns.getColumnName(i));
                }
            }
            each.accept(names);
            while (rows.next()) {
                List<String> row = new ArrayList<>();
                for (int i : taken) {
                    row.add(written(rows, i));
                }
                each.accept(row);
            }
            return names;
        });
    }

    private static String written(ResultSet rows, int column) throws SQLException {
        Object value = rows.getObject(column);
        if (value instanceof byte[] bytes) {
            return Base64.getEncoder().encodeToString(bytes);
        }
        return value == null ? "" : value.toString();
    }

    /** A receipt or a credit note, and the id of its order. */
    record Issued(long number, long order) {}

    List<Issued> documents() {
        return jdbc.sql("SELECT number, order_id FROM documents ORDER BY number")
                .query((row, n) -> new Issued(row.getLong("number"), row.getLong("order_id")))
                .list();
    }
}
