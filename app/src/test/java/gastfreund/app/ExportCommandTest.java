package gastfreund.app;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.orders.OrdersTest;
import gastfreund.app.storage.DataFolder;
import gastfreund.housefile.HouseFile;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/** Everything of a house that runs, as open files. */
class ExportCommandTest extends OrdersTest {

    @Autowired
    private DataFolder data;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    private int export(Path folder) {
        return ExportCommand.run(
                List.of("export", folder.toString()),
                Map.of("GASTFREUND_HOME", data.database().getParent().toString()),
                new PrintStream(said, true, StandardCharsets.UTF_8),
                Clock.systemUTC());
    }

    @Test
    void everythingIsWrittenAsOpenFilesAndNothingSecret(@TempDir Path folder) throws Exception {
        paid("private-lesson", "60", 6, "WORKS");
        Path out = folder.resolve("out");
        assertThat(export(out)).as(said.toString(StandardCharsets.UTF_8)).isZero();
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("the house", "tables", "documents", "pictures");
        assertThat(HouseFile.read(HouseFile.parse(Files.readString(out.resolve("house.json"))))
                        .house()
                        .offers())
                .isNotEmpty();
        for (String table : List.of("orders", "bookings", "payments", "journal", "hosts")) {
            try (CSVParser rows = CSVParser.parse(
                    out.resolve("tables/" + table + ".csv"),
                    StandardCharsets.UTF_8,
                    CSVFormat.RFC4180
                            .builder()
                            .setHeader()
                            .setSkipHeaderRecord(true)
                            .get())) {
                assertThat(rows.getRecords())
                        .as(table)
                        .hasSize(jdbc.sql("SELECT count(*) FROM " + table)
                                .query(Integer.class)
                                .single());
                assertThat(rows.getHeaderNames()).doesNotContain("password");
            }
        }
        assertThat(out.resolve("tables/host_sessions.csv")).doesNotExist();
        try (Stream<Path> documents = Files.list(out.resolve("documents"))) {
            assertThat(documents)
                    .hasSize(jdbc.sql("SELECT count(*) FROM documents")
                            .query(Integer.class)
                            .single())
                    .isNotEmpty()
                    .allSatisfy(pdf -> assertThat(Files.readAllBytes(pdf)).startsWith("%PDF".getBytes()));
        }
        try (Stream<Path> pictures = Files.list(out.resolve("pictures"))) {
            assertThat(pictures).isNotEmpty();
        }
        assertThat(export(out))
                .as("a folder with something in it is left alone")
                .isEqualTo(1);
        assertThat(ExportCommand.run(List.of("export"), Map.of(), new PrintStream(said), Clock.systemUTC()))
                .isEqualTo(2);
    }
}
