package gastfreund.app.editing;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.hosts.Host;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Undoes what was kept, and deletes what nobody ever booked; both are changes like any other. */
@Service
public class Undoing {

    private final HouseDocuments documents;
    private final DraftStore drafts;
    private final ChangeStore changes;
    private final Writing writing;

    Undoing(HouseDocuments documents, DraftStore drafts, ChangeStore changes, Writing writing) {
        this.documents = documents;
        this.drafts = drafts;
        this.changes = changes;
        this.writing = writing;
    }

    /** What came of undoing. */
    public enum Undone {
        UNDONE,
        /** Members that it touched were changed again since. */
        CHANGED_SINCE,
        /** The house as it was then would not go with what it is now. */
        DOES_NOT_FIT,
        /** There is nothing of that number. */
        UNKNOWN
    }

    /**
     * Whether what was kept together was kept by a host, and touched nothing of the house but these members of one document.
     *
     * @param begins how the members' names begin
     */
    public boolean isOnly(Host host, long keeping, DocumentRef ref, List<String> begins) {
        List<Change> all = changes.kept(keeping);
        return !all.isEmpty()
                && all.stream()
                        .allMatch(c -> c.ref().equals(ref)
                                && c.who().equalsIgnoreCase(host.email())
                                && Merge.touched(Members.of(c.beforeOrNothing()), Members.of(c.afterOrNothing()))
                                        .stream()
                                        .allMatch(m -> begins.stream().anyMatch(m::startsWith)));
    }

    /** Undoes what was kept together, while the members that it touched are as it left them. It is a change like any other. */
    @Transactional
    public Undone undo(Host host, long keeping) {
        List<Change> all = changes.kept(keeping);
        if (all.isEmpty()) {
            return Undone.UNKNOWN;
        }
        List<Document> back = new ArrayList<>();
        List<DocumentRef> made = new ArrayList<>();
        for (Change change : all) {
            Optional<Document> now = documents.find(change.ref());
            if (!isAsLeft(change, now)) {
                return Undone.CHANGED_SINCE;
            }
            if (change.before() == null) {
                made.add(change.ref());
            } else if (now.isEmpty()) {
                back.add(new Document(change.ref(), change.version(), change.before()));
            } else {
                back.add(now.get().with(undone(change, now.get().json())));
            }
        }
        return undo(host, keeping, back, made);
    }

    private Undone undo(Host host, long keeping, List<Document> back, List<DocumentRef> made) {
        boolean fits = documents.tryWithout(made, back).isRight();
        if (!fits || made.stream().anyMatch(documents::isBooked)) {
            return Undone.DOES_NOT_FIT;
        }
        writing.write(host, back, made, keeping);
        return Undone.UNDONE;
    }

    private static boolean isAsLeft(Change change, Optional<Document> now) {
        if (change.after() == null || now.isEmpty()) {
            return (change.after() == null) == now.isEmpty();
        }
        Map<String, JsonNode> after = Members.of(change.after());
        Map<String, JsonNode> current = Members.of(now.get().json());
        return Merge.touched(Members.of(change.beforeOrNothing()), after).stream()
                .allMatch(m -> Objects.equals(after.get(m), current.get(m)));
    }

    private static ObjectNode undone(Change change, JsonNode now) {
        Map<String, JsonNode> before = Members.of(change.beforeOrNothing());
        Map<String, JsonNode> members = new TreeMap<>(Members.of(now));
        for (String member : Merge.touched(before, Members.of(change.afterOrNothing()))) {
            JsonNode was = before.get(member);
            if (was == null) {
                members.remove(member);
            } else {
                members.put(member, was);
            }
        }
        return Members.document(members);
    }

    /** Whether a change can be undone now. */
    public boolean canUndo(Change change) {
        return isAsLeft(change, documents.find(change.ref()));
    }

    /** Why a document cannot be deleted. */
    public sealed interface Deleting {

        record Deleted(long keeping) implements Deleting {}

        /** It was booked: it can be retired. */
        record Booked() implements Deleting {}

        /** Others name it. */
        record Named(List<Fault> faults) implements Deleting {}
    }

    /** Deletes what nobody ever booked and nothing names. */
    @Transactional
    public Deleting delete(Host host, DocumentRef ref) {
        if (documents.isBooked(ref)) {
            return new Deleting.Booked();
        }
        Tried tried = documents.tryWithout(List.of(ref), List.of());
        if (!tried.isRight()) {
            return new Deleting.Named(tried.faults());
        }
        drafts.drop(host.id(), ref);
        return new Deleting.Deleted(writing.write(host, List.of(), List.of(ref), null));
    }
}
