package gastfreund.app.documents;

import gastfreund.core.money.Money;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Keeps receipts and credit notes as they were issued. */
@Repository
class DocumentStore {

    private static final long FIRST_NUMBER = 5001;

    private final JdbcClient jdbc;

    DocumentStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Issues a document; its number follows that of the last, whatever the one given says. */
    void insert(long orderId, Document document) {
        jdbc.sql(
                        """
                        INSERT INTO documents (number, order_id, kind, issued_at, content)
                        VALUES ((SELECT coalesce(max(number) + 1, ?) FROM documents), ?, ?, ?, ?)
                        """)
                .params(
                        FIRST_NUMBER,
                        orderId,
                        document.kind().code(),
                        document.issued().getEpochSecond(),
                        written(document).toString())
                .update();
    }

    /** The documents of an order, the first one first. */
    List<Document> ofOrder(long orderId) {
        return jdbc.sql("SELECT * FROM documents WHERE order_id = ? ORDER BY number")
                .param(orderId)
                .query(DocumentStore::document)
                .list();
    }

    private static JsonNode written(Document document) {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        json.put("order", document.order()).put("locale", document.locale().toLanguageTag());
        json.put("house", document.house()).put("issuer", document.issuer()).put("guest", document.guest());
        ArrayNode items = json.putArray("items");
        document.items().forEach(i -> items.addObject()
                .put("title", i.title())
                .put("when", i.when())
                .put("amount", i.amount().minor())
                .put("rate", i.rate()));
        ArrayNode taxes = json.putArray("taxes");
        document.taxes().forEach(t -> taxes.addObject()
                .put("rate", t.rate())
                .put("net", t.net().minor())
                .put("tax", t.tax().minor()));
        return json.put("total", document.total().minor())
                .put("paid", document.paid().minor());
    }

    private static Document document(ResultSet row, int number) throws SQLException {
        JsonNode json = HouseFile.parse(row.getString("content"));
        List<Document.Item> items = new ArrayList<>();
        json.get("items")
                .forEach(i -> items.add(new Document.Item(
                        i.get("title").stringValue(),
                        i.get("when").stringValue(),
                        money(i, "amount"),
                        i.path("rate").stringValue(""))));
        List<Document.Tax> taxes = new ArrayList<>();
        json.get("taxes")
                .forEach(t ->
                        taxes.add(new Document.Tax(t.get("rate").stringValue(), money(t, "net"), money(t, "tax"))));
        return new Document(
                row.getLong("number"),
                Document.Kind.ofCode(row.getString("kind")),
                json.get("order").longValue(),
                Instant.ofEpochSecond(row.getLong("issued_at")),
                Locale.forLanguageTag(json.get("locale").stringValue()),
                json.get("house").stringValue(),
                json.path("issuer").stringValue(""),
                json.get("guest").stringValue(),
                items,
                taxes,
                money(json, "total"),
                money(json, "paid"));
    }

    private static Money money(JsonNode owner, String member) {
        return Money.ofMinor(owner.get(member).longValue());
    }
}
