package gastfreund.app.editing;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import java.time.Instant;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a host has changed in a document and not kept yet.
 *
 * @param version of the document from which it began; 0: there was none
 * @param base the document as it was then
 * @param json the document with what is changed, as far as it could be read
 * @param typed what was typed and cannot be read, by the name of its field
 */
public record Draft(
        DocumentRef ref, int version, ObjectNode base, ObjectNode json, Map<String, String> typed, Instant changedAt) {

    public Draft {
        typed = Map.copyOf(typed);
    }

    /** Whether it would make a document that there is not yet. */
    public boolean isNew() {
        return version == 0;
    }

    /** Whether nothing is changed. */
    boolean isIdle() {
        return !isNew() && typed.isEmpty() && Members.of(base).equals(Members.of(json));
    }

    public Document document() {
        return new Document(ref, version, json);
    }
}
