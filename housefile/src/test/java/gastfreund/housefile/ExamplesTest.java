package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** Houses with questions and right answers. */
class ExamplesTest {

    private static final Path EXAMPLES = Path.of("src/test/resources/examples");

    @TempDir
    private Path folder;

    static Stream<Arguments> random() {
        return IntStream.rangeClosed(1, 9)
                .mapToObj(n -> EXAMPLES.resolve("random-0" + n + ".json"))
                .flatMap(file -> Stream.of(
                        Arguments.of(file, "openings", "queries", "openings"),
                        Arguments.of(file, "explain", "queries", "explain"),
                        Arguments.of(file, "quote", "baskets", "quotes"),
                        Arguments.of(file, "cancellation", "cases", "cancellations")));
    }

    @ParameterizedTest
    @MethodSource("random")
    void answersComeOutExactly(Path file, String command, String asked, String answers) {
        JsonNode example = json(file);
        JsonNode given = Commands.answer(command, HouseFile.read(example.get("house")), example.get(asked));
        for (int i = 0; i < example.get(answers).size(); i++) {
            same(given.get(i), example.get(answers).get(i), command + " " + i);
        }
        assertThat(given.size()).isEqualTo(example.get(answers).size());
    }

    static Stream<Path> changes() {
        return IntStream.rangeClosed(1, 13).mapToObj(n -> EXAMPLES.resolve("changes-%02d.json".formatted(n)));
    }

    @ParameterizedTest
    @MethodSource("changes")
    void whatAChangeDoesComesOutExactly(Path file) {
        JsonNode example = json(file);
        HouseFile before = HouseFile.read(example.get("before"));
        HouseFile after = HouseFile.read(example.get("after"));
        JsonNode clashes = Commands.answer("clashes", before, example.get("clashCases"));
        same(clashes, example.get("clashes"), "clashes");
        if (example.has("seriesQueries")) {
            same(Commands.answer("series", before, example.get("seriesQueries")), example.get("series"), "series");
        }
        same(Commands.compare(before, after, example.get("compareCases")), example.get("compared"), "compared");
    }

    @ParameterizedTest
    @CsvSource({
        "openings, queries, openings",
        "explain, queries, explain",
        "quote, baskets, quotes",
        "cancellation, cancellations, refunds"
    })
    void theDemoHouseAnswersTheCommands(String command, String asked, String answers) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int status = Commands.run(
                new String[] {command, quillmere("house"), quillmere(asked)}, new PrintStream(out), System.err);
        assertThat(status).isZero();
        same(HouseFile.parse(out.toString(StandardCharsets.UTF_8)), json(Path.of(quillmere(answers))), command);
    }

    @Test
    void badInputIsToldWithItsPathAndNothingElseIsPrinted() throws IOException {
        Path queries = folder.resolve("queries.json");
        Files.writeString(
                queries,
                """
                [{"now": "2027-01-12T09:00+01:00", "offer": "firing", "from": "2027-01-12", "to": "2029-01-15"},
                 {"now": "2027-01-12T09:00+01:00", "offer": "firing", "from": "9999-01-01", "to": "9999-01-02"},
                 {"now": "noon", "offer": "swimming", "from": "2027-01-12", "to": "2027-01-12", "colour": "red"}]
                """);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int status = Commands.run(
                new String[] {"openings", quillmere("house"), queries.toString()},
                new PrintStream(out),
                new PrintStream(err));
        assertThat(status).isEqualTo(2);
        assertThat(out.size()).isZero();
        assertThat(err.toString(StandardCharsets.UTF_8))
                .contains("[0]: a query asks about at most 400 days")
                .contains("[1].from: must be a date")
                .contains("[2].now: must be an instant")
                .contains("[2].offer: there is no offer swimming")
                .contains("[2].colour: is not known here");
    }

    @Test
    void lettersAreDueExactly() throws IOException {
        Path file = EXAMPLES.resolve("letters.json");
        JsonNode right = json(file).get("due");
        JsonNode given = HouseFile.parse(due(file, 0));
        for (int i = 0; i < right.size(); i++) {
            same(given.get(i), right.get(i), "due " + i);
        }
        assertThat(given.size()).isEqualTo(right.size());
        Path alone = Files.writeString(
                folder.resolve("cases.json"), HouseFile.printed(json(file).get("cases")));
        assertThat(due(alone, 0)).isEqualTo(due(file, 0));
    }

    @Test
    void whatIsWrongWithCasesOfLettersIsToldWithItsPath() throws IOException {
        Path cases = Files.writeString(
                folder.resolve("wrong.json"),
                """
                [{"zone": "Nowhere", "quiet": {"from": "21:00", "to": "21:00"}, "kind": "during", "minutes": -1,
                  "start": "2027-01-12T10:00+01:00", "end": "2027-01-12T09:00+01:00", "made": "noon"}]
                """);
        assertThat(due(cases, 2))
                .contains("[0].zone: must be a zone")
                .contains("[0].quiet: quiet hours cannot begin and end at the same time")
                .contains("[0].kind: must be one of before, after")
                .contains("[0].minutes: must be from 0")
                .contains("[0].end: must not be before the start")
                .contains("[0].made: must be an instant");
    }

    /** What the command prints, to either side. */
    private static String due(Path cases, int status) {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        PrintStream out = new PrintStream(said);
        assertThat(Commands.run(new String[] {"due", cases.toString()}, out, out))
                .isEqualTo(status);
        return said.toString(StandardCharsets.UTF_8);
    }

    private static void same(JsonNode given, JsonNode right, String what) {
        assertThat(HouseFile.printed(given)).as(what).isEqualTo(HouseFile.printed(right));
    }

    private static String quillmere(String part) {
        return EXAMPLES.resolve("quillmere." + part + ".json").toString();
    }

    private static JsonNode json(Path file) {
        try {
            return HouseFile.parse(Files.readString(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
