package gastfreund.app.files;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.extras.Extras;
import gastfreund.core.orders.PromoCode;
import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The whole house as a house file ({@code docs/house-format.md}). */
@Component
class WholeHouse {

    /** How many problems of a file are told. */
    private static final int MOST_TOLD = 20;

    private final HouseDocuments documents;

    WholeHouse(HouseDocuments documents) {
        this.documents = documents;
    }

    /** Without bookings. */
    String written() {
        return HouseFile.printed(HouseDocuments.file(documents.all()));
    }

    /**
     * What a file would change. What was booked and is not in it is retired.
     *
     * @throws UnfitFileException where it is no house file, or something in it is wrong
     */
    Incoming read(String text) {
        JsonNode file;
        try {
            file = HouseFile.parse(text);
            HouseFile.read(file, Extras::of);
        } catch (BadFileException e) {
            throw new UnfitFileException(
                    e.problems().stream().limit(MOST_TOLD).map(Object::toString).toList());
        }
        List<Document> fresh = new ArrayList<>();
        Set<DocumentRef> there = new HashSet<>();
        add(new Document(DocumentRef.HOUSE, 0, (ObjectNode) file.get("house")), fresh, there);
        for (Kind kind : Kind.values()) {
            if (kind != Kind.HOUSE) {
                file.path(kind.inFile()).forEach(thing -> add(document(kind, thing), fresh, there));
            }
        }
        List<DocumentRef> gone = new ArrayList<>();
        for (Document one : documents.all()) {
            if (there.contains(one.ref())) {
                continue;
            }
            if (!documents.isBooked(one.ref())) {
                gone.add(one.ref());
            } else if (!one.isRetired() && one.ref().kind() != Kind.PROMO_CODES) {
                fresh.add(one.with(one.json().deepCopy().put("retired", true)));
            }
        }
        return new Incoming(List.copyOf(fresh), List.copyOf(gone));
    }

    private static Document document(Kind kind, JsonNode thing) {
        String id = thing.path(kind.idMember()).stringValue("");
        String normal = kind == Kind.PROMO_CODES ? PromoCode.normal(id) : id;
        return new Document(new DocumentRef(kind, normal), 0, (ObjectNode) thing);
    }

    private void add(Document document, List<Document> fresh, Set<DocumentRef> there) {
        there.add(document.ref());
        Optional<Document> now = documents.find(document.ref());
        if (now.isEmpty() || !now.get().json().equals(document.json())) {
            fresh.add(document);
        }
    }
}
