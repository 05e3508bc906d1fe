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
     * Writes some documents, and takes some away for good; those that are as they were are left alone, and so are those that
     * cannot be taken away.
     *
     * @param undoes the keeping that this one undoes; null: none
     * @return the number of the keeping; 0 where nothing was changed
     */
    long write(Host host, List<Document> fresh, List<DocumentRef> gone, @Nullable Long undoes) {
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
            note(host, keeping, new Document(one.ref(), version, json), before.orElse(null), undoes);
            any = true;
        }
        for (DocumentRef ref : gone) {
            Optional<Document> before = documents.find(ref);
            if (before.isPresent() && documents.delete(ref)) {
                Document was = before.get();
                note(host, keeping, new Document(ref, was.version() + 1, Sort.JSON.objectNode()), was, undoes);
                any = true;
            }
        }
        return any ? keeping : 0;
    }

    /** @param after without members where there is none any more */
    private void note(Host host, long keeping, Document after, @Nullable Document before, @Nullable Long undoes) {
        changes.write(new Change(
                0,
                keeping,
                Instant.now(clock),
                host.email(),
                after.ref(),
                after.version(),
                before == null ? null : before.json(),
                after.json().isEmpty() ? null : after.json(),
                undoes));
    }
}
