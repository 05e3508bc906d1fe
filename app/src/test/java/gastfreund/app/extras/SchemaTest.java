package gastfreund.app.extras;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import gastfreund.housefile.HouseFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * The schema of house files says of {@code extra} what the reader says: a house that has every member once is right for both,
 * and whatever is spoilt in it is refused by both or by none.
 */
class SchemaTest {

    private static final Path DOCS = Path.of(Files.exists(Path.of("docs")) ? "docs" : "../docs");

    /** Which extra is described where in the schema. */
    private static final Map<String, String> EXTRAS = Map.of(
            "places", "placeExtra",
            "staff", "staffExtra",
            "resources", "resourceExtra",
            "offers", "offerExtra",
            "promoCodes", "codeExtra");

    /** What only the reader refuses, since it spans members. */
    private static final Pattern SPANNING = Pattern.compile(
            ".*(must be a place on site that has an address|must name the place from which the way is measured|free.max: .*)");

    private final WholeHouse house = new WholeHouse();
    private final JsonNode json;
    private final Schema schema;

    SchemaTest() throws Exception {
        String text = Files.readString(DOCS.resolve("house.schema.json"));
        json = HouseFile.parse(text);
        schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(text);
    }

    @Test
    void aHouseThatHasEveryMemberOnceIsRightForBoth() {
        assertThat(house.problems()).isEmpty();
        assertThat(bySchema()).isEmpty();
        assertThat(names(house.json().path("house").path("extra"))).isEqualTo(described("houseExtra"));
        EXTRAS.forEach((kind, name) -> {
            Set<String> written = new TreeSet<>();
            house.json().path(kind).forEach(thing -> written.addAll(names(thing.path("extra"))));
            assertThat(written).as(kind).isEqualTo(described(name));
        });
    }

    private Set<String> described(String name) {
        return names(json.path("$defs").path(name).path("properties"));
    }

    private static Set<String> names(JsonNode object) {
        return new TreeSet<>(object.propertyNames());
    }

    @Test
    void whateverIsSpoiltIsRefusedByBothOrByNone() {
        List<String> told = new ArrayList<>();
        house.spoil(house.json().path("house").path("extra"), "house", what -> compare(what, told));
        for (String kind : EXTRAS.keySet()) {
            house.json()
                    .path(kind)
                    .forEach(thing -> house.spoil(thing.path("extra"), kind, what -> compare(what, told)));
        }
        assertThat(told).isEmpty();
    }

    private void compare(String what, List<String> told) {
        List<String> reader = house.problems();
        List<String> found = bySchema();
        boolean spans = reader.stream().allMatch(p -> SPANNING.matcher(p).matches());
        if (!(spans && found.isEmpty()) && reader.isEmpty() != found.isEmpty()) {
            told.add(what + ": the reader says " + reader + ", the schema " + found);
        }
    }

    private List<String> bySchema() {
        return schema.validate(house.json().toString(), InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }
}
