package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Page;
import com.sun.net.httpserver.HttpServer;
import gastfreund.app.DemoHouseTest;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Every example in {@code docs/embedding.md} does what the guide says, in a page of somebody else's. */
@Tag("browser")
class EmbeddingGuideTest extends DemoHouseTest {

    private static final Pattern EXAMPLE = Pattern.compile("(?s)```(\\w*)\\n(.*?)```");
    private static Browser browser;
    private static HttpServer site;
    private static volatile String served = "";
    private static volatile String allowed = "";

    private final List<String> said = new ArrayList<>();
    private BrowserContext context;
    private Page page;

    @BeforeAll
    static void launch() throws IOException {
        browser = Browsers.launch();
        site = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        site.createContext("/", asked -> {
            byte[] page = served.getBytes(StandardCharsets.UTF_8);
            asked.getResponseHeaders().set("Content-Type", "text/html;charset=UTF-8");
            if (!allowed.isEmpty()) {
                asked.getResponseHeaders().set("Content-Security-Policy", allowed);
            }
            asked.sendResponseHeaders(200, page.length);
            try (OutputStream to = asked.getResponseBody()) {
                to.write(page);
            }
        });
        site.start();
    }

    @AfterAll
    static void quit() {
        browser.close();
        site.stop(0);
    }

    @AfterEach
    void close() {
        context.close();
    }

    /** The examples of a language, as they stand, with this house in place of the guide's. */
    private List<String> examples(String language) throws IOException {
        List<String> found = new ArrayList<>();
        Matcher example = EXAMPLE.matcher(Files.readString(Path.of("../docs/embedding.md")));
        while (example.find()) {
            if (example.group(1).equals(language)) {
                found.add(example.group(2).strip().replace("https://quillmere.example", address("")));
            }
        }
        return found;
    }

    private void open(String head, String body, String policy) {
        context = browser.newContext(new Browser.NewContextOptions().setLocale("en-GB"));
        page = context.newPage();
        page.onConsoleMessage(m -> said.add(m.text()));
        served =
                "<!DOCTYPE html><html lang=\"en\"><title>Site</title><link rel=\"icon\" href=\"data:,\">" + head + body;
        allowed = policy;
        page.navigate("http://127.0.0.1:" + site.getAddress().getPort() + "/");
    }

    private FrameLocator frame() {
        return page.frameLocator("iframe").first();
    }

    @Test
    void everyPieceOfHtmlShowsWhatItSays() throws IOException {
        List<String> html = examples("html");
        assertThat(html).hasSizeGreaterThanOrEqualTo(6);
        for (String example : html) {
            boolean script = example.contains("embed.js") || example.startsWith("<iframe");
            open(
                    "",
                    example + (script ? "" : "<script type=\"module\" src=\"" + address("/embed.js") + "\"></script>"),
                    "");
            if (example.contains("as=\"button\"")) {
                page.locator("gastfreund-panel button.open").click();
            }
            if (example.contains("<gastfreund-panel") || example.startsWith("<iframe")) {
                assertThat(frame().locator("h1, .offer h3").first()).isVisible();
            } else {
                page.locator("a").first().click();
                assertThat(page.locator("h1")).hasText("Open clay table");
            }
            assertThat(said).as(example).isEmpty();
            context.close();
        }
    }

    @Test
    void theRoomIsKeptAndNothingMoves() throws IOException {
        open(
                "<style>" + examples("css").get(0)
                        + "</style><script>window.moved = 0; new PerformanceObserver((list) => {"
                        + " for (const e of list.getEntries()) window.moved += e.value; })"
                        + ".observe({ type: 'layout-shift', buffered: true });</script>",
                examples("html").get(0) + "<p>What stands below.</p>",
                "");
        assertThat(frame().locator("h1")).isVisible();
        assertThat(((Number) page.evaluate("window.moved")).doubleValue()).isZero();
    }

    @Test
    void aPageLearnsOfABookingWithoutItsGuest() throws IOException {
        open("", examples("html").get(0) + "<script>" + examples("js").get(0) + "</script>", "");
        assertThat(frame().locator("h1")).isVisible();
        page.evaluate("document.querySelector('gastfreund-panel').dispatchEvent(new CustomEvent('gastfreund:booked',"
                + " { bubbles: true, detail: { number: 41, total: 52, currency: 'EUR' } }))");
        assertThat(said).containsExactly("41");
    }

    @Test
    void aStrictPolicyIsEnough() throws IOException {
        String policy = examples("").stream()
                .filter(e -> e.startsWith("Content-Security-Policy:"))
                .findFirst()
                .orElseThrow()
                .replace("Content-Security-Policy:", "")
                .strip();
        open("", examples("html").get(0), policy);
        assertThat(frame().locator("h1")).isVisible();
        assertThat(said).filteredOn(s -> !s.contains("data:,")).isEmpty();
    }
}
