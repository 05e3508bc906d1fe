package gastfreund.app.catalogue;

import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.extras.Extras;
import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import gastfreund.housefile.Problem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The documents of which the house consists: read, tried in another form, and written. Nothing else writes them. */
@Service
public class HouseDocuments {

    private static final Pattern IN_LIST = Pattern.compile("\\A([a-zA-Z]++)\\[(\\d{1,9}+)](?:\\.(.*+))?+");

    private final CatalogueStore store;
    private final CatalogueService catalogues;

    HouseDocuments(CatalogueStore store, CatalogueService catalogues) {
        this.store = store;
        this.catalogues = catalogues;
    }

    /** All of them: the house, then kind by kind, each in the order in which it is shown; none where there is no house. */
    public List<Document> all() {
        return store.documents().stream().map(HouseDocuments::own).toList();
    }

    public List<Document> all(Kind kind) {
        return store.documents(kind).stream().map(HouseDocuments::own).toList();
    }

    /** What each of the documents is called, by its id. */
    public Map<String, String> names() {
        Map<String, String> names = new HashMap<>();
        store.documents().forEach(d -> names.put(d.ref().id(), d.name()));
        return names;
    }

    /** What the offers that are still offered are called, by their ids, in their order. */
    public Map<String, String> offered() {
        Map<String, String> names = new LinkedHashMap<>();
        store.documents(Kind.OFFERS).stream()
                .filter(d -> !d.isRetired())
                .forEach(d -> names.put(d.ref().id(), d.name()));
        return names;
    }

    public Optional<Document> find(DocumentRef ref) {
        return store.document(ref).map(HouseDocuments::own);
    }

    /** The store gives everybody the same: whoever may change what they get has one of their own. */
    private static Document own(Document shared) {
        return shared.with(shared.json().deepCopy());
    }

    /**
     * The house with some documents in the place of those that it has, or behind them where it has none, read as any house
     * file is.
     */
    public Tried tryOut(List<Document> changed) {
        return read(with(store.documents(), changed));
    }

    /** The same without some of them. */
    public Tried tryWithout(List<DocumentRef> gone, List<Document> changed) {
        List<Document> left = new ArrayList<>(with(store.documents(), changed));
        left.removeIf(d -> gone.contains(d.ref()));
        return read(left);
    }

    private static List<Document> with(List<Document> documents, List<Document> changed) {
        List<Document> with = new ArrayList<>(documents);
        for (Document one : changed) {
            int at = with.stream().map(Document::ref).toList().indexOf(one.ref());
            if (at < 0) {
                with.add(one);
            } else {
                with.set(at, one);
            }
        }
        return with;
    }

    private static Tried read(List<Document> documents) {
        try {
            return new Tried(HouseFile.read(file(documents), Extras::of).house(), List.of());
        } catch (BadFileException e) {
            return new Tried(
                    null, e.problems().stream().map(p -> fault(p, documents)).toList());
        }
    }

    /** A house file of these documents, without bookings. */
    public static ObjectNode file(List<Document> documents) {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", "gastfreund-house/1");
        for (Kind kind : Kind.values()) {
            if (kind != Kind.HOUSE) {
                file.putArray(kind.inFile());
            }
        }
        for (Document document : documents) {
            JsonNode list = file.path(document.ref().kind().inFile());
            if (list instanceof ArrayNode array) {
                array.add(document.json());
            } else {
                file.set("house", document.json());
            }
        }
        return file;
    }

    private static Fault fault(Problem problem, List<Document> documents) {
        Matcher inList = IN_LIST.matcher(problem.path());
        if (inList.matches()) {
            Optional<Document> found = documents.stream()
                    .filter(d -> d.ref().kind().inFile().equals(inList.group(1)))
                    .skip(Integer.parseInt(inList.group(2)))
                    .findFirst();
            if (found.isPresent()) {
                String path = inList.group(3) == null ? "" : inList.group(3);
                return new Fault(found.get().ref(), path, problem.message());
            }
        }
        String path = problem.path().startsWith("house.") ? problem.path().substring("house.".length()) : "";
        return new Fault(DocumentRef.HOUSE, path, problem.message());
    }

    /** Writes the next version of a document, or the first of a new one, in the transaction that decided to. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(Document document) {
        catalogues.change();
        store.write(document);
    }

    /**
     * Takes a document away for good, in the transaction that decided to.
     *
     * @return whether it could be: what has bookings cannot
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean delete(DocumentRef ref) {
        catalogues.change();
        return store.delete(ref);
    }

    /** Whether somebody has booked it, or it is named in what was booked. */
    public boolean isBooked(DocumentRef ref) {
        return store.isBooked(ref);
    }
}
