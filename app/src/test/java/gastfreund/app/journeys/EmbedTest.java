package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitUntilState;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** The panel inside a neighbour's pages, from another host than the house's, in a browser that keeps no cookies of others. */
@Tag("browser")
class EmbedTest extends DemoHouseTest {

    private static Browser browser;

    @Autowired
    private Orders orders;

    @Autowired
    private CatalogueEdits edits;

    private final List<String> strangers = new ArrayList<>();
    private final List<String> said = new ArrayList<>();
    private BrowserContext context;
    private Page page;

    @BeforeAll
    static void launch() {
        browser = Browsers.launch("--test-third-party-cookie-phaseout");
    }

    @AfterAll
    static void quit() {
        browser.close();
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void open(String neighbour, int width, boolean scripts) {
        context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, 900)
                .setLocale("en-GB")
                .setJavaScriptEnabled(scripts));
        page = context.newPage();
        page.onConsoleMessage(m -> said.add(m.text()));
        page.onRequest(r -> {
            boolean pays = r.url().startsWith(STANDINS.address() + "/pay/")
                    || r.url().startsWith(STANDINS.address() + "/standins/");
            if (!pays
                    && !r.url().startsWith("http://127.0.0.1:")
                    && !r.url().startsWith(address("/"))
                    && !r.url().startsWith("data:")) {
                strangers.add(r.url());
            }
        });
        page.addInitScript(
                """
                window.shifts = 0;
                window.moved = [];
                window.shown = 0;
                window.heard = [];
                const at = (r) => [r.x, r.y, r.width, r.height].join(' ');
                new PerformanceObserver((list) => {
                  // What stands before the panel is not moved down by it: then the page itself was not ready.
                  const panel = document.querySelector('gastfreund-panel');
                  const own = (s) => s.node && panel && panel.compareDocumentPosition(s.node) & 2
                      && s.previousRect.x === s.currentRect.x;
                  for (const e of list.getEntries().filter((e) => !e.hadRecentInput && !e.sources.some(own))) {
                    window.shifts += e.value;
                    for (const s of e.sources) window.moved.push(`${s.node?.nodeName}: ${at(s.previousRect)} to ${at(s.currentRect)}`);
                  }
                }).observe({ type: 'layout-shift', buffered: true });
                addEventListener('message', (e) => { if (e.data?.ready !== undefined) window.shown += 1; });
                for (const name of ['height', 'kept', 'booked']) {
                  document.addEventListener(`gastfreund:${name}`, (e) => window.heard.push(`${name} ${JSON.stringify(e.detail)}`));
                }""");
        page.navigate(neighbour(neighbour));
    }

    private String neighbour(String path) {
        return STANDINS.address().replace("localhost", "127.0.0.1") + "/neighbour/" + path + "?house=" + address("");
    }

    private FrameLocator frame() {
        return page.locator("gastfreund-panel").first().frameLocator("iframe");
    }

    private static Locator button(FrameLocator frame, String name) {
        return frame.getByRole(AriaRole.BUTTON, new FrameLocator.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    /** Asked from outside: a page whose rules are strict lets no text be run as a program. */
    private void panelComes() {
        page.waitForCondition(() -> (Boolean) page.evaluate("window.shown > 0"));
    }

    /**
     * A click that leads to the next page in the frame. The page around it goes to the beginning of what is shown then;
     * whoever clicks while it does clicks beside it.
     */
    private void goesOn(Runnable click) {
        page.evaluate("window.shown = 0");
        click.run();
        panelComes();
    }

    /** Chooses a time in the frame, and goes on until the window is led to the gateway. */
    private void bookInside(FrameLocator frame, String name) {
        panelComes();
        goesOn(() -> frame.locator(".slot").first().click());
        goesOn(() -> frame.getByRole(AriaRole.LINK, new FrameLocator.GetByRoleOptions().setName("To checkout"))
                .click());
        frame.getByLabel("Name").fill(name);
        frame.getByLabel("Mail address").fill(name.toLowerCase().replace(' ', '.') + "@post.example");
        frame.getByLabel("Telephone").fill("+49 30 5550 177");
        frame.getByLabel("I have read").check();
        button(frame, "^Book and pay").click();
        page.waitForURL(Pattern.compile(STANDINS.address() + "/pay/.*"));
    }

    private void pay() {
        page.getByText("Works", new Page.GetByTextOptions().setExact(true)).click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Pay")))
                .click();
    }

    @ParameterizedTest
    @CsvSource({
        "gift-ideas,1280,gift-ideas",
        "dark,390,night",
        "hostile,1280,hostile",
        "strict,1280,strict",
        "right-to-left,1280,rtl",
        "narrow,1280,narrow",
        "three,390,three"
    })
    void aBookingIsMadeAndPaidInsideThePage(String where, int width, String source) {
        open(where, width, true);
        bookInside(frame(), "Guest Of " + where.replace("-", " "));
        pay();
        page.waitForURL(Pattern.compile("^" + Pattern.quote(neighbour(where)) + "$"));
        assertThat(frame().locator("h1")).isVisible();
        Order order = orders.newest(1).get(0);
        assertThat(frame().getByText("Order " + order.number()).first()).isVisible();
        assertThat(order.source()).isEqualTo(source);
        assertThat(page.evaluate("window.heard.filter(h => h.startsWith('booked')).join()")
                        .toString())
                .contains("\"number\":\"" + order.number() + "\"", "\"currency\":\"EUR\"")
                .doesNotContain("post.example", order.token());
        assertThat(page.url()).doesNotContain(order.token());
        assertThat(strangers).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {1280, 390})
    void thePageIsLeftAsItWas(int width) {
        open("gift-ideas", width, true);
        assertThat(frame().locator(".slot").first()).isVisible();
        List<?> before = (List<?>) page.evaluate("(() => { const f = document.createElement('iframe');"
                + " document.body.append(f); const own = new Set(Object.getOwnPropertyNames(f.contentWindow)); f.remove();"
                + " return Object.getOwnPropertyNames(window).filter(n => !own.has(n) && !['shifts', 'moved', 'shown', 'heard'].includes(n)"
                + " && !/^\\d+$/.test(n)); })()");
        assertThat(before).as("left on window").isEmpty();
        assertThat(((Number) page.evaluate("window.shifts")).doubleValue())
                .as("layout shift: %s", page.evaluate("window.moved"))
                .isZero();
        Number inside = (Number) frame().locator("html").evaluate("() => window.shifts");
        assertThat(inside.doubleValue()).as("layout shift in the frame").isLessThan(0.05);
        assertThat(context.cookies()).as("cookies").isEmpty();
        assertThat(page.evaluate("localStorage.length + sessionStorage.length")).isEqualTo(0);
        Number inner =
                (Number) page.locator("gastfreund-panel iframe").evaluate("f => f.getBoundingClientRect().height");
        assertThat(inner.intValue()).isGreaterThan(300);
        assertThat(strangers).isEmpty();
        assertThat(said).isEmpty();
    }

    @Test
    void theScriptIsSmallAndEveryPageMayTakeItIn() throws IOException {
        open("none", 1280, true);
        var answer = get("/embed.js");
        assertThat(answer.headers().firstValue("Access-Control-Allow-Origin")).hasValue("*");
        assertThat(answer.headers().firstValue("ETag")).isPresent();
        assertThat(answer.headers().firstValue("Cache-Control").orElse("")).contains("max-age=3600");
        ByteArrayOutputStream small = new ByteArrayOutputStream();
        try (GZIPOutputStream zipped = new GZIPOutputStream(small)) {
            zipped.write(answer.body().getBytes(StandardCharsets.UTF_8));
        }
        assertThat(small.size()).isLessThanOrEqualTo(6 * 1024);
    }

    @Test
    void aButtonOpensItOverThePageAndGivesTheFocusBack() {
        open("shop", 390, true);
        page.getByText("Put a loop tool into my basket").click();
        String here = page.url();
        Locator open = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Choose a time"));
        open.click();
        assertThat(frame().locator(".slot").first()).isVisible();
        page.keyboard().press("Escape");
        assertThat(frame().locator(".slot").first()).not().isVisible();
        assertThat(open).isFocused();
        open.click();
        bookInside(frame(), "Shop Guest");
        pay();
        page.waitForURL(here);
        assertThat(frame().getByText("Order " + orders.newest(1).get(0).number())
                        .first())
                .isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("Together 6 €")).isVisible();
        page.getByText("Put a sponge into my basket").click();
        assertThat(page.getByText("Together 8 €")).isVisible();
        page.getByText("On with the shopping").click();
        assertThat(page).hasURL(Pattern.compile("gift-ideas"));
    }

    @Test
    void withoutScriptsTheLinkAndThePlainFrameServe() {
        open("plain", 1280, false);
        assertThat(page.frameLocator("iframe").locator(".slot").first()).isVisible();
        page.getByText("Book a seat at the clay table").click();
        assertThat(page.locator("h1")).hasText("Open clay table");
        page.locator(".slot").first().click();
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To checkout"))
                .click();
        page.getByLabel("Name").fill("Plain Guest");
        page.getByLabel("Mail address").fill("plain.guest@post.example");
        page.getByLabel("Telephone").fill("+49 30 5550 177");
        page.getByLabel("I have read").check();
        // Whoever has no scripts cannot work for a proof, and waits a little instead.
        clock.moveAhead(Duration.ofSeconds(16));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Book and pay"))
                .click();
        page.waitForURL(Pattern.compile(STANDINS.address() + "/pay/.*"));
        pay();
        assertThat(page.locator("h1")).containsText("Plain Guest");
        assertThat(orders.newest(1).get(0).source()).isEqualTo("plain");
    }

    @Test
    void whereItMayNotStandTheLinkStaysWithASentence() {
        edits.change("house", "1", house -> ((ObjectNode) house.path("extra"))
                .putArray("sites")
                .add("https://another.example"));
        open("gift-ideas", 1280, true);
        assertThat(page.getByText("Booking cannot be shown here just now.")).isVisible();
        assertThat(page.getByText("Book a seat at the clay table")).isVisible();
        edits.change("house", "1", house -> ((ObjectNode) house.path("extra"))
                .putArray("sites")
                .add("*"));
    }

    /** Holds back what the browser asks the house for, until the test lets it go. */
    private List<Route> held(String glob) {
        List<Route> held = new ArrayList<>();
        context.route(address(glob), held::add);
        return held;
    }

    /** Goes nowhere yet: the clock of the first page with a panel is to be the test's. */
    private void openLater() {
        open("none", 1280, true);
        page.clock().install();
    }

    /** A page with a panel whose own page is asked for and has not come. */
    private List<Route> panelOnItsWay() {
        List<Route> pages = held("/embed/offers/**");
        // Until its frames are loaded, a page is not.
        page.navigate(
                neighbour("gift-ideas"), new Page.NavigateOptions().setWaitUntil(WaitUntilState.DOMCONTENTLOADED));
        page.waitForCondition(() -> !pages.isEmpty());
        return pages;
    }

    private void minutesLater() {
        page.clock().runFor(Duration.ofMinutes(5).toMillis());
    }

    @Test
    void aButtonWaitsForWhoeverReadsFirst() {
        openLater();
        page.navigate(neighbour("shop"));
        Locator open = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Choose a time"));
        assertThat(open).isVisible();
        minutesLater();
        open.click();
        assertThat(frame().locator(".slot").first()).isVisible();
        panelComes();
        minutesLater();
        assertThat(frame().locator(".slot").first()).isVisible();
    }

    @Test
    void aPanelFarBelowWaitsForWhoeverReadsFirst() {
        openLater();
        page.addInitScript(
                "addEventListener('DOMContentLoaded', () => { document.body.style.paddingTop = '20000px'; })");
        page.navigate(neighbour("gift-ideas"));
        assertThat(page.locator("gastfreund-panel iframe")).isAttached();
        minutesLater();
        page.locator("gastfreund-panel").scrollIntoViewIfNeeded();
        assertThat(frame().locator(".slot").first()).isVisible();
    }

    @Test
    void aSlowWayToTheHouseIsNoHouseThatIsGone() {
        openLater();
        List<Route> pages = panelOnItsWay();
        // Half of what it may be on its way; the other half is not to pass while this machine is busy.
        page.clock().pauseAt(((Number) page.evaluate("Date.now()")).longValue() + 10_000);
        List<Route> fonts = held("/**/*.woff2");
        pages.get(0).resume();
        assertThat(frame().locator(".slot").first()).isVisible();
        panelComes();
        minutesLater();
        page.waitForCondition(() -> !fonts.isEmpty());
        fonts.forEach(Route::resume);
        page.waitForLoadState();
        minutesLater();
        assertThat(frame().locator(".slot").first()).isVisible();
    }

    @Test
    void aPanelThatIsHiddenWhileItComesIsThereWhenItIsShownAgain() {
        openLater();
        List<Route> pages = panelOnItsWay();
        page.evaluate("document.querySelector('main').hidden = true");
        pages.get(0).resume();
        panelComes();
        page.waitForLoadState();
        minutesLater();
        page.evaluate("document.querySelector('main').hidden = false");
        assertThat(frame().locator(".slot").first()).isVisible();
    }

    @Test
    void aHouseThatSaysNothingLeavesTheLinkAndASentence() {
        openLater();
        List<Route> pages = panelOnItsWay();
        minutesLater();
        assertThat(page.getByText("Booking cannot be shown here just now.")).isVisible();
        assertThat(page.getByText("Book a seat at the clay table")).isVisible();
    }

    @Test
    void whatIsNotThereLeavesTheLinkAndASentence() {
        open("wrong", 1280, true);
        assertThat(page.getByText("An offer that is gone")).isVisible();
        assertThat(page.getByText("A house that is none")).isVisible();
        assertThat(page.getByText("Booking cannot be shown here just now.")).hasCount(2);
        assertThat(page.locator("gastfreund-panel")
                        .nth(1)
                        .frameLocator("iframe")
                        .locator(".slot")
                        .first())
                .isVisible();
        assertThat(said).anySatisfy(s -> assertThat(s).contains("accent, corners"));
        page.navigate(neighbour("away"));
        assertThat(page.getByText("Book all the same")).isVisible();
        assertThat(page.getByText("Booking cannot be shown here just now.")).isVisible();
    }
}
