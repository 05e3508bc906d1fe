package gastfreund.app.editing;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.hosts.Host;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The one way in which the house is changed: a host changes a draft, and keeps it or drops it ({@code docs/editing.md}); what
 * was kept can be undone by {@link Undoing}.
 */
@Service
public class Editing {

    /** What is told of a draft whose document somebody deleted. */
    public static final String GONE = "is not there any more";

    private final HouseDocuments documents;
    private final DraftStore drafts;
    private final ChangeStore changes;
    private final Writing writing;
    private final Clock clock;

    Editing(HouseDocuments documents, DraftStore drafts, ChangeStore changes, Writing writing, Clock clock) {
        this.writing = writing;
        this.documents = documents;
        this.drafts = drafts;
        this.changes = changes;
        this.clock = clock;
    }

    /** What a host has changed in a document and not kept. */
    public Optional<Draft> draft(Host host, DocumentRef ref) {
        return drafts.find(host.id(), ref);
    }

    /** All that a host has changed and not kept. */
    public List<Draft> drafts(Host host) {
        return drafts.of(host.id());
    }

    /** A document as a host sees it: with what they have not kept yet. */
    public Optional<Document> seen(Host host, DocumentRef ref) {
        Optional<Document> draft = draft(host, ref).map(Draft::document);
        return draft.isPresent() ? draft : documents.find(ref);
    }

    /**
     * Changes a document in a host's draft, which begins here where there is none. A draft in which nothing is changed any
     * more is dropped.
     *
     * @param edit changes the document
     * @param typed what cannot be read, by the names of the fields that this change is about; blank: it can be read now
     * @return empty where there is no such document
     */
    @Transactional
    public Optional<Draft> change(Host host, DocumentRef ref, Consumer<ObjectNode> edit, Map<String, String> typed) {
        Optional<Draft> begun = draft(host, ref).or(() -> documents.find(ref).map(this::begun));
        return begun.map(draft -> {
            ObjectNode json = draft.json().deepCopy();
            edit.accept(json);
            Map<String, String> unread = new HashMap<>(draft.typed());
            unread.putAll(typed);
            unread.values().removeIf(String::isEmpty);
            Draft changed = new Draft(ref, draft.version(), draft.base(), json, unread, Instant.now(clock));
            if (changed.isIdle()) {
                drafts.drop(host.id(), ref);
            } else {
                drafts.put(host.id(), changed);
            }
            return changed;
        });
    }

    private Draft begun(Document document) {
        return new Draft(
                document.ref(), document.version(), document.json(), document.json(), Map.of(), Instant.now(clock));
    }

    /** Begins a document that there is not yet. Nothing where there is one with this id, or a draft of one. */
    @Transactional
    public boolean begin(Host host, Document fresh) {
        if (seen(host, fresh.ref()).isPresent()) {
            return false;
        }
        ObjectNode nothing = JsonNodeFactory.instance.objectNode();
        drafts.put(host.id(), new Draft(fresh.ref(), 0, nothing, fresh.json(), Map.of(), Instant.now(clock)));
        return true;
    }

    /** Takes back what a host has changed and not kept. */
    @Transactional
    public void drop(Host host, List<DocumentRef> refs) {
        refs.forEach(ref -> drafts.drop(host.id(), ref));
    }

    /** Makes a host's drafts count, all of these or none. HouseDocuments without a draft are passed over. */
    @Transactional
    public Keeping keep(Host host, List<DocumentRef> refs) {
        List<Draft> kept =
                refs.stream().map(r -> draft(host, r)).flatMap(Optional::stream).toList();
        List<Document> fresh = new ArrayList<>();
        List<Keeping.Conflicts> conflicts = new ArrayList<>();
        Map<DocumentRef, Map<String, String>> unread = new HashMap<>();
        for (Draft draft : kept) {
            Optional<Document> current = documents.find(draft.ref());
            if (!draft.typed().isEmpty()) {
                unread.put(draft.ref(), draft.typed());
            }
            if (current.isEmpty() && !draft.isNew()) {
                return new Keeping.Wrong(List.of(new Fault(draft.ref(), "", GONE)), Map.of());
            }
            if (current.isEmpty() || current.get().version() == draft.version()) {
                fresh.add(draft.document());
                continue;
            }
            Merge merge = Merge.of(draft.base(), draft.json(), current.get().json());
            if (!merge.conflicts().isEmpty()) {
                conflicts.add(new Keeping.Conflicts(draft.ref(), merge.conflicts()));
            }
            fresh.add(current.get().with(merge.document()));
        }
        if (!conflicts.isEmpty()) {
            return new Keeping.Both(List.copyOf(conflicts));
        }
        Tried tried = documents.tryOut(fresh);
        if (!tried.isRight() || !unread.isEmpty()) {
            return new Keeping.Wrong(tried.faults(), unread);
        }
        long keeping = writing.write(host, fresh, List.of(), null);
        kept.forEach(d -> drafts.drop(host.id(), d.ref()));
        return new Keeping.Kept(keeping);
    }

    /** Changes documents at once, past the drafts of whoever has some, which merge with it when they are kept. */
    @Transactional
    public Keeping atOnce(Host host, Map<DocumentRef, Consumer<ObjectNode>> edits) {
        List<Document> fresh = new ArrayList<>();
        edits.forEach((ref, edit) -> documents.find(ref).ifPresent(document -> {
            ObjectNode json = document.json().deepCopy();
            edit.accept(json);
            fresh.add(document.with(json));
        }));
        Tried tried = documents.tryOut(fresh);
        return tried.isRight()
                ? new Keeping.Kept(writing.write(host, fresh, List.of(), null))
                : new Keeping.Wrong(tried.faults(), Map.of());
    }

    /**
     * Puts documents in the place of those that there are, or beside them, and takes some away, at once and all together or
     * not at all. What was booked is not taken away.
     */
    @Transactional
    public Keeping together(Host host, List<Document> fresh, List<DocumentRef> gone) {
        Tried tried = documents.tryWithout(gone, fresh);
        return tried.isRight()
                ? new Keeping.Kept(writing.write(host, fresh, gone, null))
                : new Keeping.Wrong(tried.faults(), Map.of());
    }

    /** The members that somebody else has changed since a host's draft began, and the draft too, differently. */
    public List<Conflict> conflicts(Draft draft) {
        return documents
                .find(draft.ref())
                .filter(d -> d.version() != draft.version())
                .map(d -> Merge.of(draft.base(), draft.json(), d.json()).conflicts())
                .orElse(List.of());
    }

    /**
     * Decides between two changes of the same members: the draft goes on from the document as it is now, with theirs in the
     * members named, and mine in all others.
     */
    @Transactional
    public void yield(Host host, DocumentRef ref, Set<String> members) {
        Optional<Draft> mine = draft(host, ref);
        Optional<Document> theirs = documents.find(ref);
        if (mine.isPresent() && theirs.isPresent()) {
            Document current = theirs.get();
            ObjectNode merged = Merge.of(mine.get().base(), mine.get().json(), current.json(), members)
                    .document();
            drafts.put(
                    host.id(),
                    new Draft(
                            ref,
                            current.version(),
                            current.json(),
                            merged,
                            mine.get().typed(),
                            Instant.now(clock)));
        }
    }

    /** The last change of a document. */
    public Optional<Change> last(DocumentRef ref) {
        return changes.last(ref);
    }

    /** The changes before one, the newest first. */
    public List<Change> latest(long before, int most) {
        return changes.latest(before, most);
    }
}
