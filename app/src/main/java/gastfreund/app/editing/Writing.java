package gastfreund.app.editing;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.hosts.Host;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Writes documents together with what that changes, in the transaction that decided to. */
@Component
class Writing {

    private final HouseDocuments documents;
    private final ChangeStore changes;
    private final Clock clock;

    Writing(HouseDocuments documents, ChangeStore changes, Clock clock) {
        this.documents = documents;
        this.changes = changes;
        this.clock = clock;
    }

    /**
     * Those that are as they were are left alone.
     *
     * @param undoes the keeping that this one undoes; null: none
     * @return the number of the keeping; 0 where nothing was written
     */
    long write(Host host, List<Document> fresh, @Nullable Long undoes) {
        long keeping = changes.next();
        boolean any = false;
        for (Document one : fresh) {
            Optional<Document> before = documents.find(one.ref());
            ObjectNode json = Members.document(Members.of(one.json()));
            if (before.map(b -> Members.of(b.json()).equals(Members.of(json))).orElse(false)) {
                continue;
            }
            int version = before.map(Document::version).orElse(0) + 1;
            documents.write(new Document(one.ref(), version, json));
            changes.write(new Change(
                    0,
                    keeping,
                    Instant.now(clock),
                    host.email(),
                    one.ref(),
                    version,
                    before.map(Document::json).orElse(null),
                    json,
                    undoes));
            any = true;
        }
        return any ? keeping : 0;
    }

    /** Takes a document away for good; 0 where it could not be. */
    long delete(Host host, DocumentRef ref, @Nullable Long undoes) {
        Optional<Document> before = documents.find(ref);
        if (before.isEmpty() || !documents.delete(ref)) {
            return 0;
        }
        long keeping = changes.next();
        changes.write(new Change(
                0,
                keeping,
                Instant.now(clock),
                host.email(),
                ref,
                before.get().version() + 1,
                before.get().json(),
                null,
                undoes));
        return keeping;
    }
}
