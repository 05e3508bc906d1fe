package gastfreund.app.editing;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.Fault;
import java.util.List;
import java.util.Map;

/** What came of keeping drafts. */
public sealed interface Keeping {

    /** What the page that comes next says of it, as the end of its address; empty: it shows what is wrong. */
    default String said(char before) {
        return this instanceof Kept kept ? before + (kept.keeping() == 0 ? "said=nothing" : "said=kept") : "";
    }

    /** They count. @param keeping its number; 0 where there was nothing to keep */
    record Kept(long keeping) implements Keeping {}

    /**
     * Nothing was kept, nothing is lost.
     *
     * @param faults what the reader of house files says
     * @param unread what was typed and cannot be read, by document and field
     */
    record Wrong(List<Fault> faults, Map<DocumentRef, Map<String, String>> unread) implements Keeping {}

    /** Somebody else has changed the same members meanwhile; nothing was kept, nothing is lost. */
    record Both(List<Conflicts> documents) implements Keeping {}

    /** What two hosts changed in one document. */
    record Conflicts(DocumentRef ref, List<Conflict> members) {}
}
