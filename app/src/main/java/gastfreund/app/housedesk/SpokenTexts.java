package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.extras.Tongues;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Every text of a document that guests read, and can be written in other languages too. */
final class SpokenTexts {

    private static final String ANY = "*";
    private static final Map<Kind, Map<String, Sort>> TEXTS = new EnumMap<>(Kind.class);
    private static final Map<Kind, Inputs> TABLES = new EnumMap<>(Kind.class);

    static {
        put(Kind.HOUSE, Sort.LINE, "name");
        put(Kind.HOUSE, Sort.TEXT, "extra/summary", "extra/about", "extra/closedWords");
        put(
                Kind.HOUSE,
                Sort.LINE,
                "extra/pictureText",
                "extra/calls/offers",
                "extra/calls/people",
                "extra/calls/places");
        put(Kind.HOUSE, Sort.LINE, "extra/checkout/texts/*/title");
        put(Kind.HOUSE, new Sort.Text(9000), "extra/checkout/texts/*/wording");
        for (String list : List.of("goods", "vouchers", "passes")) {
            put(Kind.HOUSE, Sort.LINE, "extra/" + list + "/*/title");
            put(Kind.HOUSE, Sort.TEXT, "extra/" + list + "/*/summary");
            put(Kind.HOUSE, Sort.LINES, "extra/" + list + "/*/included");
            put(Kind.HOUSE, Sort.LINE, "extra/" + list + "/*/pictureText");
        }
        put(Kind.HOUSE, Sort.LINE, "extra/notes/*/note");
        put(Kind.PLACES, Sort.LINE, "name");
        put(Kind.PLACES, Sort.TEXT, "extra/directions");
        put(Kind.STAFF, Sort.LINE, "name");
        put(Kind.STAFF, Sort.TEXT, "extra/words");
        put(Kind.RESOURCES, Sort.LINE, "name");
        put(Kind.OFFERS, Sort.LINE, "title");
        put(Kind.OFFERS, Sort.TEXT, "extra/summary", "extra/text");
        put(Kind.OFFERS, Sort.LINES, "extra/included");
        put(
                Kind.OFFERS,
                Sort.LINE,
                "extra/pictureText",
                "extra/pictures/*/text",
                "extra/category",
                "extra/button",
                "extra/venueWords");
        put(Kind.OFFERS, Sort.LINE, "addOns/*/title", "extra/questions/*/label", "extra/questions/*/help");
        put(Kind.OFFERS, Sort.LINES, "extra/questions/*/options");
        TEXTS.forEach((kind, texts) -> {
            Inputs table = new Inputs();
            texts.forEach((member, sort) -> table.with(Tongues.MEMBER + "/*/" + member, sort));
            TABLES.put(kind, table);
        });
    }

    private SpokenTexts() {}

    private static void put(Kind kind, Sort sort, String... members) {
        for (String member : members) {
            TEXTS.computeIfAbsent(kind, k -> new LinkedHashMap<>()).put(member, sort);
        }
    }

    /** Whether things of a kind have any. */
    static boolean has(Kind kind) {
        return TEXTS.containsKey(kind);
    }

    /** The members in which they stand in other languages. */
    static Inputs table(Kind kind) {
        return TABLES.getOrDefault(kind, new Inputs());
    }

    /**
     * A text that is there.
     *
     * @param member where it stands
     * @param words as it is written, several in lines
     * @param lines whether it can be more than a line
     */
    record Text(String member, String words, boolean lines) {

        /** Where it stands in another language. */
        String in(String language) {
            return Tongues.MEMBER + "/" + language + "/" + member;
        }
    }

    static List<Text> of(Document document) {
        List<Text> texts = new ArrayList<>();
        TEXTS.getOrDefault(document.ref().kind(), Map.of())
                .forEach((member, sort) -> find(document.json(), member.split("/"), 0, "", sort, texts));
        return texts;
    }

    private static void find(JsonNode node, String[] path, int at, String member, Sort sort, List<Text> texts) {
        if (at == path.length) {
            String words = words(node);
            if (!words.isBlank()) {
                texts.add(new Text(member.substring(1), words, sort.most() > Sort.LINE.most()));
            }
        } else if (path[at].equals(ANY)) {
            node.forEach(one -> {
                if (!Tongues.key(one).isEmpty()) {
                    find(one, path, at + 1, member + "/" + Tongues.key(one), sort, texts);
                }
            });
        } else {
            find(node.path(path[at]), path, at + 1, member + "/" + path[at], sort, texts);
        }
    }

    private static String words(JsonNode node) {
        if (!node.isArray()) {
            return node.stringValue("");
        }
        List<String> lines = new ArrayList<>();
        node.forEach(l -> lines.add(l.stringValue("")));
        return String.join("\n", lines);
    }

    /** How many of its texts are written in a language. */
    static long written(Document document, String language) {
        return of(document).stream()
                .filter(t -> !Inputs.at(document.json(), t.in(language)).isMissingNode())
                .count();
    }
}
