package gastfreund.app.figures;

import gastfreund.app.catalogue.DocumentRef;

/** Where changes are looked at. */
final class Editors {

    private Editors() {}

    /** The editor of the first document of a change. */
    static String of(Change change) {
        DocumentRef ref = change.edits().keySet().iterator().next();
        String own = ref.kind().code() + "/" + ref.id();
        if (change.key().equals("evening")
                || change.key().equals("opens")
                || change.key().startsWith("works:")) {
            return "/desk/hours/" + own;
        }
        return ref.kind() == DocumentRef.Kind.OFFERS ? "/desk/offers/" + ref.id() : "/desk/house/" + own;
    }
}
