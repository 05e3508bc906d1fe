package gastfreund.app.files;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Lists;
import gastfreund.app.editing.Sort;
import gastfreund.app.pages.Table;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Offers as a table: a row for each length, with what lists of prices have. Amounts are in the currency's minor unit, times
 * in minutes, as in the house file. A row of an offer or a length that there is not makes one; those that are not in it stay.
 */
@Component
class OfferTable {

    /** The columns, each with the member that it is; those of a length begin with its own. */
    private static final Map<String, String> MEMBERS = new LinkedHashMap<>();

    private static final String LENGTH = "lengths/*/";
    private static final List<String> NUMBERS =
            List.of("minutes", "price", "partyMin", "partyMax", "notice", "prep", "reset");

    static {
        MEMBERS.put("id", "id");
        MEMBERS.put("title", "title");
        MEMBERS.put("length", LENGTH + "id");
        MEMBERS.put("minutes", LENGTH + "minutes");
        MEMBERS.put("price", LENGTH + "price");
        MEMBERS.put("taxPercent", "taxPercent");
        MEMBERS.put("partyMin", "party/min");
        MEMBERS.put("partyMax", "party/max");
        MEMBERS.put("notice", "notice");
        MEMBERS.put("prep", "prep");
        MEMBERS.put("reset", "reset");
        MEMBERS.put("category", "extra/category");
        MEMBERS.put("summary", "extra/summary");
    }

    private final HouseDocuments documents;

    OfferTable(HouseDocuments documents) {
        this.documents = documents;
    }

    String written() {
        List<List<String>> rows = new ArrayList<>();
        for (Document offer : documents.all(Kind.OFFERS)) {
            if (!offer.isRetired()) {
                for (JsonNode length : offer.json().path("lengths")) {
                    rows.add(MEMBERS.values().stream()
                            .map(m -> m.startsWith(LENGTH)
                                    ? length.path(m.substring(LENGTH.length())).asString("")
                                    : Inputs.at(offer.json(), m).asString(""))
                            .toList());
                }
            }
        }
        return Table.written(List.copyOf(MEMBERS.keySet()), rows);
    }

    /** @throws UnfitFileException where it is no such table */
    Incoming read(String text) {
        Map<String, ObjectNode> offers = new LinkedHashMap<>();
        for (Map<String, String> row : Csv.read(text, List.copyOf(MEMBERS.keySet()))) {
            String id = row.getOrDefault("id", "");
            ObjectNode offer = offers.computeIfAbsent(id, this::offer);
            String length = row.getOrDefault("length", "");
            if (Inputs.at(offer, "lengths/" + length).isMissingNode()) {
                Lists.add(offer, "lengths", Sort.JSON.objectNode().put("id", length));
            }
            row.forEach((column, value) -> set(offer, column, length, value));
        }
        List<Document> fresh = new ArrayList<>();
        offers.forEach((id, json) -> {
            Document offer = new Document(DocumentRef.offer(id), 0, json);
            Optional<Document> now = documents.find(offer.ref());
            if (now.isEmpty() || !now.get().json().equals(json)) {
                fresh.add(offer);
            }
        });
        return new Incoming(List.copyOf(fresh), List.of());
    }

    private ObjectNode offer(String id) {
        return documents
                .find(DocumentRef.offer(id))
                .map(d -> d.json().deepCopy())
                .orElseGet(() -> {
                    ObjectNode fresh = Sort.JSON.objectNode().put("id", id);
                    fresh.putArray("lengths");
                    return fresh;
                });
    }

    private static void set(ObjectNode offer, String column, String length, String value) {
        String member = MEMBERS.getOrDefault(column, "");
        if (column.equals("id") || column.equals("length")) {
            return;
        }
        String at = member.replace("*", length);
        JsonNode now = Inputs.at(offer, at);
        if (!now.asString("").equals(value)) {
            Inputs.set(offer, at, value.isBlank() ? null : Csv.value(value, NUMBERS.contains(column)));
        }
    }
}
