package gastfreund.app.offerdesk;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.endings.Endings;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.housefile.HouseFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Each member of an offer is changed, each that can go is taken away, one after the other, while a booking of it stands: what
 * it was sold as, its price, terms, taxes, documents and letters stay what they were.
 */
class KeptWithBookingTest extends OrdersTest {

    private static final String OFFER = "private-lesson";
    private static final int LEAST = 60;

    /** Words of the house file, each with another that can stand in its place. */
    private static final Map<String, String> WORDS = Map.of(
            "any",
            "all",
            "least",
            "order",
            "deposit",
            "venue",
            "private",
            "shared",
            "booking",
            "person",
            "19",
            "7",
            "2029-12-31",
            "2029-12-30",
            "link",
            "off",
            "moss",
            "plum");

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private HouseDocuments documents;

    @Autowired
    private Endings endings;

    /** What is said of a booking, wherever it is said. */
    private record Said(String page, String documents, String terms, List<String> letters, String line) {}

    private Said said(Order order) {
        return new Said(
                get("/bookings/" + order.token())
                        .body()
                        .replaceAll("nonce=\"[^\"]*\"", "")
                        .replaceAll("<meta name=\"(padding|clock)\"[^>]*>", "")
                        .replaceAll("data-until=\"\\d+\"", ""),
                jdbc.sql("SELECT group_concat(content) FROM documents WHERE order_id = ?")
                        .param(order.id())
                        .query(String.class)
                        .single(),
                endings.byTheTerms(line(order)).toString(),
                letters.ofOrder(order.id()).stream().map(Written::text).toList(),
                line(order).total() + " " + line(order).balance() + " "
                        + line(order).sold());
    }

    /** The offer with everything that an offer can have. */
    private static void fill(ObjectNode offer) {
        offer.put("notice", 60).put("horizonDays", 200);
        offer.putObject("season").put("from", "2026-01-01").put("to", "2029-12-31");
        offer.putObject("limits").put("perDay", 9).put("minutesPerDay", 900);
        ObjectNode extra = offer.withObject("/extra");
        extra.put("text", "More of it").put("category", "Lessons").put("button", "Take it");
        extra.put("sign", "L")
                .put("tone", "moss")
                .put("venueWords", "Cash only")
                .put("listing", "link");
        extra.putArray("tags").add("wheel");
        extra.putArray("pictures")
                .addObject()
                .put("id", "p")
                .put("name", "lesson.svg")
                .put("text", "A wheel");
        extra.putObject("in").putObject("de").put("title", "Einzelstunde");
    }

    /** Every way in which one member becomes another, or goes: what it does to the offer, by words. */
    private static Map<String, Consumer<ObjectNode>> changes(JsonNode offer) {
        Map<String, Consumer<ObjectNode>> changes = new LinkedHashMap<>();
        walk(offer, "", changes);
        return changes;
    }

    private static void walk(JsonNode node, String at, Map<String, Consumer<ObjectNode>> changes) {
        if (node.isObject()) {
            node.properties().forEach(member -> {
                String path = at + "/" + member.getKey();
                if (!path.equals("/id")) {
                    changes.put("without " + path, offer -> ((ObjectNode) offer.at(at)).remove(member.getKey()));
                    walk(member.getValue(), path, changes);
                }
            });
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                int place = i;
                changes.put("without " + at + "/" + i, offer -> ((ArrayNode) offer.at(at)).remove(place));
                walk(node.get(i), at + "/" + i, changes);
            }
        } else {
            changes.put("another " + at, offer -> replace(offer, at, another(node)));
        }
    }

    private static void replace(ObjectNode offer, String at, JsonNode other) {
        int slash = at.lastIndexOf('/');
        JsonNode owner = offer.at(at.substring(0, slash));
        String name = at.substring(slash + 1);
        if (owner instanceof ArrayNode list) {
            list.set(Integer.parseInt(name), other);
        } else {
            ((ObjectNode) owner).set(name, other);
        }
    }

    private static JsonNode another(JsonNode node) {
        if (node.isBoolean()) {
            return HouseFile.parse(Boolean.toString(!node.booleanValue()));
        }
        return node.isNumber()
                ? HouseFile.parse(Long.toString(node.longValue() + 1))
                : HouseFile.parse(
                        "\"" + WORDS.getOrDefault(node.stringValue(), node.stringValue() + " otherwise") + "\"");
    }

    @Test
    void whateverBecomesOfTheOffer() {
        DocumentRef ref = DocumentRef.offer(OFFER);
        ObjectNode original = documents.find(ref).orElseThrow().json().deepCopy();
        edits.change("offers", OFFER, KeptWithBookingTest::fill);
        Order order = paid(OFFER, "90", 40, "WORKS");
        Said sold = said(order);
        assertThat(sold.letters()).isNotEmpty();
        ObjectNode whole = documents.find(ref).orElseThrow().json().deepCopy();
        List<String> changed = new ArrayList<>();
        changes(whole).forEach((what, change) -> {
            ObjectNode json = whole.deepCopy();
            change.accept(json);
            if (documents.tryOut(List.of(new Document(ref, 0, json))).isRight()) {
                set(json);
                assertThat(said(order)).as(what).isEqualTo(sold);
                changed.add(what);
            }
        });
        assertThat(changed)
                .hasSizeGreaterThan(LEAST)
                .contains("another /title", "another /taxPercent", "without /terms", "another /lengths/1/price");
        set(whole.deepCopy().put("retired", true));
        assertThat(said(order)).as("retired").isEqualTo(sold);
        set(original);
    }

    @Test
    void whateverBecomesOfTheTermsThatWereAgreedTo() {
        Order order = paid(OFFER, "90", 43, "WORKS");
        assertThat(said(order).page()).contains("House rules", "Clay is slippery");
        Said sold = said(order);
        edits.change("house", "1", house -> {
            ObjectNode text = (ObjectNode) house.at("/extra/checkout/texts/0");
            text.put("wording", "Everything is otherwise now.").put("agree", false);
        });
        assertThat(said(order)).isEqualTo(sold);
        edits.change("house", "1", house -> {
            ObjectNode text = (ObjectNode) house.at("/extra/checkout/texts/0");
            text.put("wording", "Clay is slippery.").put("agree", true);
        });
    }

    private void set(ObjectNode json) {
        edits.change("offers", OFFER, offer -> {
            offer.removeAll();
            offer.setAll(json.deepCopy());
        });
    }
}
