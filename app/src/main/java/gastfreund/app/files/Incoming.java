package gastfreund.app.files;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.housefile.HouseFile;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a file would change.
 *
 * @param fresh documents that are new, or other than they are
 * @param gone documents that it does not have any more
 */
record Incoming(List<Document> fresh, List<DocumentRef> gone) {

    boolean isEmpty() {
        return fresh.isEmpty() && gone.isEmpty();
    }

    /** As it is kept until its host decides. */
    String written() {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        ArrayNode documents = json.putArray("fresh");
        fresh.forEach(d -> ref(documents.addObject(), d.ref()).set("json", d.json()));
        ArrayNode refs = json.putArray("gone");
        gone.forEach(ref -> ref(refs.addObject(), ref));
        return json.toString();
    }

    private static ObjectNode ref(ObjectNode owner, DocumentRef ref) {
        return owner.put("kind", ref.kind().code()).put("id", ref.id());
    }

    static Incoming read(String written) {
        JsonNode json = HouseFile.parse(written);
        List<Document> fresh = new ArrayList<>();
        json.path("fresh").forEach(d -> fresh.add(new Document(ref(d), 0, (ObjectNode) d.get("json"))));
        List<DocumentRef> gone = new ArrayList<>();
        json.path("gone").forEach(d -> gone.add(ref(d)));
        return new Incoming(List.copyOf(fresh), List.copyOf(gone));
    }

    private static DocumentRef ref(JsonNode json) {
        return new DocumentRef(
                Kind.ofCode(json.get("kind").stringValue()).orElseThrow(),
                json.get("id").stringValue());
    }
}
