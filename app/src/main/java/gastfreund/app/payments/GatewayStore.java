package gastfreund.app.payments;

import gastfreund.app.secrets.Secrets;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Keeps the house's accounts at gateways; their keys lie encrypted. */
@Repository
class GatewayStore {

    private final JdbcClient jdbc;
    private final Secrets secrets;

    GatewayStore(JdbcClient jdbc, Secrets secrets) {
        this.jdbc = jdbc;
        this.secrets = secrets;
    }

    List<GatewayAccount> accounts() {
        return jdbc.sql("SELECT * FROM gateways").query(this::account).list();
    }

    private GatewayAccount account(ResultSet row, int number) throws SQLException {
        GatewayAccount.Kind kind =
                GatewayAccount.Kind.valueOf(row.getString("kind").toUpperCase(Locale.ROOT));
        GatewayAccount.Mode mode =
                GatewayAccount.Mode.valueOf(row.getString("mode").toUpperCase(Locale.ROOT));
        try {
            Map<String, String> keys = new LinkedHashMap<>();
            HouseFile.parse(secrets.decrypt(row.getString("keys")))
                    .properties()
                    .forEach(p -> keys.put(p.getKey(), p.getValue().stringValue()));
            return new GatewayAccount(kind, mode, row.getInt("enabled") == 1, keys);
        } catch (IllegalStateException e) {
            return new GatewayAccount(kind, mode, false, false, Map.of());
        }
    }

    /** The origins to which guests may be led, of all accounts; nothing is decrypted for it. */
    List<String> origins() {
        return jdbc.sql("SELECT DISTINCT origin FROM gateways WHERE origin <> ''")
                .query(String.class)
                .list();
    }

    /** Whether an account was kept before its origin was kept beside it. */
    boolean lacksOrigins() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM gateways WHERE origin IS NULL)")
                        .query(Integer.class)
                        .single()
                == 1;
    }

    void put(GatewayAccount account) {
        ObjectNode keys = JsonNodeFactory.instance.objectNode();
        account.keys().forEach(keys::put);
        jdbc.sql(
                        """
                        INSERT INTO gateways (kind, mode, enabled, keys, origin) VALUES (?, ?, ?, ?, ?)
                        ON CONFLICT (kind, mode) DO UPDATE SET enabled = excluded.enabled, keys = excluded.keys,
                                                               origin = excluded.origin
                        """)
                .params(
                        account.kind().code(),
                        account.mode().code(),
                        account.enabled() ? 1 : 0,
                        secrets.encrypt(keys.toString()),
                        account.origin())
                .update();
    }
}
