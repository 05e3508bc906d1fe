package gastfreund.app.editing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Two changes of one document, put together member by member.
 *
 * @param document with both changes; where they touch the same member differently, with mine
 * @param conflicts the members that both touch differently
 */
record Merge(ObjectNode document, List<Conflict> conflicts) {

    /** @param base from which both began */
    static Merge of(JsonNode base, JsonNode mine, JsonNode theirs) {
        return of(base, mine, theirs, Set.of());
    }

    /** @param yielded members in which theirs counts */
    static Merge of(JsonNode base, JsonNode mine, JsonNode theirs, Set<String> yielded) {
        Map<String, JsonNode> was = Members.of(base);
        Map<String, JsonNode> mineNow = Members.of(mine);
        Map<String, JsonNode> merged = new TreeMap<>(Members.of(theirs));
        List<Conflict> conflicts = new ArrayList<>();
        for (String member : touched(was, mineNow)) {
            JsonNode my = mineNow.get(member);
            JsonNode their = merged.get(member);
            if (yielded.contains(member) || Objects.equals(my, their)) {
                continue;
            }
            if (!Objects.equals(their, was.get(member))) {
                conflicts.add(new Conflict(member, my, their));
            }
            if (my == null) {
                merged.remove(member);
            } else {
                merged.put(member, my);
            }
        }
        return new Merge(Members.document(merged), List.copyOf(conflicts));
    }

    /** The members in which two documents differ. */
    static Set<String> touched(Map<String, JsonNode> before, Map<String, JsonNode> after) {
        Set<String> touched = new TreeSet<>(before.keySet());
        touched.addAll(after.keySet());
        touched.removeIf(m -> Objects.equals(before.get(m), after.get(m)));
        return touched;
    }
}
