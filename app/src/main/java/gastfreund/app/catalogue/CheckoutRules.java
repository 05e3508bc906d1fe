package gastfreund.app.catalogue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * What the house wants at checkout, as a house file keeps it in the house's {@code extra.checkout}.
 *
 * @param texts the house's texts, such as its terms and what it does with guests' data
 * @param straight whether a single booking goes to checkout without the basket's page between
 */
public record CheckoutRules(Ask company, Ask address, List<Text> texts, boolean straight) {

    /** Whether something is asked for. */
    public enum Ask {
        NO,
        OPTIONAL,
        REQUIRED
    }

    /**
     * A text of the house.
     *
     * @param agree whether a guest has to agree to it
     */
    public record Text(String id, String title, String wording, boolean agree) {

        /** The text, cut where a line is empty. */
        public List<String> paragraphs() {
            return List.of(wording.strip().split("\\R\\s*\\R"));
        }
    }

    static CheckoutRules of(JsonNode extra) {
        JsonNode rules = extra.path("checkout");
        List<Text> texts = new ArrayList<>();
        for (JsonNode text : rules.path("texts")) {
            texts.add(new Text(
                    text.path("id").asString(""),
                    text.path("title").asString(""),
                    text.path("wording").asString(""),
                    text.path("agree").asBoolean(false)));
        }
        return new CheckoutRules(
                ask(rules, "company"), ask(rules, "address"), List.copyOf(texts), rules.path("straight").asBoolean(false));
    }

    private static Ask ask(JsonNode rules, String member) {
        return Ask.valueOf(rules.path(member).asString("no").toUpperCase(Locale.ROOT));
    }

    /** The texts to which a guest has to agree. */
    public List<Text> toAgree() {
        return texts.stream().filter(Text::agree).toList();
    }

    public Optional<Text> text(String id) {
        return texts.stream().filter(t -> t.id().equals(id)).findFirst();
    }
}
