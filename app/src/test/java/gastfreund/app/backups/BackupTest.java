package gastfreund.app.backups;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A house is kept in a file while it is written to, and put back whole or not at all. */
class BackupTest {

    private static final Instant NOW = Instant.parse("2027-01-13T08:30:00Z");
    private static final Optional<char[]> WORDS = Optional.of("two kettles".toCharArray());

    @TempDir
    private Path folder;

    private Path home;
    private Path file;

    @BeforeEach
    void house() throws IOException, SQLException {
        home = Files.createDirectories(folder.resolve("home"));
        file = folder.resolve("kept.zip");
        Files.createDirectories(home.resolve("pictures"));
        Files.writeString(home.resolve("pictures/wheel.svg"), "<svg/>");
        Files.writeString(home.resolve("secret.key"), "the key");
        change(
                "PRAGMA journal_mode = WAL",
                "CREATE TABLE a (n INTEGER PRIMARY KEY)",
                "CREATE TABLE b (n INTEGER PRIMARY KEY)");
    }

    private void change(String... statements) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("house.sqlite"));
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    private static int count(Path home, String table) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("house.sqlite"));
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT count(*) FROM " + table)) {
            return row.getInt(1);
        }
    }

    @Test
    void whatIsPutBackIsTheHouseAtOneMomentThoughItWasWrittenTo() throws Exception {
        AtomicBoolean enough = new AtomicBoolean();
        Thread writer = new Thread(() -> {
            try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("house.sqlite"))) {
                connection.setAutoCommit(false);
                for (int n = 0; !enough.get(); n++) {
                    try (Statement statement = connection.createStatement()) {
                        statement.execute("INSERT INTO a VALUES (" + n + ")");
                        statement.execute("INSERT INTO b VALUES (" + n + ")");
                    }
                    connection.commit();
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        writer.start();
        for (int i = 0; i < 5; i++) {
            // A key out of a passphrase is made slowly on purpose: once is enough here.
            Optional<char[]> words = i == 0 ? WORDS : Optional.empty();
            Backup.write(home, file, words, NOW);
            Path to = folder.resolve("again" + i);
            assertThat(Backup.restore(file, to, words, false, NOW)).isEmpty();
            assertThat(count(to, "a")).isEqualTo(count(to, "b"));
            assertThat(to.resolve("pictures/wheel.svg")).hasContent("<svg/>");
            assertThat(Files.exists(to.resolve("secret.key"))).isEqualTo(i == 0);
        }
        assertThat(folder.resolve("again0/secret.key")).hasContent("the key");
        enough.set(true);
        writer.join();
        assertThat(count(folder.resolve("again4"), "a")).isPositive();
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.filter(p -> p.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void theKeyIsThereUnderItsPassphraseAlone() throws IOException {
        Backup.write(home, file, WORDS, NOW);
        assertThat(new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1))
                .doesNotContain("the key");
        assertThatThrownBy(() -> Backup.restore(
                        file, folder.resolve("other"), Optional.of("three kettles".toCharArray()), false, NOW))
                .isInstanceOf(UnfitBackupException.class)
                .hasMessageContaining("passphrase");
        assertThat(folder.resolve("other/house.sqlite")).doesNotExist();
        Backup.restore(file, folder.resolve("other"), Optional.empty(), false, NOW);
        assertThat(folder.resolve("other/secret.key")).doesNotExist();
        assertThat(Backup.write(home, file, Optional.empty(), NOW).withKey()).isFalse();
    }

    @Test
    void aHouseThatIsThereIsLaidAsideAndOneThatRunsIsLeftAlone() throws Exception {
        Backup.write(home, file, Optional.empty(), NOW);
        change("INSERT INTO a VALUES (7)");
        assertThatThrownBy(() -> Backup.restore(file, home, Optional.empty(), false, NOW))
                .hasMessageContaining("There is a house");
        try (Connection running = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("house.sqlite"));
                Statement statement = running.createStatement()) {
            statement.execute("PRAGMA journal_mode = WAL");
            statement.executeQuery("SELECT count(*) FROM a").close();
            assertThatThrownBy(() -> Backup.restore(file, home, Optional.empty(), true, NOW))
                    .hasMessageContaining("is running");
        }
        Path aside = Backup.restore(file, home, Optional.empty(), true, NOW).orElseThrow();
        assertThat(count(home, "a")).isZero();
        assertThat(count(aside, "a")).isEqualTo(1);
        assertThat(home.resolve("secret.key"))
                .as("the key that was there stays")
                .hasContent("the key");
    }

    @ParameterizedTest
    @ValueSource(strings = {"no zip", "no list", "another name", "another sum", "half"})
    void whatIsNoWholeBackupChangesNothing(String wrong) throws IOException {
        Path to = folder.resolve("to");
        Backup.write(home, file, Optional.empty(), NOW);
        switch (wrong) {
            case "no zip" -> Files.writeString(file, "a letter");
            case "half" -> Files.write(file, java.util.Arrays.copyOf(Files.readAllBytes(file), 300));
            case "no list" -> zip(Map.of("house.sqlite", "x"));
            case "another name" -> zip(
                    Map.of("../../evil", "x", "backup.json", "{\"format\": \"gastfreund-backup/1\"}"));
            default -> zip(Map.of(
                    "house.sqlite",
                    "x",
                    "backup.json",
                    "{\"format\": \"gastfreund-backup/1\", \"files\": {\"house.sqlite\": \"00\"}}"));
        }
        assertThatThrownBy(() -> Backup.restore(file, to, WORDS, true, NOW)).isInstanceOf(UnfitBackupException.class);
        assertThat(to).isEmptyDirectory();
    }

    private void zip(Map<String, String> entries) throws IOException {
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, String> entry : entries.entrySet()) {
                out.putNextEntry(new ZipEntry(entry.getKey()));
                out.write(entry.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
    }

    private String said(Map<String, String> settings, int expected, String... arguments) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int code = BackupCommands.run(
                List.of(arguments), settings, new PrintStream(out, true, StandardCharsets.UTF_8), Clock.systemUTC());
        assertThat(code).isEqualTo(expected);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void theCommandsSayWhatTheyDid() {
        Map<String, String> here = Map.of("GASTFREUND_HOME", home.toString(), "GASTFREUND_PASSPHRASE", "two kettles");
        assertThat(said(here, 0, "backup", file.toString()))
                .contains("kept.zip", "MB")
                .doesNotContain("Without the key");
        assertThat(said(here, 1, "restore", file.toString())).contains("There is a house");
        assertThat(said(here, 0, "restore", file.toString(), "--replace"))
                .contains("is back", "What was there lies in");
        assertThat(said(here, 2, "backup")).contains("Say one file");
        Map<String, String> none =
                Map.of("GASTFREUND_HOME", folder.resolve("none").toString(), "GASTFREUND_PASSPHRASE", "");
        assertThat(said(none, 1, "backup", file.toString())).contains("There is no house");
        assertThat(said(none, 0, "restore", file.toString())).contains("is back");
    }
}
