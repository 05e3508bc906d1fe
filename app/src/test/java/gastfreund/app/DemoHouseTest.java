package gastfreund.app;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.messages.Letters;
import gastfreund.app.messages.Written;
import gastfreund.app.openings.OpeningsService;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestExecutionListeners;

/** The whole application with the demo house on a real file, and the stand-ins beside it; one for all such tests. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@Import({DemoHouseTest.Clocks.class, CatalogueEdits.class, AllRounds.class, Letters.class, FreshHouse.Copy.class})
@TestExecutionListeners(listeners = FreshHouse.class, mergeMode = TestExecutionListeners.MergeMode.MERGE_WITH_DEFAULTS)
public abstract class DemoHouseTest {

    static {
        // As long as a browser waits for what it is to see: a machine may have much else to do.
        Awaitility.setDefaultTimeout(Duration.ofSeconds(30));
    }

    protected static final Standins STANDINS = Standins.running();
    private static final Path HOME = temporary();

    /** The house's mailbox at the stand-in, which others use as well. */
    protected static final String MAILBOX = "house." + HOME.getFileName() + "@quillmere.example";

    @TestConfiguration
    static class Clocks {
        @Bean
        MovableClock movableClock() {
            return new MovableClock();
        }
    }

    /** The header with which the tests' proxy says where a request comes from. */
    protected static final String FROM = "X-Forwarded-For";

    private static final AtomicInteger VISITORS = new AtomicInteger();
    private final String visitor = somebody();

    @Autowired
    protected MovableClock clock;

    @Autowired
    protected OpeningsService openings;

    @Autowired
    protected JdbcClient jdbc;

    @Autowired
    protected Letters letters;

    @LocalServerPort
    private int port;

    private final HttpClient http = HttpClient.newHttpClient();

    private static Path temporary() {
        try {
            return Files.createTempDirectory("gastfreund");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        registry.add("gastfreund.home", HOME::toString);
        registry.add("gastfreund.demo", () -> "../demo");
        registry.add("gastfreund.gateway.url", STANDINS::address);
        registry.add("gastfreund.meetings.url", () -> STANDINS.address() + "/meetings");
        registry.add("gastfreund.geocoder.url", () -> STANDINS.address() + "/geocoder/search");
        registry.add("gastfreund.texts.url", () -> STANDINS.address() + "/texts");
        registry.add("gastfreund.busy.private-addresses", () -> true);
        registry.add("gastfreund.webhooks.private-addresses", () -> true);
        registry.add("gastfreund.jobs.webhooks", () -> "1h");
        registry.add("gastfreund.jobs.busy", () -> "1h");
        registry.add("gastfreund.jobs.wishes", () -> "1h");
        registry.add("gastfreund.jobs.troubles", () -> "1h");
        registry.add("gastfreund.mailbox.host", () -> "127.0.0.1");
        registry.add("gastfreund.mailbox.port", STANDINS::imapPort);
        registry.add("gastfreund.mailbox.user", () -> MAILBOX);
        registry.add("gastfreund.mailbox.password", () -> MAILBOX);
        registry.add("gastfreund.mailbox.secure", () -> false);
        registry.add("gastfreund.jobs.mailbox", () -> "1h");
        registry.add("spring.mail.port", STANDINS::smtpPort);
        registry.add("gastfreund.limits.holds", () -> 10_000);
        registry.add("gastfreund.limits.checkouts", () -> 10_000);
        registry.add("gastfreund.limits.letters", () -> 10_000);
        registry.add("gastfreund.jobs.tidy", () -> "1h");
        registry.add("gastfreund.jobs.meetings", () -> "1h");
        registry.add("gastfreund.limits.slower", () -> "1ms");
        registry.add("gastfreund.limits.password-cost", () -> 4);
        registry.add("gastfreund.door.bits", () -> 10);
        registry.add("gastfreund.shares.visitor", () -> 1000);
        registry.add("gastfreund.shares.house", () -> 1000);
        registry.add("gastfreund.proxies", () -> "127.0.0.1");
        registry.add("gastfreund.mail-from", () -> MAILBOX);
        registry.add("gastfreund.jobs.outcomes", () -> "1h");
        registry.add("gastfreund.jobs.steps", () -> "200ms");
        registry.add("gastfreund.jobs.outbox", () -> "200ms");
    }

    @AfterEach
    void resetClock() {
        clock.reset();
    }

    protected String address(String path) {
        return "http://localhost:" + port + path;
    }

    /** An opening of an offer some days from today, on the first such date that has one. */
    protected Answer.Entry opening(String offer, String length, int party, int daysAhead) {
        LocalDate from =
                clock.instant().atZone(ZoneId.of("Europe/Berlin")).toLocalDate().plusDays(daysAhead);
        return openings.next(Query.of(new OfferId(offer), from, from, clock.instant())
                        .withLength(new LengthId(length), 1)
                        .withParty(party))
                .orElseThrow();
    }

    protected HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address(path)))
                .header("Accept", "text/html")
                .header(FROM, visitor));
    }

    protected HttpResponse<String> post(String path, Map<String, Object> form, String... headers) {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue().toString(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address(path)))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (!List.of(headers).contains(FROM)) {
            request.header(FROM, visitor);
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request);
    }

    protected HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Somebody new keeps a place over HTTP; gives the path to which that led. */
    protected String keep(String offer, String length, int party, long start) {
        String path = "/offers/" + offer + "/keep?party=" + party + "&length=" + length;
        return path(post(path, Map.of("start", start), FROM, somebody()));
    }

    /** The address of a visitor who was never here before. */
    protected static String somebody() {
        int number = VISITORS.incrementAndGet();
        return "10." + number / 65_536 % 256 + "." + number / 256 % 256 + "." + number % 256;
    }

    /** The date on which the tests live. */
    protected LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.of("Europe/Berlin"));
    }

    /** Orders a basket over HTTP and gives the address to which that led. */
    protected String order(String basketPath, String name, String email) {
        HttpResponse<String> ordered = post(
                basketPath + "/checkout",
                CheckoutPage.filled(get(basketPath + "/checkout").body(), name, email));
        return ordered.headers().firstValue("Location").orElseThrow();
    }

    /** Opens the link in the letter by which a guest shows that an order's address is theirs. */
    protected String confirm(long order) {
        String text = letters.ofOrder(order).stream()
                .map(Written::text)
                .filter(t -> t.contains("/prove?key="))
                .reduce((earlier, later) -> later)
                .orElseThrow();
        Matcher link = Pattern.compile("(/bookings/[^/]+/prove)\\?key=(\\S+)").matcher(text);
        if (!link.find()) {
            throw new IllegalStateException("no link in " + text);
        }
        return path(post(link.group(1), Map.of("key", link.group(2))));
    }

    /** Chooses a card at the gateway and gives the path to which the guest is sent back. */
    protected String pay(String payAddress, String card) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(payAddress))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("card=" + card));
        return path(send(request));
    }

    protected static String path(HttpResponse<String> redirect) {
        URI target = URI.create(redirect.headers().firstValue("Location").orElseThrow());
        return target.getPath() + (target.getQuery() == null ? "" : "?" + target.getQuery());
    }
}
