package gastfreund.app.files;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Table;
import gastfreund.core.orders.PromoCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Promo codes as a table: a row for each, in the words of the house file; offers with blanks between them. How often one was
 * used is told and not taken in. Codes that are not in it stay.
 */
@Component
public class CodeTable {

    private static final String USED = "used";
    private static final List<String> NUMBERS = List.of("amount", "minSubtotal", "maxUses");
    private static final List<String> COLUMNS =
            List.of("code", "percent", "amount", "offers", "from", "to", "minSubtotal", "maxUses", "perGuest", USED);

    private final HouseDocuments documents;
    private final Orders orders;

    CodeTable(HouseDocuments documents, Orders orders) {
        this.documents = documents;
        this.orders = orders;
    }

    public String written(List<Document> codes) {
        return Table.written(COLUMNS, codes.stream().map(this::row).toList());
    }

    private List<String> row(Document code) {
        JsonNode json = code.json();
        List<String> offers = new ArrayList<>();
        json.path("offers").forEach(o -> offers.add(o.stringValue("")));
        return List.of(
                json.path("code").stringValue(""),
                json.path("percent").asString(""),
                json.path("amount").asString(""),
                String.join(" ", offers),
                json.path("from").stringValue(""),
                json.path("to").stringValue(""),
                json.path("minSubtotal").asString(""),
                json.path("maxUses").asString(""),
                json.path("extra").path("perGuest").asString(""),
                Integer.toString(json.path(USED).intValue(0)
                        + orders.broughtBy(code.ref().id()).orders()));
    }

    /** @throws UnfitFileException where it is no such table */
    Incoming read(String text) {
        List<Document> fresh = new ArrayList<>();
        for (Map<String, String> row : Csv.read(text, COLUMNS)) {
            String code = row.getOrDefault("code", "");
            DocumentRef ref = new DocumentRef(Kind.PROMO_CODES, PromoCode.normal(code));
            Optional<Document> now = documents.find(ref);
            ObjectNode json = now.map(d -> d.json().deepCopy()).orElseGet(Sort.JSON::objectNode);
            if (now.isEmpty()) {
                json.put("code", code);
            }
            row.forEach((column, value) -> set(json, column, value));
            if (now.isEmpty() || !now.get().json().equals(json)) {
                fresh.add(new Document(ref, 0, json));
            }
        }
        return new Incoming(List.copyOf(fresh), List.of());
    }

    private static void set(ObjectNode json, String column, String value) {
        if (column.equals("code") || column.equals(USED)) {
            return;
        }
        String member = column.equals("perGuest") ? "extra/perGuest" : column;
        if (column.equals("offers") && !value.isBlank()) {
            ArrayNode offers = Sort.JSON.arrayNode();
            List.of(value.split(" +")).forEach(offers::add);
            Inputs.set(json, member, offers);
        } else {
            boolean number = NUMBERS.contains(column) || column.equals("perGuest");
            Inputs.set(json, member, value.isBlank() ? null : Csv.value(value, number));
        }
    }
}
