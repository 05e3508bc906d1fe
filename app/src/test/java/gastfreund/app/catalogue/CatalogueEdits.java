package gastfreund.app.catalogue;

import gastfreund.housefile.HouseFile;
import java.util.function.Consumer;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Changes what the house sells, as whoever keeps a changed document does. */
@TestComponent
public class CatalogueEdits {

    private final JdbcClient jdbc;
    private final CatalogueService catalogues;
    private final TransactionTemplate transaction;

    CatalogueEdits(JdbcClient jdbc, CatalogueService catalogues, PlatformTransactionManager transactions) {
        this.jdbc = jdbc;
        this.catalogues = catalogues;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Changes a thing of a kind (the table's name), and looks around before that is committed. */
    public void change(String kind, String id, Consumer<ObjectNode> edit, Runnable before) {
        transaction.executeWithoutResult(status -> {
            ObjectNode json = (ObjectNode) HouseFile.parse(jdbc.sql("SELECT definition FROM " + kind + " WHERE id = ?")
                    .param(id)
                    .query(String.class)
                    .single());
            edit.accept(json);
            catalogues.change();
            jdbc.sql("UPDATE " + kind + " SET definition = ? WHERE id = ?")
                    .params(json.toString(), id)
                    .update();
            before.run();
        });
    }

    /** A small house in the place of the demo's, with nothing booked; for this class of tests. */
    public void open(SmallHouse house) {
        transaction.executeWithoutResult(status -> {
            jdbc.sql("PRAGMA defer_foreign_keys = ON").update();
            jdbc.sql("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'"
                            + " AND name NOT IN ('flyway_schema_history', 'hosts')")
                    .query(String.class)
                    .list()
                    .forEach(table -> jdbc.sql("DELETE FROM " + table).update());
            catalogues.open(house.json());
        });
    }

    /** Another file has taken the place of the house's. */
    public void forget() {
        transaction.executeWithoutResult(status -> catalogues.change());
    }

    public void change(String kind, String id, Consumer<ObjectNode> edit) {
        change(kind, id, edit, () -> {});
    }
}
