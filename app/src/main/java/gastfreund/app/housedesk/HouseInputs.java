package gastfreund.app.housedesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.sharing.SitesSort;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The members of the house that are changed in its sheet, and what goes with a change of one. */
final class HouseInputs {

    /** The product's own colour, which stands in no document. */
    static final String OURS = "#b5482f";

    /** The language in which the house's texts are written, and the ticks of the others. */
    static final String FIRST = "first";

    static final String OTHERS = "others/";
    static final String LANGUAGES = "extra/languages";
    private static final String COLOUR = "extra/look/colour";

    static final Inputs TABLE = new Inputs()
            .with("name", Sort.LINE)
            .with("zone", Sort.LINE)
            .with("currency", Sort.LINE)
            .with("extra/shortName", new Sort.Text(24))
            .with("extra/summary", Sort.TEXT)
            .with("extra/about", Sort.TEXT)
            .with("extra/pictureText", Sort.LINE)
            .with("extra/email", Sort.LINE)
            .with("extra/phone", Sort.LINE)
            .with("extra/address", new Sort.Text(400))
            .with(COLOUR, Sort.LINE, Sort.JSON.stringNode(OURS))
            .with("extra/look/font", Sorts.word("house", "plain", "book"), word("house"))
            .with("extra/opening", Sorts.word("everybody", "hosts", "nobody"), word("everybody"))
            .with("extra/closedWords", Sort.TEXT)
            .with("extra/sites", new SitesSort())
            .with("extra/waits/holdMinutes", Sort.SPAN, Sort.number(15))
            .with("extra/waits/answerHours", Sort.HOURS, Sort.number(24))
            .with("extra/waits/wishMinutes", Sort.SPAN, Sort.number(240))
            .withTruth("extra/checkout/straight")
            .withTruth("extra/checkout/confirmByMail")
            .with("extra/checkout/accounts", Sorts.word("none", "offered", "required"), word("none"))
            .with("extra/checkout/company", Sorts.word("no", "optional", "required"), word("no"))
            .with("extra/checkout/address", Sorts.word("no", "optional", "required"), word("no"))
            .with("extra/calls/offers", Sort.LINE)
            .with("extra/calls/people", Sort.LINE)
            .with("extra/calls/places", Sort.LINE)
            .with("extra/checkout/texts/*/title", Sort.LINE)
            .with("extra/checkout/texts/*/wording", new Sort.Text(9000))
            .withTruth("extra/checkout/texts/*/agree")
            .with("extra/legal/name", Sort.LINE)
            .with("extra/legal/address", new Sort.Text(400))
            .with("extra/legal/taxNumber", Sort.LINE)
            .with("extra/keeping/guestMonths", Sort.WHOLE, Sort.number(36))
            .with("extra/keeping/documentYears", Sort.WHOLE, Sort.number(10))
            .with("extra/keeping/backupDays", Sort.WHOLE, Sort.number(14))
            .with("extra/quiet/from", Sorts.TIME_OF_DAY, word("21:00"))
            .with("extra/quiet/to", Sorts.TIME_OF_DAY, word("08:00"))
            .withTruth("extra/quietMails")
            .with("extra/mails/sender", Sort.LINE)
            .with("extra/mails/reply", Sort.LINE)
            .with("extra/mails/foot", new Sort.Text(400))
            .with("extra/week", Sorts.word("mon", "sun", "sat"), word("mon"))
            .with("extra/clock", Sorts.word("24", "12"), word("24"))
            .with("extra/country", Sort.LINE);

    private HouseInputs() {}

    private static JsonNode word(String word) {
        return Sort.JSON.stringNode(word);
    }

    static void take(ObjectNode house, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        TABLE.take(house, form, unread, f);
        if (Inputs.at(house, COLOUR).stringValue("").equals(OURS)) {
            Inputs.set(house, COLOUR, null);
        }
        quiet(house);
        languages(house, form);
    }

    /** Whoever says one end says the other too. */
    private static void quiet(ObjectNode house) {
        if (house.path("extra").path("quiet") instanceof ObjectNode quiet) {
            quiet.putIfAbsent("from", word("21:00"));
            quiet.putIfAbsent("to", word("08:00"));
        }
    }

    /** The first one, then the others in the order in which the product has them. */
    private static void languages(ObjectNode house, MultiValueMap<String, String> form) {
        String first = form.getFirst(FIRST);
        if (first == null) {
            return;
        }
        ArrayNode languages = Sort.JSON.arrayNode().add(first);
        Languages.all().stream()
                .map(Locale::toLanguageTag)
                .filter(l -> !l.equals(first) && form.containsKey(OTHERS + l))
                .forEach(languages::add);
        if (!languages(house).equals(texts(languages))) {
            Inputs.set(house, LANGUAGES, languages);
        }
    }

    /** In which languages guests are spoken to, the first one first. */
    static List<String> languages(JsonNode house) {
        List<String> given = texts(Inputs.at(house, LANGUAGES));
        return given.isEmpty()
                ? Languages.all().stream().map(Locale::toLanguageTag).toList()
                : given;
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(t -> texts.add(t.stringValue("")));
        return texts;
    }
}
