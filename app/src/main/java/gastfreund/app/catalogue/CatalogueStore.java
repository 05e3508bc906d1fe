package gastfreund.app.catalogue;

import gastfreund.core.orders.PromoCode;
import gastfreund.housefile.HouseFile;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Keeps the house's definition: a row for each thing, each in the house file's JSON. */
@Repository
class CatalogueStore {

    private static final List<String> KINDS = List.of("places", "staff", "resources", "offers");

    private final JdbcClient jdbc;

    CatalogueStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The house as a house file without bookings; empty where there is no house yet. */
    Optional<JsonNode> houseFile() {
        return jdbc.sql("SELECT definition FROM house")
                .query(String.class)
                .optional()
                .map(house -> {
                    ObjectNode file = JsonNodeFactory.instance.objectNode();
                    file.put("format", "gastfreund-house/1");
                    file.set("house", HouseFile.parse(house));
                    for (String kind : KINDS) {
                        ArrayNode things = file.putArray(kind);
                        jdbc.sql("SELECT definition FROM " + kind + " ORDER BY position, id")
                                .query(String.class)
                                .list()
                                .forEach(definition -> things.add(HouseFile.parse(definition)));
                    }
                    ArrayNode codes = file.putArray("promoCodes");
                    jdbc.sql("SELECT definition FROM promo_codes ORDER BY position")
                            .query(String.class)
                            .list()
                            .forEach(definition -> codes.add(HouseFile.parse(definition)));
                    return file;
                });
    }

    int holdMinutes() {
        return jdbc.sql("SELECT hold_minutes FROM house").query(Integer.class).single();
    }

    int answerHours() {
        return jdbc.sql("SELECT answer_hours FROM house").query(Integer.class).single();
    }

    /** Writes a house where there is none. */
    void insert(JsonNode houseFile) {
        jdbc.sql("INSERT INTO house (id, definition) VALUES (1, ?)")
                .param(houseFile.get("house").toString())
                .update();
        for (String kind : KINDS) {
            JsonNode things = houseFile.path(kind);
            for (int i = 0; i < things.size(); i++) {
                jdbc.sql("INSERT INTO " + kind + " (id, position, definition) VALUES (?, ?, ?)")
                        .params(
                                things.get(i).get("id").stringValue(),
                                i,
                                things.get(i).toString())
                        .update();
            }
        }
        JsonNode codes = houseFile.path("promoCodes");
        for (int i = 0; i < codes.size(); i++) {
            jdbc.sql("INSERT INTO promo_codes (code, position, definition) VALUES (?, ?, ?)")
                    .params(
                            PromoCode.normal(codes.get(i).get("code").stringValue()),
                            i,
                            codes.get(i).toString())
                    .update();
        }
    }
}
