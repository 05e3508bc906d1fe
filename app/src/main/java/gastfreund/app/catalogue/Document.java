package gastfreund.app.catalogue;

import tools.jackson.databind.node.ObjectNode;

/**
 * A part of the house that is changed as a whole, in the house file's JSON.
 *
 * @param version grows by one with each change; 0: it is not kept yet
 */
public record Document(DocumentRef ref, int version, ObjectNode json) {

    /** The same in another form. */
    public Document with(ObjectNode other) {
        return new Document(ref, version, other);
    }

    /** What a host calls it: its name or title. */
    public String name() {
        String title = json.path("title").stringValue(json.path("code").stringValue(""));
        return json.path("name").stringValue(title.isEmpty() ? ref.id() : title);
    }

    public boolean isRetired() {
        return json.path("retired").booleanValue(false);
    }
}
