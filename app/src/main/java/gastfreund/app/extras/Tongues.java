package gastfreund.app.extras;

import gastfreund.app.languages.Languages;
import gastfreund.housefile.Node;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The texts of a house in other languages than its first: each thing of it has them in {@code extra.in}, by language, in the
 * shape of the thing itself; elements of lists are named by their {@code id}, or by the date with which they begin.
 *
 * <p>{@code {"title": "At the wheel", "addOns": [{"id": "clay", "title": "Clay"}], "extra": {"in": {"de": {"title": "An der
 * Scheibe", "addOns": {"clay": {"title": "Ton"}}}}}}}
 */
public final class Tongues {

    /** The member of {@code extra} in which they stand. */
    public static final String IN = "in";

    /** The same as the member of a thing. */
    public static final String MEMBER = "extra/" + IN;

    private static final int DEEPEST = 6;

    private Tongues() {}

    /** A house file with its texts in a language, as far as they are written in it. The file given stays as it is. */
    public static JsonNode in(JsonNode file, Locale language) {
        JsonNode copy = file.deepCopy();
        for (JsonNode member : copy) {
            if (member.isArray()) {
                member.forEach(thing -> say(thing, language));
            } else {
                say(member, language);
            }
        }
        return copy;
    }

    private static void say(JsonNode thing, Locale language) {
        JsonNode said = thing.path("extra").path(IN).path(language.toLanguageTag());
        if (thing instanceof ObjectNode object && said.isObject()) {
            overlay(object, said);
        }
    }

    private static void overlay(ObjectNode thing, JsonNode said) {
        for (Map.Entry<String, JsonNode> one : said.properties()) {
            JsonNode here = thing.path(one.getKey());
            JsonNode there = one.getValue();
            if (there.isObject() && here instanceof ObjectNode owner) {
                overlay(owner, there);
            } else if (there.isObject() && here instanceof ArrayNode list) {
                there.properties()
                        .forEach(e -> element(list, e.getKey()).ifPresent(found -> overlay(found, e.getValue())));
            } else if (isText(here) && isText(there)) {
                thing.set(one.getKey(), there);
            }
        }
    }

    private static boolean isText(JsonNode node) {
        return node.isString()
                || node.isArray() && !node.isEmpty() && node.get(0).isString();
    }

    /** An element of a list by its id, or by the date with which it begins. */
    public static Optional<ObjectNode> element(JsonNode list, String key) {
        for (JsonNode one : list) {
            if (one instanceof ObjectNode object && key.equals(key(object))) {
                return Optional.of(object);
            }
        }
        return Optional.empty();
    }

    /** What an element of a list is called here; empty: nothing. */
    public static String key(JsonNode element) {
        return element.path("id").stringValue(element.path("from").stringValue(""));
    }

    /** Checks what is written: languages that are spoken, and nothing but texts. */
    static void check(Node extra) {
        if (!extra.has(IN)) {
            return;
        }
        Node in = extra.at(IN);
        in.object(Languages.all().stream().map(Locale::toLanguageTag).toArray(String[]::new));
        in.json().properties().forEach(e -> texts(in.at(e.getKey()), DEEPEST));
    }

    private static void texts(Node node, int deep) {
        JsonNode json = node.json();
        if (json.isObject() && deep > 0) {
            json.properties().forEach(e -> texts(node.at(e.getKey()), deep - 1));
        } else if (json.isArray()) {
            node.elements().forEach(Node::text);
        } else {
            node.text();
        }
    }
}
