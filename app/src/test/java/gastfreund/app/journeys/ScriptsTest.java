package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.LoadState;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Each component alone on a bare page in a real browser; what pages do with them, the journeys show. */
@Tag("browser")
class ScriptsTest {

    private static final Path STATIC = Path.of("src/main/resources/static");
    private static final String HOUSE = "http://house.example";

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Browsers.chromium().newContext();
        page = context.newPage();
        context.route(HOUSE + "/**", route -> {
            String path = route.request().url().substring(HOUSE.length());
            if (path.startsWith("/app/") || path.startsWith("/vendor/")) {
                route.fulfill(new Route.FulfillOptions()
                        .setPath(STATIC.resolve(path.substring(1)))
                        .setContentType("text/javascript"));
            } else {
                route.fulfill(new Route.FulfillOptions()
                        .setContentType("text/html")
                        .setBody(path.startsWith("/shown") ? shown : "<p id=there>" + path + "</p>"));
            }
        });
    }

    private String shown = "";

    private void show(String body) {
        shown = "<!DOCTYPE html><meta name=proof content=/app/proof.js><script defer src=/app/desk.js></script><body>"
                + body;
        page.navigate(HOUSE + "/shown");
        page.waitForLoadState(LoadState.LOAD);
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void aCountdownCountsDownAndStaysAtNothing() {
        page.clock().install();
        long until = 1_800_000_090;
        page.clock().setFixedTime(1_800_000_000_000L);
        show("<meta name=clock content=1800000000><b data-x-data=countdown data-x-text=left data-until=" + until
                + ">?</b><i data-x-data=countdown data-x-text=left data-words='for {0}' data-until=" + until
                + ">?</i>");
        assertThat(page.locator("b")).hasText("1:30");
        assertThat(page.locator("i")).hasText("for 1:30");
        page.clock().setFixedTime(1_800_000_083_000L);
        page.clock().runFor(1000);
        assertThat(page.locator("b")).hasText("0:07");
        page.clock().setFixedTime(1_800_000_200_000L);
        page.clock().runFor(1000);
        assertThat(page.locator("b")).hasText("0:00");
    }

    @Test
    void aFormThatIsOnItsWayIsNotSentTwice() {
        show("<form action=/sent data-x-data=once data-x-bind=form><input name=a value=1><button>Go</button></form>");
        page.evaluate(
                """
                window.sent = 0;
                document.querySelector('form').addEventListener('submit', (e) => {
                  if (!e.defaultPrevented) window.sent++;
                  e.preventDefault();
                })""");
        page.locator("button").click();
        page.locator("button").click();
        assertThat(page.evaluate("window.sent")).isEqualTo(1);
    }

    @Test
    void aFormWithASealBringsAProof() throws Exception {
        show(
                """
                <form action=/kept data-x-data=once data-x-bind=form><input type=hidden name=seal value=abc data-bits=14>
                <input type=hidden name=proof><button>Keep</button></form>""");
        page.locator("button").click();
        page.waitForURL("**/kept**");
        assertProves("abc", page.url().replaceAll(".*proof=", ""), 14);
    }

    @Test
    void theCheckoutHasItsProofBeforeItIsSent() throws Exception {
        show(
                """
                <form action=/ordered data-x-data=checkout data-x-bind=form data-seal=xyz data-bits=14>
                <input type=hidden name=proof><button>Order</button></form>""");
        page.locator("button").click();
        page.waitForURL("**/ordered**");
        assertProves("xyz", page.url().replaceAll(".*proof=", ""), 14);
    }

    @Test
    void withoutAWorkerTheFormIsSentWithoutAProof() {
        page.addInitScript("delete window.Worker");
        show(
                """
                <form action=/kept data-x-data=once data-x-bind=form><input type=hidden name=seal value=abc data-bits=14>
                <input type=hidden name=proof><button>Keep</button></form>""");
        page.locator("button").click();
        page.waitForURL("**/kept**");
        assertThat(page.url()).endsWith("proof=");
    }

    private static void assertProves(String seal, String proof, int bits) throws Exception {
        byte[] hash =
                MessageDigest.getInstance("SHA-256").digest((seal + ":" + proof).getBytes(StandardCharsets.UTF_8));
        int first = (hash[0] & 0xff) << 24 | (hash[1] & 0xff) << 16 | (hash[2] & 0xff) << 8 | hash[3] & 0xff;
        assertThat(first >>> (32 - bits)).as(proof).isZero();
    }

    @Test
    void theDeskTurnsItsDaysByKeysButNotWhileSomebodyWrites() {
        show(
                """
                <div data-x-data=desk data-x-bind=keys><input><a data-day=later href=/later>later</a>
                <a data-day=today href=/today>today</a></div>""");
        page.locator("input").press("ArrowRight");
        assertThat(page).hasURL(HOUSE + "/shown");
        page.locator("a").first().press("ArrowRight");
        assertThat(page).hasURL(HOUSE + "/later");
    }

    @Test
    void thePanelFollowsItsLinksWithoutLeavingThePageAndGoesBack() {
        context.route(
                HOUSE + "/offer?day=2&fragment=panel",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setContentType("text/html")
                        .setBody("<div id=panel><a data-panel=a href=/offer?day=3>second</a></div>")));
        show(
                """
                <p id=stays>here</p><div id=panel data-x-data=panel data-x-bind=area>
                <a data-panel=a href="/offer?day=2">first</a></div>""");
        page.getByText("first").click();
        assertThat(page.getByText("second")).isVisible();
        assertThat(page.getByText("second")).isFocused();
        assertThat(page.locator("#stays")).isVisible();
        assertThat(page).hasURL(HOUSE + "/offer?day=2");
    }
}
