package gastfreund.app.editing;

import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Lists of a document whose elements are added, taken away and put into another order. */
public final class Lists {

    private static final int MOST = 60;

    /** Lists without which a document is none: left empty, they are told as a fault. */
    private static final Set<String> NEEDED = Set.of("lengths", "timetable");

    private Lists() {}

    /** Puts an element behind all others of a list; not where there are enough. */
    public static void add(ObjectNode document, String list, JsonNode fresh) {
        ArrayNode all = Inputs.at(document, list) instanceof ArrayNode given ? given : Sort.JSON.arrayNode();
        if (all.size() < MOST) {
            all.add(fresh);
            Inputs.set(document, list, all);
        }
    }

    /** An id that none of the list has: what it is like, with a number. */
    public static String id(JsonNode document, String list, String like) {
        Set<String> taken = new TreeSet<>();
        Inputs.at(document, list).forEach(e -> taken.add(e.path("id").stringValue("")));
        for (int i = taken.size() + 1; ; i++) {
            if (taken.add(like + "-" + i)) {
                return like + "-" + i;
            }
        }
    }

    /** @param member the list, a slash, and the element's id or place */
    public static void remove(ObjectNode document, String member) {
        int slash = member.lastIndexOf('/');
        int at = place(document, member);
        if (at >= 0 && Inputs.at(document, member.substring(0, slash)) instanceof ArrayNode list) {
            list.remove(at);
            if (list.isEmpty() && !NEEDED.contains(member.substring(0, slash))) {
                Inputs.set(document, member.substring(0, slash), null);
            }
        }
    }

    /** Moves an element before the one that stands before it. */
    public static void up(ObjectNode document, String member) {
        int at = place(document, member);
        if (at > 0 && Inputs.at(document, member.substring(0, member.lastIndexOf('/'))) instanceof ArrayNode list) {
            JsonNode moved = list.remove(at);
            list.insert(at - 1, moved);
        }
    }

    /**
     * Moves an element before another of its list.
     *
     * @param before the other, as it is named; empty: behind all of them
     */
    public static void before(ObjectNode document, String member, String before) {
        int slash = member.lastIndexOf('/');
        int from = place(document, member);
        if (from < 0 || !(Inputs.at(document, member.substring(0, slash)) instanceof ArrayNode list)) {
            return;
        }
        boolean same = before.lastIndexOf('/') == slash && before.startsWith(member.substring(0, slash + 1));
        int to = before.isEmpty() ? list.size() : same ? place(document, before) : -1;
        if (to >= 0) {
            JsonNode moved = list.remove(from);
            list.insert(to > from ? to - 1 : to, moved);
        }
    }

    /** Where an element stands in its list; less than 0: there is none. */
    private static int place(ObjectNode document, String member) {
        int slash = member.lastIndexOf('/');
        JsonNode wanted = slash < 0 ? Sort.JSON.missingNode() : Inputs.at(document, member);
        if (wanted.isMissingNode() || !(Inputs.at(document, member.substring(0, slash)) instanceof ArrayNode list)) {
            return -1;
        }
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i) == wanted) {
                return i;
            }
        }
        return -1;
    }
}
