package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class HouseFileTest {

    private static List<String> problems(String json) {
        BadFileException bad =
                catchThrowableOfType(BadFileException.class, () -> HouseFile.read(HouseFile.parse(json)));
        return bad.problems().stream().map(Problem::toString).toList();
    }

    @Test
    void theDemoHouseIsRight() throws IOException {
        HouseFile file = HouseFile.read(HouseFile.parse(Files.readString(Path.of("../demo/quillmere.house.json"))));
        assertThat(file.house().offers()).hasSize(7);
        assertThat(file.bookings()).hasSizeGreaterThan(50);
    }

    @Test
    void allProblemsAreToldTogetherEachWithItsPath() {
        assertThat(
                        problems(
                                """
                        {"format": "gastfreund-house/1", "colour": 1,
                         "house": {"name": "H", "zone": "Mars/Olympus", "currency": "EUR",
                                   "hours": {"weekly": [{"days": ["son"], "from": "9:00", "to": "24:00"}]}},
                         "staff": [{"id": "a", "name": "A"}, {"id": "a", "name": "B"}],
                         "offers": [{"id": "o", "title": "", "lengths": [{"id": "l", "minutes": 0, "price": "x"}],
                                     "staff": {"pick": "any", "of": []}, "uses": [{"resource": "wheel"}],
                                     "payment": {"when": "full", "balance": {"daysBefore": 1}}}]}
                        """))
                .contains(
                        "colour: is not known here",
                        "house.zone: must be a zone of the tz database",
                        "house.hours.weekly[0].days[0]: must be one of mon, tue, wed, thu, fri, sat, sun",
                        "house.hours.weekly[0].from: must be a time from 00:00 to 23:59",
                        "staff: has two with the id a",
                        "offers[0].title: must be a text that is not blank",
                        "offers[0].lengths[0].minutes: must be from 1 to 10080",
                        "offers[0].lengths[0].price: must be a whole number",
                        "offers[0].staff.of: must name somebody",
                        "offers[0].uses[0].resource: there is no resource wheel",
                        "offers[0].payment.balance: goes with \"when\": \"deposit\" only");
    }

    @Test
    void whatTheFormatNamesAsErrorsIsOne() {
        String offer =
                """
                {"format": "gastfreund-house/1", "house": {"name": "H", "zone": "Europe/Berlin", "currency": "EUR"},
                 "offers": [{"id": "o", "title": "O", "lengths": [{"id": "l", "minutes": 60, "price": 100, %s}], %s}],
                 "promoCodes": [{"code": "SPRING", "percent": 10}, {"code": " spring", "amount": 1}],
                 "bookings": [{"id": "b", "offer": "x", "start": "2027-01-11T10:00:30+01:00", "minutes": 60,
                               "status": "held"}]}
                """;
        assertThat(
                        problems(
                                offer.formatted(
                                        "\"units\": {\"min\": 0}",
                                        """
                        "contested": true, "sharing": "shared",
                        "addOns": [{"id": "a", "title": "A", "price": 1}, {"id": "a", "title": "B", "price": 2}],
                        "priceRules": [{"percent": 5, "lengths": ["m"]}, {"percent": 5, "add": 1}],
                        "terms": {"cancel": [{"hoursBefore": 2, "keep": {"all": true}}, {"hoursBefore": 2, "keep": {"percent": 1}}]}
                        """)))
                .contains(
                        "offers[0].lengths[0].units.min: must be from 1 to 1000000",
                        "offers[0].lengths[0].units.max: is missing",
                        "offers[0].seats: is missing",
                        "offers[0].addOns: has two with the same id",
                        "offers[0].priceRules[0].lengths[0]: is no length of the offer",
                        "offers[0].priceRules[1]: must have exactly one of percent, add, set",
                        "promoCodes[1]: is equal to another code",
                        "bookings[0].offer: there is no offer x")
                .anyMatch(p -> p.startsWith("offers[0].terms: ") && p.contains("equal hoursBefore"))
                .anyMatch(p -> p.startsWith("offers[0]: ") && p.contains("contested"))
                .anyMatch(p -> p.startsWith("bookings[0]: "));
    }

    private static String timetable(String entry) {
        return """
                {"format": "gastfreund-house/1", "house": {"name": "H", "zone": "Europe/Berlin", "currency": "EUR"},
                 "offers": [{"id": "o", "title": "O", "mode": "timetable", "seats": 4,
                             "lengths": [{"id": "l", "minutes": 60, "price": 100}], "timetable": [%s]}]}
                """
                .formatted(entry);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    2027-01-09T10:00 | FREQ=WEEKLY;BYDAY=MO;COUNT=3         | does not produce its own start
                    2027-01-09T10:00 | FREQ=WEEKLY;UNTIL=20270301T090000Z   | must not end in Z
                    2027-01-09T10:00 | FREQ=SECONDLY;COUNT=10000000         | more than 20000 starts
                    2027-01-09T10:00 | FREQ=MINUTELY                        | more than 20000 starts
                    2027-01-09T10:00 | FREQ=YEARLY;INTERVAL=400             | more than a century
                    2027-02-27T10:00 | FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30   | produces nothing
                    2027-01-09T10:00 | EVERY DAY                            | no recurrence rule
                    """)
    void rulesThatAreImpossibleAreRefused(String start, String rule, String message) {
        assertThat(problems(
                        timetable("{\"start\": \"%s\", \"rrule\": \"%s\", \"length\": \"l\"}".formatted(start, rule))))
                .singleElement()
                .asString()
                .startsWith("offers[0].timetable[0].rrule: ")
                .contains(message);
    }

    @Test
    void twoSessionsAtOneStartAndPlaceAreRefused() {
        assertThat(
                        problems(
                                timetable(
                                        """
                        {"start": "2027-01-09T10:00", "rrule": "FREQ=DAILY", "length": "l"},
                        {"start": "2027-03-02T10:00", "length": "l"}
                        """)))
                .containsExactly("offers[0].timetable: has two sessions at one start and place");
        assertThat(problems(timetable("{\"start\": \"10:00\", \"length\": \"x\"}")))
                .containsExactly(
                        "offers[0].timetable[0].start: must be a local date and time such as 2027-01-31T10:00",
                        "offers[0].timetable[0].length: is no length of the offer");
    }

    static Stream<Path> houses() throws IOException {
        try (Stream<Path> examples = Files.list(Path.of("src/test/resources/examples"))) {
            return Stream.concat(
                    examples.filter(f -> f.toString().matches(".*(house|random-..)\\.json")),
                    Stream.of(Path.of("../demo/quillmere.house.json")))
                    .sorted()
                    .toList()
                    .stream();
        }
    }

    private static JsonNode houseOf(Path file) throws IOException {
        JsonNode json = HouseFile.parse(Files.readString(file));
        return json.has("queries") ? json.get("house") : json;
    }

    @ParameterizedTest
    @MethodSource("houses")
    void whatIsWrittenReadsAsTheSameHouse(Path path) throws IOException {
        JsonNode original = houseOf(path);
        HouseFile file = HouseFile.read(original);
        JsonNode written = file.written();
        HouseFile again = HouseFile.read(written);
        assertThat(again.written()).isEqualTo(written);
        assertThat(again.house().offers()).isEqualTo(file.house().offers());
        assertThat(again.house().staff()).isEqualTo(file.house().staff());
        assertThat(again.house().places()).isEqualTo(file.house().places());
        assertThat(again.house().resources()).isEqualTo(file.house().resources());
        assertThat(again.house().hours()).isEqualTo(file.house().hours());
        assertThat(again.bookings()).isEqualTo(file.bookings());
        assertThat(again.busy()).isEqualTo(file.busy());
        assertThat(again.promoCodes()).isEqualTo(file.promoCodes());
        assertThat(again.extras()).isEqualTo(file.extras());
        assertThat(written.path("house").path("extra"))
                .isEqualTo(original.path("house").path("extra"));
    }

    @ParameterizedTest
    @MethodSource("houses")
    void theSchemaAcceptsIt(Path path) throws IOException {
        JsonNode house = houseOf(path);
        assertThat(faults(house)).isEmpty();
        assertThat(faults(HouseFile.read(house).written())).isEmpty();
    }

    @Test
    void theSchemaRefusesWhatTheReaderRefuses() {
        assertThat(faults(
                        HouseFile.parse("{\"format\": \"gastfreund-house/2\", \"house\": {\"name\": \"\"}, \"x\": 1}")))
                .hasSizeGreaterThanOrEqualTo(4);
    }

    private static List<String> faults(JsonNode house) {
        try {
            Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(Files.readString(Path.of("../docs/house.schema.json")));
            return schema.validate(HouseFile.printed(house), InputFormat.JSON).stream()
                    .map(Object::toString)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThat(problems(
                        "{\"format\": \"gastfreund-house/1\", \"house\": {\"name\": \"H\", \"currency\": \"EUR\"}}"))
                .containsExactly("house.zone: is missing");
    }

    @Test
    void whatIsNoJsonIsSaid() {
        BadFileException bad = catchThrowableOfType(BadFileException.class, () -> HouseFile.parse("{\"a\": }"));
        assertThat(bad).hasMessageContaining("is no JSON").hasMessageContaining("line 1");
    }

    @Test
    void aMemberWrittenTwiceIsRefused() {
        assertThat(catchThrowableOfType(BadFileException.class, () -> HouseFile.parse("{\"a\": 1, \"a\": 2}")))
                .isNotNull();
    }
}
