package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was kept of one document.
 *
 * @param keeping the first change of those that were kept together
 * @param who the mail address of the host
 * @param before null where there was no such document
 * @param after null where it was deleted
 * @param undoes the keeping that this one undoes; null where it undoes none
 */
public record Change(
        long id,
        long keeping,
        Instant at,
        String who,
        DocumentRef ref,
        int version,
        @Nullable ObjectNode before,
        @Nullable ObjectNode after,
        @Nullable Long undoes) {

    public JsonNode beforeOrNothing() {
        return before == null ? JsonNodeFactory.instance.objectNode() : before;
    }

    public JsonNode afterOrNothing() {
        return after == null ? JsonNodeFactory.instance.objectNode() : after;
    }
}
