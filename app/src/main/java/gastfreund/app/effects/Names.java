package gastfreund.app.effects;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Change;
import gastfreund.app.editing.Figures;
import gastfreund.app.editing.Sentences;
import gastfreund.app.languages.Formats;
import gastfreund.core.hours.OfferId;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** What the documents of the house are called, and sentences with these names. */
@Component
public class Names {

    private final HouseDocuments documents;

    Names(HouseDocuments documents) {
        this.documents = documents;
    }

    /** The titles of offers that are still offered, in their order. */
    public Map<OfferId, String> offers() {
        Map<OfferId, String> titles = new LinkedHashMap<>();
        documents.offered().forEach((id, name) -> titles.put(new OfferId(id), name));
        return titles;
    }

    public Figures figures(Formats f) {
        return new Figures(f.words(), offers());
    }

    public Sentences sentences(Formats f) {
        return new Sentences(f, figures(f), documents.names());
    }

    /** What a document is called now, or was when it was changed. */
    String of(Change change) {
        ObjectNode json = change.after() == null ? change.before() : change.after();
        return json == null ? change.ref().id() : new Document(change.ref(), 0, json).name();
    }
}
