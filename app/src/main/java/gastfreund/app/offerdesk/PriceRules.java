package gastfreund.app.offerdesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.languages.Formats;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Price rules as they are typed: by how much, in which direction, and when. */
final class PriceRules {

    static final String LIST = "priceRules";

    /** What a rule does: a part more or less, an amount more or less, or a price of its own. */
    static final String[] HOWS = {"shareLess", "shareMore", "less", "more", "exactly"};

    private static final int MOST = 30;

    static final Inputs TABLE = new Inputs()
            .withList("priceRules/*/days")
            .with("priceRules/*/from", Sorts.TIME_OF_DAY)
            .with("priceRules/*/to", Sorts.TIME_OF_DAY)
            .with("priceRules/*/dates/from", Sort.DATE)
            .with("priceRules/*/dates/to", Sort.DATE)
            .with("priceRules/*/hoursBeforeAtLeast", Sort.HOURS)
            .with("priceRules/*/hoursBeforeLessThan", Sort.HOURS)
            .with("priceRules/*/partyAtLeast", Sort.WHOLE)
            .with("priceRules/*/partyLessThan", Sort.WHOLE)
            .withList("priceRules/*/staff")
            .withList("priceRules/*/lengths");

    private PriceRules() {}

    /** Takes a form into an offer. */
    static void take(ObjectNode offer, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        TABLE.take(offer, form, unread, f);
        int place = 0;
        for (JsonNode rule : offer.path(LIST)) {
            String name = LIST + "/" + place++ + "/";
            if (form.containsKey(name + "by")) {
                change((ObjectNode) rule, name, form, unread, f);
            }
        }
    }

    private static void change(
            ObjectNode rule, String name, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        String by = String.join("", form.getOrDefault(name + "by", List.of())).strip();
        String how = String.join("", form.getOrDefault(name + "how", List.of()));
        if (by.equals(by(rule, f)) && how.equals(how(rule))) {
            unread.put(name + "by", "");
            return;
        }
        boolean share = how.startsWith("share");
        // The direction is said beside it.
        boolean signed = by.startsWith("-") || by.startsWith("\u2212");
        Optional<JsonNode> read = signed
                ? Optional.empty()
                : (share ? Sort.PERCENT : Sort.AMOUNT).read(share ? by : by.replace("%", ""), f);
        unread.put(name + "by", read.isPresent() ? "" : by.isEmpty() ? " " : by);
        if (read.isEmpty()) {
            return;
        }
        rule.remove(List.of("percent", "add", "set"));
        boolean less = how.equals("shareLess") || how.equals("less");
        if (share) {
            String percent = read.get().asString("");
            rule.set(
                    "percent",
                    Sort.PERCENT.read(less ? "-" + percent : percent, f).orElseThrow());
        } else if (how.equals("exactly")) {
            rule.set("set", read.get());
        } else {
            rule.set(
                    "add",
                    Sort.number(less ? -read.get().longValue() : read.get().longValue()));
        }
    }

    /** Which of {@link #HOWS} a rule does. */
    static String how(JsonNode rule) {
        if (rule.has("percent")) {
            return rule.path("percent").asString("").startsWith("-") ? "shareLess" : "shareMore";
        }
        return rule.has("set") ? "exactly" : rule.path("add").longValue(0) < 0 ? "less" : "more";
    }

    /** By how much, without its direction. */
    static String by(JsonNode rule, Formats f) {
        if (rule.has("percent")) {
            String said = Sort.PERCENT.said(rule.path("percent"), f);
            return said.startsWith("-") ? said.substring(1) : said;
        }
        return rule.has("set")
                ? Sort.AMOUNT.said(rule.path("set"), f)
                : Sort.AMOUNT.said(Sort.number(Math.abs(rule.path("add").longValue(0))), f);
    }

    /** Adds a rule: something more on Saturdays and Sundays. */
    static void add(ObjectNode offer) {
        ArrayNode rules = offer.path(LIST) instanceof ArrayNode given ? given : offer.putArray(LIST);
        if (rules.size() < MOST) {
            rules.addObject().put("percent", 10).putArray("days").add("sat").add("sun");
        }
    }
}
