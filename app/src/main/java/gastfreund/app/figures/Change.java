package gastfreund.app.figures;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.core.openings.Query;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * Something that a house could do otherwise.
 *
 * @param key by which it is known again
 * @param words what it is
 * @param edits what it changes, in the documents' order
 * @param instead what would be asked then where a question finds nothing; null: nothing else
 */
record Change(
        String key,
        String words,
        Map<DocumentRef, Consumer<ObjectNode>> edits,
        Function<Query, @Nullable Query> instead) {

    /** The documents as they would be; empty where one of them is not there. */
    Optional<List<Document>> changed(Function<DocumentRef, Optional<Document>> documents) {
        List<Document> changed = new ArrayList<>();
        for (Map.Entry<DocumentRef, Consumer<ObjectNode>> edit : edits.entrySet()) {
            Optional<Document> document = documents.apply(edit.getKey());
            if (document.isEmpty()) {
                return Optional.empty();
            }
            ObjectNode json = document.get().json().deepCopy();
            edit.getValue().accept(json);
            changed.add(document.get().with(json));
        }
        return Optional.of(changed);
    }
}
