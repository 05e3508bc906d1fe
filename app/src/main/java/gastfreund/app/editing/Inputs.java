package gastfreund.app.editing;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The members of a document that a form changes, one table for filling it and for taking it in. A field is named by its
 * member, as {@code lengths/60/price}; elements of a list are named by their id, or by their place where they have none.
 */
public final class Inputs {

    /** Names of fields whose ticks were there to be set, each on its line. */
    public static final String ASKED = "asked";

    private static final String ANY = "*";
    private static final Pattern STEP = Pattern.compile("\\G\\.?+([^.\\[\\]]++)|\\G\\[(\\d{1,6}+)]");

    /** Lists whose elements are told apart by another member than their id. */
    private static final Map<String, String> KEYS = Map.of("uses", "resource");

    /** @param otherwise what counts where the member is missing */
    private record Input(String[] path, Sort sort, Kind kind, JsonNode otherwise) {

        JsonNode in(JsonNode member) {
            return member.isMissingNode() ? otherwise : member;
        }

        /** What stands in the field, blanks and ends of lines as they come back from a form. */
        String shown(JsonNode member, Formats f) {
            JsonNode said = in(member);
            return said.isMissingNode() ? "" : sort.said(said, f);
        }
    }

    private enum Kind {
        VALUE,
        /** One of the words of a list of texts. */
        IN_LIST,
        TRUTH
    }

    private final List<Input> inputs = new ArrayList<>();

    /** @param member a star stands for any element of a list */
    public Inputs with(String member, Sort sort) {
        return with(member, sort, Sort.JSON.missingNode());
    }

    /** @param otherwise what counts, and is shown, where the member is missing */
    public Inputs with(String member, Sort sort, JsonNode otherwise) {
        inputs.add(new Input(member.split("/"), sort, Kind.VALUE, otherwise));
        return this;
    }

    /** A list of texts, each of which is ticked: {@code places/yard}. */
    public Inputs withList(String member) {
        inputs.add(new Input((member + "/" + ANY).split("/"), Sort.LINE, Kind.IN_LIST, Sort.JSON.missingNode()));
        return this;
    }

    /** Something that is so, or is not; what is not so stands in no document. */
    public Inputs withTruth(String member) {
        inputs.add(new Input(member.split("/"), Sort.LINE, Kind.TRUTH, Sort.JSON.missingNode()));
        return this;
    }

    /** @throws IllegalArgumentException where no such member is in the table */
    private Input input(String member) {
        return find(member).orElseThrow(() -> new IllegalArgumentException(member));
    }

    private Optional<Input> find(String member) {
        String[] path = member.split("/", -1);
        return inputs.stream().filter(i -> fits(i.path(), path)).findFirst();
    }

    private static boolean fits(String[] pattern, String[] path) {
        if (pattern.length != path.length) {
            return false;
        }
        for (int i = 0; i < path.length; i++) {
            if (!pattern[i].equals(path[i]) && !(pattern[i].equals(ANY) && !path[i].isEmpty())) {
                return false;
            }
        }
        return true;
    }

    /**
     * A document as its form shows it.
     *
     * @param wrong what the reader of house files has against it, by member
     * @param typed what was typed and cannot be read, by field
     */
    public record Seen(JsonNode json, Map<String, String> wrong, Map<String, String> typed) {}

    /** A field with what stands in its member, or what was typed in its place and cannot be read. */
    public Field on(Field field, Seen seen, Formats f) {
        Input input = input(field.name());
        JsonNode member = at(seen.json(), field.name());
        @Nullable String unread = seen.typed().get(field.name());
        if (unread != null) {
            return field.value(unread).wrong(f.text("input.unread", example(input.sort(), f)));
        }
        String value =
                switch (input.kind()) {
                    case VALUE -> input.shown(member, f);
                    case TRUTH -> member.booleanValue(false) ? "true" : "";
                    case IN_LIST -> isInList(seen.json(), field.name()) ? "true" : "";
                };
        return field.value(value).wrong(seen.wrong().getOrDefault(field.name(), ""));
    }

    private static String example(Sort sort, Formats f) {
        return f.text(
                sort == Sort.AMOUNT
                        ? "input.amount"
                        : sort == Sort.WHOLE
                                ? "input.whole"
                                : sort == Sort.PERCENT
                                        ? "input.percent"
                                        : sort instanceof Sort.Span ? "input.span" : "input.other");
    }

    /** How much may be typed into the field of a member. */
    public int most(String member) {
        return input(member).sort().most();
    }

    /**
     * Takes a form into a document.
     *
     * @param unread receives by field what cannot be read; blank: it can
     */
    public void take(ObjectNode document, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        form.forEach((name, values) -> find(name)
                .filter(i -> i.kind() == Kind.VALUE)
                .ifPresent(input -> take(document, name, input, values.get(0), unread, f)));
        List<String> asked = form.getOrDefault(ASKED, List.of()).stream()
                .flatMap(String::lines)
                .toList();
        for (String name : asked) {
            find(name).ifPresent(input -> {
                if (input.kind() == Kind.TRUTH) {
                    set(document, name, form.containsKey(name) ? Sort.JSON.booleanNode(true) : null);
                } else if (input.kind() == Kind.IN_LIST) {
                    tick(document, name, form.containsKey(name));
                }
            });
        }
    }

    private static void take(
            ObjectNode document, String name, Input input, String value, Map<String, String> unread, Formats f) {
        boolean lines = input.sort().most() > Sort.LINE.most();
        String text = lines
                ? Written.text(value, input.sort().most()).replace("\r\n", "\n")
                : Written.line(value, input.sort().most());
        String shown = input.shown(at(document, name), f);
        if (text.equals(lines ? shown : Written.line(shown, input.sort().most()))) {
            // Nothing was changed, however else it could be written.
            unread.put(name, "");
            return;
        }
        if (text.isEmpty()) {
            unread.put(name, "");
            set(document, name, null);
            return;
        }
        Optional<JsonNode> read = input.sort().read(text, f);
        unread.put(name, read.isPresent() ? "" : text);
        read.ifPresent(v -> set(document, name, v));
    }

    /** A member of a document; missing where there is none. */
    public static JsonNode at(JsonNode document, String member) {
        JsonNode node = document;
        String above = "";
        for (String step : member.split("/")) {
            node = node.isArray() ? element(node, above, step) : node.path(step);
            above = step;
        }
        return node;
    }

    private static JsonNode element(JsonNode list, String name, String step) {
        String key = KEYS.getOrDefault(name, "id");
        for (JsonNode one : list) {
            if (one.path(key).stringValue("").equals(step)) {
                return one;
            }
        }
        boolean byPlace = !list.isEmpty() && !list.get(0).has(key) && isPlace(step);
        return byPlace ? list.path(Integer.parseInt(step)) : Sort.JSON.missingNode();
    }

    private static boolean isPlace(String step) {
        return !step.isEmpty() && step.length() < 6 && step.chars().allMatch(c -> c >= '0' && c <= '9');
    }

    /**
     * Puts a value into its member. What is empty after something was taken away goes too.
     *
     * @param value null: none
     */
    public static void set(ObjectNode document, String member, @Nullable JsonNode value) {
        String[] path = member.split("/");
        List<JsonNode> owners = new ArrayList<>();
        JsonNode node = document;
        for (int i = 0; i < path.length - 1; i++) {
            owners.add(node);
            JsonNode next = node.isArray() ? element(node, i == 0 ? "" : path[i - 1], path[i]) : node.path(path[i]);
            if (next.isMissingNode() && value != null) {
                next = made(node, i == 0 ? "" : path[i - 1], path[i]);
            }
            node = next;
        }
        String last = path[path.length - 1];
        if (!(node instanceof ObjectNode owner)) {
            return;
        }
        if (value != null) {
            owner.set(last, value);
            return;
        }
        owner.remove(last);
        JsonNode child = owner;
        for (int i = owners.size() - 1; i >= 0 && child.isEmpty(); i--) {
            if (owners.get(i) instanceof ObjectNode above) {
                above.remove(path[i]);
            }
            child = owners.get(i);
        }
    }

    /** What a step to something that is not there leads to, once it is made; missing where nothing can be made. */
    private static JsonNode made(JsonNode owner, String name, String step) {
        if (owner instanceof ObjectNode object) {
            return KEYS.containsKey(step) ? object.putArray(step) : object.putObject(step);
        }
        String key = KEYS.get(name);
        return owner instanceof ArrayNode list && key != null
                ? list.addObject().put(key, step)
                : Sort.JSON.missingNode();
    }

    private static boolean isInList(JsonNode document, String member) {
        int slash = member.lastIndexOf('/');
        for (JsonNode one : at(document, member.substring(0, slash))) {
            if (one.stringValue("").equals(member.substring(slash + 1))) {
                return true;
            }
        }
        return false;
    }

    private static void tick(ObjectNode document, String member, boolean ticked) {
        if (ticked == isInList(document, member)) {
            return;
        }
        int slash = member.lastIndexOf('/');
        String list = member.substring(0, slash);
        ArrayNode fresh = Sort.JSON.arrayNode();
        for (JsonNode one : at(document, list)) {
            if (!one.stringValue("").equals(member.substring(slash + 1))) {
                fresh.add(one);
            }
        }
        if (ticked) {
            fresh.add(member.substring(slash + 1));
        }
        set(document, list, fresh.isEmpty() ? null : fresh);
    }

    /** The member that a path of the reader of house files means: {@code lengths[0].price} is {@code lengths/60/price}. */
    public static String member(JsonNode document, String path) {
        StringBuilder member = new StringBuilder();
        JsonNode node = document;
        String above = "";
        Matcher step = STEP.matcher(path);
        while (step.find()) {
            String name = step.group(1);
            if (name == null) {
                String place = step.group(2);
                node = node.path(Integer.parseInt(place));
                name = node.path(KEYS.getOrDefault(above, "id")).stringValue(place);
            } else {
                node = node.path(name);
            }
            member.append(member.isEmpty() ? "" : "/").append(name);
            above = name;
        }
        return member.toString();
    }
}
