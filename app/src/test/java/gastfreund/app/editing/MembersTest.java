package gastfreund.app.editing;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.Schedule;
import gastfreund.core.time.Days;
import gastfreund.core.time.HouseZone;
import gastfreund.housefile.HoursFile;
import gastfreund.housefile.HouseFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** A document is its members: taken apart and put together it means the same, and changes of different members go together. */
class MembersTest {

    static Stream<Path> houses() throws Exception {
        Path examples = Path.of("../housefile/src/test/resources/examples");
        try (Stream<Path> files = Files.list(examples)) {
            return Stream.concat(
                    Stream.of(Path.of("../demo/quillmere.house.json")),
                    files.filter(f -> f.getFileName().toString().matches("(changes-.*|.*\\.house)\\.json")))
                    .toList()
                    .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("houses")
    void takenApartAndPutTogetherADocumentMeansTheSame(Path file) throws Exception {
        JsonNode read = HouseFile.parse(Files.readString(file));
        JsonNode house = read.has("before") ? read.get("before") : read.has("house") ? read : read.path("file");
        int seen = 0;
        for (String kind : List.of("places", "staff", "resources", "offers")) {
            for (JsonNode document : house.path(kind)) {
                JsonNode together = Members.document(Members.of(document));
                assertThat(Members.of(together)).isEqualTo(Members.of(document));
                assertThat(without(together)).isEqualTo(without(document));
                assertSameHours(HoursFile.hoursOf(document), HoursFile.hoursOf(together));
                seen++;
            }
        }
        assertThat(seen).isPositive();
    }

    private static JsonNode without(JsonNode document) {
        return ((tools.jackson.databind.node.ObjectNode) document.deepCopy()).without("hours");
    }

    private static void assertSameHours(Schedule one, Schedule other) {
        Days days = Days.between(HouseZone.of("Europe/Berlin"), LocalDate.of(2026, 12, 1), LocalDate.of(2027, 6, 30));
        assertThat(other.openTime(days)).isEqualTo(one.openTime(days));
        for (int day = 0; day < days.count(); day++) {
            assertThat(other.closedOn(days.date(day))).isEqualTo(one.closedOn(days.date(day)));
            assertThat(Set.copyOf(other.windowsOn(days.date(day))))
                    .isEqualTo(Set.copyOf(one.windowsOn(days.date(day))));
        }
    }

    private static final String BASE =
            """
            {"id": "mira", "name": "Mira", "maxPerDay": 5,
             "hours": {"weekly": [{"days": ["tue", "wed"], "from": "09:30", "to": "13:00"}]},
             "lengths": [{"id": "60", "price": 10}, {"id": "90", "price": 15}]}
            """;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                // different members
                "\"Mira\"},\"Myra\"} | \"maxPerDay\": 5},\"maxPerDay\": 4} | name maxPerDay |",
                "\"price\": 10},\"price\": 11} | \"price\": 15},\"price\": 16} | lengths/60/price lengths/90/price |",
                // the same member, differently and alike
                "\"Mira\"},\"Myra\"} | \"Mira\"},\"Mirra\"} | name | name",
                "\"Mira\"},\"Myra\"} | \"Mira\"},\"Myra\"} | name |",
                // one weekday each
                "[\"tue\", \"wed\"]},[\"wed\"]} | [\"tue\", \"wed\"]},[\"tue\"]} | hours/weekly/tue hours/weekly/wed |",
                // taken away here, changed there
                ", \"maxPerDay\": 5},} | \"maxPerDay\": 5},\"maxPerDay\": 4} | maxPerDay | maxPerDay",
            })
    void differentMembersMergeAndTheSameShowsBoth(String mine, String theirs, String touched, String conflict) {
        JsonNode base = HouseFile.parse(BASE);
        JsonNode my = HouseFile.parse(edited(mine));
        JsonNode their = HouseFile.parse(edited(theirs));
        Merge merge = Merge.of(base, my, their);
        assertThat(merge.conflicts())
                .extracting(Conflict::member)
                .containsExactlyElementsOf(conflict == null ? List.of() : List.of(conflict.split(" ")));
        assertThat(Merge.touched(Members.of(base), Members.of(merge.document())))
                .containsExactlyInAnyOrder(touched.split(" "));
        if (conflict != null) {
            JsonNode yielded = Merge.of(base, my, their, Set.of(conflict)).document();
            assertThat(Members.of(yielded)).isEqualTo(Members.of(their));
        }
    }

    private static String edited(String edit) {
        String[] parts = edit.split("},", 2);
        String[] withEnd = {parts[0], parts[1].substring(0, parts[1].length() - 1)};
        assertThat(BASE).contains(withEnd[0]);
        return BASE.replace(withEnd[0], withEnd[1]);
    }

    @Test
    void whatWasAddedToAListAndWhatWasTakenFromItGoTogetherByTheirIds() {
        JsonNode base = HouseFile.parse(BASE);
        JsonNode mine = HouseFile.parse(BASE.replace("{\"id\": \"60\", \"price\": 10}, ", ""));
        JsonNode theirs = HouseFile.parse(BASE.replace("\"price\": 15", "\"price\": 17"));
        Merge merge = Merge.of(base, mine, theirs);
        assertThat(merge.conflicts()).isEmpty();
        assertThat(merge.document().get("lengths").toString()).isEqualTo("[{\"id\":\"90\",\"price\":17}]");
    }
}
