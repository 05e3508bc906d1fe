package gastfreund.app;

import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/** The application as a process of its own that can be killed, with the demo house and stand-ins of its own beside it. */
public final class RunningApplication implements AutoCloseable {

    /** A house of 100,000 bookings is taken in first. */
    private static final Duration LONGEST_START = Duration.ofMinutes(5);

    private final Standins standins;
    private volatile Duration ahead;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private final Random random = new Random();
    private final List<String> options;
    private final Path demo;
    private final Path home;
    private final int port;
    private Process process;

    /** @param options of the machine that runs it, as {@code -Xmx300m} */
    public RunningApplication(List<String> options) throws IOException {
        this(options, MovableClock.AHEAD);
    }

    /** @param ahead how far its clock is ahead of the machine's */
    public RunningApplication(List<String> options, Duration ahead) throws IOException {
        this(options, ahead, Path.of(Files.exists(Path.of("demo")) ? "demo" : "../demo"));
    }

    /** @param demo the folder of the house that it starts with */
    public RunningApplication(List<String> options, Duration ahead, Path demo) throws IOException {
        this.demo = demo;
        this.options = options;
        this.ahead = ahead;
        this.standins = Standins.others(ahead);
        home = Files.createTempDirectory("gastfreund-running");
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        start();
    }

    public Standins standins() {
        return standins;
    }

    /** How much of the processors it has used since it was started. */
    public Duration cpu() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    public long pid() {
        return process.pid();
    }

    /** What it has logged since it was last started. */
    public String log() throws IOException {
        return Files.readString(home.resolve("log"));
    }

    public Path database() {
        return home.resolve("house.sqlite");
    }

    /** Waits a while, kills it without a warning, and starts it again. */
    public void killAfter(Duration pause) throws IOException, InterruptedException {
        process.waitFor(pause.toMillis(), TimeUnit.MILLISECONDS);
        process.destroyForcibly().waitFor();
        start();
    }

    /** Kills it, and starts it again some time later, as its clock tells. */
    public void killAndMoveAhead(Duration later) throws IOException, InterruptedException {
        process.destroyForcibly().waitFor();
        ahead = ahead.plus(later);
        start();
    }

    private void start() throws IOException {
        ProcessBuilder builder = new ProcessBuilder(command()).directory(Prepared.ROOT.toFile());
        builder.command()
                .addAll(List.of(
                        "--server.port=" + port,
                        "--gastfreund.home=" + home,
                        "--gastfreund.demo=" + demo.toAbsolutePath(),
                        "--gastfreund.ahead=" + ahead,
                        "--gastfreund.mail-from=house@quillmere.example",
                        "--gastfreund.shares.visitor=1000",
                        "--gastfreund.proxies=127.0.0.1",
                        "--gastfreund.limits.letters=1000000",
                        "--gastfreund.shares.house=1000",
                        "--gastfreund.gateway.url=" + standins.address(),
                        "--gastfreund.texts.url=" + standins.address() + "/texts",
                        "--spring.mail.port=" + standins.smtpPort(),
                        "--gastfreund.limits.holds=1000000",
                        "--gastfreund.limits.checkouts=1000000",
                        "--gastfreund.jobs.outcomes=1s",
                        "--gastfreund.jobs.steps=200ms",
                        "--gastfreund.jobs.timed=200ms",
                        "--gastfreund.jobs.outbox=200ms"));
        process = builder.redirectErrorStream(true)
                .redirectOutput(home.resolve("log").toFile())
                .start();
        await().atMost(LONGEST_START)
                .pollInterval(Duration.ofMillis(200))
                .ignoreExceptions()
                .failFast("it has ended: see its log", () -> !process.isAlive())
                .until(() -> get("/up").statusCode() == 200);
    }

    /** As it is shipped; put together anew where that is not built, or something else is laid before its classes. */
    private List<String> command() {
        if (options.stream().noneMatch(o -> o.startsWith("-Xbootclasspath"))) {
            Optional<List<String>> prepared = Prepared.command(options);
            if (prepared.isPresent()) {
                return prepared.get();
            }
        }
        List<String> anew = new ArrayList<>(List.of(Prepared.java()));
        anew.addAll(options);
        anew.addAll(List.of("-cp", System.getProperty("java.class.path"), GastfreundApplication.class.getName()));
        return anew;
    }

    /** The first column of the first row; null where there is none, or it is null. */
    public String one(String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database());
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            return row.next() ? row.getString(1) : null;
        }
    }

    /** What its clock says, in seconds since the epoch. */
    public long now() {
        return Clock.systemUTC().instant().plus(ahead).getEpochSecond();
    }

    /** The date on which it lives. */
    public LocalDate today() {
        return LocalDate.ofInstant(Clock.systemUTC().instant().plus(ahead), ZoneId.of("Europe/Berlin"));
    }

    public String address(String path) {
        return "http://localhost:" + port + path;
    }

    public HttpResponse<String> get(String path) throws IOException {
        return send(HttpRequest.newBuilder(URI.create(address(path))).header("Accept", "text/html,application/json"));
    }

    /** A file that is no text. */
    public byte[] file(String path) throws IOException {
        return URI.create(address(path)).toURL().openStream().readAllBytes();
    }

    public HttpResponse<String> post(String address, Map<String, ?> form) throws IOException {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue().toString(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(HttpRequest.newBuilder(URI.create(address))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    public HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
        try {
            // Every request comes from somebody else: what one visitor may keep is tried elsewhere.
            String somebody = "10." + random.nextInt(256) + "." + random.nextInt(256) + "." + random.nextInt(256);
            return http.send(
                    request.header("X-Forwarded-For", somebody)
                            .timeout(Duration.ofSeconds(15))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The path to which an answer leads. */
    public static String path(HttpResponse<String> redirect) {
        return URI.create(redirect.headers().firstValue("Location").orElseThrow())
                .getPath();
    }

    /** The address to which an answer leads; empty where it leads nowhere. */
    public static String target(HttpResponse<String> redirect) {
        return redirect.headers().firstValue("Location").orElse("");
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
