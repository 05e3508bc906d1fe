package gastfreund.app.household;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a person serves, and at which prices: it stands in the offers, whose drafts it changes. */
@Component
class Serves {

    private final HouseDocuments documents;
    private final Editing editing;

    Serves(HouseDocuments documents, Editing editing) {
        this.documents = documents;
        this.editing = editing;
    }

    /**
     * An offer that a person may serve.
     *
     * @param prices their own for each length; empty where they have none
     */
    public record Row(Field serves, List<Field> prices) {}

    /** The drafts of offers in which who serves is changed. */
    List<DocumentRef> changed(Host host) {
        return editing.drafts(host).stream()
                .filter(d -> d.ref().kind() == Kind.OFFERS)
                .filter(d -> !d.base().path("staff").equals(d.json().path("staff")))
                .map(Draft::ref)
                .toList();
    }

    List<Row> rows(Host host, String person, Formats f) {
        List<Row> rows = new ArrayList<>();
        for (Document document : documents.all(Kind.OFFERS)) {
            Optional<Draft> draft = editing.draft(host, document.ref());
            JsonNode offer = draft.map(Draft::json).orElse(document.json());
            if (!document.isRetired()) {
                rows.add(row(document, offer, draft.map(Draft::typed).orElse(Map.of()), person, f));
            }
        }
        return rows;
    }

    private Row row(Document document, JsonNode offer, Map<String, String> typed, String person, Formats f) {
        String id = document.ref().id();
        boolean serves = serves(offer, person);
        Field tick = Field.tick("serves-" + id, document.name(), serves);
        List<Field> prices = new ArrayList<>();
        if (serves && offer.path("staff").path("pick").stringValue("any").equals("any")) {
            for (JsonNode length : offer.path("lengths")) {
                String name = field(id, length.path("id").stringValue(""), person);
                JsonNode own = offer.path("staff")
                        .path("prices")
                        .path(person)
                        .path(length.path("id").stringValue(""));
                Money usual = Money.ofMinor(length.path("price").longValue(0));
                Field field = Field.amount(
                                name,
                                f.duration(Minutes.of(length.path("minutes").intValue(1))))
                        .with("placeholder", f.field(usual))
                        .value(typed.getOrDefault(
                                name, own.isIntegralNumber() ? f.field(Money.ofMinor(own.longValue())) : ""));
                prices.add(typed.containsKey(name) ? field.wrong(f.text("household.noAmount")) : field);
            }
        }
        return new Row(tick, prices);
    }

    private static String field(String offer, String length, String person) {
        return "price-" + person + "-" + offer + "-" + length;
    }

    static boolean serves(JsonNode offer, String person) {
        for (JsonNode one : offer.path("staff").path("of")) {
            if (one.stringValue("").equals(person)) {
                return true;
            }
        }
        return false;
    }

    /** Takes in what was ticked and priced. */
    void type(Host host, String person, Map<String, String> form, Formats f) {
        for (Document document : documents.all(Kind.OFFERS)) {
            String id = document.ref().id();
            if (!form.containsKey("asked-" + id)) {
                continue;
            }
            boolean wanted = form.containsKey("serves-" + id);
            Map<String, String> unread = new HashMap<>();
            editing.change(
                    host,
                    document.ref(),
                    offer -> {
                        if (wanted != serves(offer, person)) {
                            serve(offer, person, wanted);
                        } else if (wanted) {
                            price(offer, person, id, form, unread, f);
                        }
                    },
                    unread);
        }
    }

    private static void serve(ObjectNode offer, String person, boolean wanted) {
        ObjectNode staff = offer.path("staff") instanceof ObjectNode given
                ? given
                : offer.putObject("staff").put("pick", "any");
        ArrayNode of = staff.path("of") instanceof ArrayNode given ? given : staff.putArray("of");
        if (wanted) {
            of.add(person);
            return;
        }
        for (int i = of.size() - 1; i >= 0; i--) {
            if (of.get(i).stringValue("").equals(person)) {
                of.remove(i);
            }
        }
        removePrices(staff, person);
    }

    private static void removePrices(ObjectNode staff, String person) {
        if (staff.path("prices") instanceof ObjectNode prices) {
            prices.remove(person);
            if (prices.isEmpty()) {
                staff.remove("prices");
            }
        }
    }

    private static void price(
            ObjectNode offer,
            String person,
            String id,
            Map<String, String> form,
            Map<String, String> unread,
            Formats f) {
        ObjectNode staff = (ObjectNode) offer.get("staff");
        for (JsonNode length : offer.path("lengths")) {
            String lengthId = length.path("id").stringValue("");
            String name = field(id, lengthId, person);
            if (!form.containsKey(name)) {
                continue;
            }
            String written = Written.line(form.get(name), 40);
            Optional<Money> amount = f.amount(written);
            unread.put(name, written.isEmpty() || amount.isPresent() ? "" : written);
            if (written.isEmpty()) {
                if (staff.path("prices").path(person) instanceof ObjectNode own) {
                    own.remove(lengthId);
                    if (own.isEmpty()) {
                        removePrices(staff, person);
                    }
                }
            } else if (amount.isPresent()) {
                ObjectNode prices =
                        staff.path("prices") instanceof ObjectNode given ? given : staff.putObject("prices");
                ObjectNode own = prices.path(person) instanceof ObjectNode given ? given : prices.putObject(person);
                own.put(lengthId, amount.get().minor());
            }
        }
    }

    /** The titles of the offers that a person serves. */
    List<String> titles(String person) {
        return documents.all(Kind.OFFERS).stream()
                .filter(o -> !o.isRetired() && serves(o.json(), person))
                .map(Document::name)
                .toList();
    }
}
