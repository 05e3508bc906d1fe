package gastfreund.app.warming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.Prepared;
import java.io.IOException;
import java.net.ConnectException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The file that is shipped, and what it is when it was taken apart: most other tests put the application together anew. */
@Tag("crash")
class ShippedTest {

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    @TempDir
    Path home;

    private int port;

    @Test
    void asItsBuildHasPreparedItAllItsPagesAreThere() throws Exception {
        Process process = start(List.of(
                Prepared.java(),
                "-Xmx300m",
                "-XX:TieredStopAtLevel=1",
                "-Dspring.aot.enabled=true",
                "-Dgastfreund.warming.rounds=1",
                "-jar",
                Prepared.JAR.toString()));
        try {
            assertThat(log()).contains("Starting AOT-processed GastfreundApplication");
            signIn();
            Set<String> seen = new TreeSet<>();
            for (String from : List.of("/", "/desk", "/desk/house")) {
                Document page = page(from);
                for (String link : page.select("a[href^=/]").eachAttr("href")) {
                    if (seen.add(link)) {
                        page(link);
                    }
                }
            }
            assertThat(seen).hasSizeGreaterThan(30).anyMatch(l -> l.startsWith("/desk/hours"));
        } finally {
            process.destroy();
            assertThat(process.waitFor()).isNotNegative();
        }
    }

    @Test
    void whatItLooksAtItselfIsCountedForNobodyAndItEndsWhereThatIsAsked() throws Exception {
        Process process = begin(apart(
                "-Xmx300m",
                "-XX:TieredStopAtLevel=1",
                "-Dgastfreund.warming.rounds=1",
                "-Dgastfreund.warming.ends=true"));
        assertThat(process.waitFor()).isZero();
        assertThat(log()).contains("pages are warm").doesNotContain("ERROR");
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("house.sqlite"));
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT count(*) FROM sightings")) {
            assertThat(row.getInt(1)).isZero();
        }
    }

    @Test
    void whereItIsToBeWatchedItIsPutTogetherAnewWithAPortForThat() throws Exception {
        int watched = free();
        Process process =
                start(apart("-Xmx300m", "-XX:TieredStopAtLevel=1", "-DGASTFREUND_MANAGEMENT_PORT=" + watched));
        try {
            HttpRequest health = HttpRequest.newBuilder(URI.create("http://localhost:" + watched + "/actuator/health"))
                    .build();
            // That port opens after the pages' own.
            await().atMost(Duration.ofMinutes(1))
                    .ignoreExceptionsInstanceOf(ConnectException.class)
                    .untilAsserted(() -> assertThat(http.send(health, HttpResponse.BodyHandlers.ofString())
                                    .body())
                            .contains("\"letters\""));
        } finally {
            process.destroy();
            assertThat(process.waitFor()).isNotNegative();
        }
    }

    private void signIn() throws IOException, InterruptedException {
        Document door = page("/desk/sign-in");
        String token = door.select("input[name=_csrf]").attr("value");
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(address("/desk/sign-in")))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "_csrf=" + token + "&email=okka@quillmere.example&password=clay+and+water"))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.uri().getPath()).startsWith("/desk").isNotEqualTo("/desk/sign-in");
    }

    private Document page(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(address(path)))
                        .header("Accept", "text/html")
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    private String address(String path) {
        return "http://localhost:" + port + path;
    }

    private String log() throws IOException {
        return Files.readString(home.resolve("log"));
    }

    private static List<String> apart(String... options) {
        return Prepared.command(List.of(options)).orElseThrow();
    }

    private Process start(List<String> command) throws IOException {
        Process process = begin(command);
        await().atMost(Duration.ofMinutes(2))
                .pollInterval(Duration.ofMillis(200))
                .ignoreExceptions()
                .until(() -> http.send(
                                        HttpRequest.newBuilder(URI.create(address("/up")))
                                                .build(),
                                        HttpResponse.BodyHandlers.discarding())
                                .statusCode()
                        == 200);
        return process;
    }

    private Process begin(List<String> command) throws IOException {
        port = free();
        ProcessBuilder builder = new ProcessBuilder(new ArrayList<>(command)).directory(Prepared.ROOT.toFile());
        builder.command().addAll(List.of("--server.port=" + port, "--gastfreund.home=" + home));
        builder.command().addAll(List.of("--gastfreund.demo=demo", "--gastfreund.jobs.outbox=1d"));
        return builder.redirectErrorStream(true)
                .redirectOutput(home.resolve("log").toFile())
                .start();
    }

    private static int free() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
