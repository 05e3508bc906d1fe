package gastfreund.app.catalogue;

import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.core.orders.PromoCode;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Keeps the house's definition: a row for each thing, each in the house file's JSON. */
@Repository
class CatalogueStore {

    private record Parsed(String text, ObjectNode json) {}

    private final JdbcClient jdbc;
    private final Map<DocumentRef, Parsed> parsed = new ConcurrentHashMap<>();

    CatalogueStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The house, then kind by kind what it has, each in the order in which it is shown; none where there is no house. */
    List<Document> documents() {
        List<Document> documents = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            documents.addAll(documents(kind));
        }
        return documents;
    }

    List<Document> documents(Kind kind) {
        String order = kind == Kind.HOUSE ? "id" : "position, " + kind.idMember();
        return jdbc.sql("SELECT " + id(kind) + " AS id, version, definition FROM " + kind.code() + " ORDER BY " + order)
                .query((row, n) -> document(kind, row))
                .list();
    }

    Optional<Document> document(DocumentRef ref) {
        return jdbc.sql("SELECT " + id(ref.kind()) + " AS id, version, definition FROM "
                        + ref.kind().code() + " WHERE " + id(ref.kind()) + " = ?")
                .param(ref.id())
                .query((row, n) -> document(ref.kind(), row))
                .optional();
    }

    /** The column, or for the one house the word, that tells one from the others. */
    private static String id(Kind kind) {
        return kind == Kind.HOUSE ? "'house'" : kind.idMember();
    }

    private Document document(Kind kind, ResultSet row) throws SQLException {
        DocumentRef ref = new DocumentRef(kind, row.getString("id"));
        return new Document(ref, row.getInt("version"), parsed(ref, row.getString("definition")));
    }

    /**
     * Documents are read many times for each change: what was parsed is parsed once. Nobody in this
     * package changes what they are given, and {@link HouseDocuments} gives others their own.
     */
    private ObjectNode parsed(DocumentRef ref, String text) {
        Parsed before = parsed.get(ref);
        if (before != null && before.text().equals(text)) {
            return before.json();
        }
        ObjectNode json = (ObjectNode) HouseFile.parse(text);
        parsed.put(ref, new Parsed(text, json));
        return json;
    }

    /** Writes a document in the place of the one before it; one that is new stands behind all others. */
    void write(Document document) {
        Kind kind = document.ref().kind();
        int changed = jdbc.sql("UPDATE " + kind.code() + " SET version = ?, definition = ? WHERE " + id(kind) + " = ?")
                .params(
                        document.version(),
                        document.json().toString(),
                        document.ref().id())
                .update();
        if (changed == 0) {
            jdbc.sql("INSERT INTO " + kind.code() + " (" + kind.idMember() + ", position, version, definition)"
                            + " SELECT ?, coalesce(max(position), -1) + 1, ?, ? FROM " + kind.code())
                    .params(
                            document.ref().id(),
                            document.version(),
                            document.json().toString())
                    .update();
        }
    }

    /** Takes a document away; not where something that was booked names it. */
    boolean delete(DocumentRef ref) {
        return !isBooked(ref)
                && jdbc.sql("DELETE FROM " + ref.kind().code() + " WHERE " + id(ref.kind()) + " = ?")
                                .param(ref.id())
                                .update()
                        == 1;
    }

    boolean isBooked(DocumentRef ref) {
        String booked =
                switch (ref.kind()) {
                    case HOUSE -> "SELECT 1";
                    case PLACES -> "SELECT 1 FROM bookings WHERE place = ?";
                    case STAFF -> "SELECT 1 FROM booking_staff WHERE staff = ? UNION ALL SELECT 1 FROM busy WHERE staff = ?";
                    case OFFERS -> "SELECT 1 FROM bookings WHERE offer = ?";
                    case RESOURCES -> "SELECT 1 FROM offers o, json_each(o.definition, '$.uses') u JOIN bookings b ON b.offer = o.id"
                            + " WHERE u.value ->> 'resource' = ?";
                    case PROMO_CODES -> "SELECT 1 FROM orders WHERE promo_code = ?";
                };
        List<Object> ids =
                Collections.nCopies((int) booked.chars().filter(c -> c == '?').count(), ref.id());
        return jdbc.sql("SELECT EXISTS (" + booked + ")")
                        .params(ids)
                        .query(Integer.class)
                        .single()
                == 1;
    }

    /** Writes a house where there is none. */
    void insert(JsonNode houseFile) {
        jdbc.sql("INSERT INTO house (id, definition) VALUES (1, ?)")
                .param(houseFile.get("house").toString())
                .update();
        for (Kind kind : Kind.values()) {
            JsonNode things = houseFile.path(kind.inFile());
            if (!things.isArray()) {
                continue;
            }
            for (JsonNode thing : things) {
                String id = thing.get(kind.idMember()).stringValue();
                String normal = kind == Kind.PROMO_CODES ? PromoCode.normal(id) : id;
                write(new Document(new DocumentRef(kind, normal), 1, (ObjectNode) thing));
            }
        }
    }
}
