package gastfreund.app.warming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
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
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The file that is shipped, started as its build has prepared it: the other tests put the application together anew. */
@Tag("crash")
class ShippedTest {

    private static final Path JAR = Path.of("target/app-0.1.0-exec.jar");

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    @TempDir
    Path home;

    private int port;

    @Test
    void asItsBuildHasPreparedItAllItsPagesAreThere() throws Exception {
        Process process = start("-Dspring.aot.enabled=true", "-Dgastfreund.warming.rounds=1");
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
        Process process =
                begin("-Dspring.aot.enabled=true", "-Dgastfreund.warming.rounds=1", "-Dgastfreund.warming.ends=true");
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
        Process process = start("-Dspring.aot.enabled=true", "-DGASTFREUND_MANAGEMENT_PORT=" + watched);
        try {
            HttpResponse<String> health = http.send(
                    HttpRequest.newBuilder(URI.create("http://localhost:" + watched + "/actuator/health"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(health.body()).contains("\"letters\"");
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

    private Process start(String... options) throws IOException {
        Process process = begin(options);
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

    private Process begin(String... options) throws IOException {
        port = free();
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-Xmx300m");
        builder.command().addAll(List.of(options));
        builder.command().addAll(List.of("-jar", JAR.toString(), "--server.port=" + port, "--gastfreund.home=" + home));
        builder.command().addAll(List.of("--gastfreund.demo=../demo", "--gastfreund.jobs.outbox=1d"));
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
