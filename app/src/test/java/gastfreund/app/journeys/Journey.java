package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;

/** A user in a real browser; whatever the browser complains about fails the test. */
@Tag("browser")
abstract class Journey extends DemoHouseTest {

    private final List<String> complaints = new ArrayList<>();
    private BrowserContext context;
    Page page;

    final void open(boolean scripts, int width) {
        open(new Browser.NewContextOptions().setViewportSize(width, 800).setJavaScriptEnabled(scripts));
    }

    /** The same by somebody who is in another zone. */
    final void openIn(String zone, int width) {
        open(new Browser.NewContextOptions().setViewportSize(width, 800).setTimezoneId(zone));
    }

    /** The same on a screen that is touched. */
    final void openTouch(int width, int height) {
        open(new Browser.NewContextOptions().setViewportSize(width, height).setHasTouch(true));
    }

    private void open(Browser.NewContextOptions options) {
        context = Browsers.chromium()
                .newContext(options.setLocale("en-GB").setExtraHTTPHeaders(Map.of(FROM, somebody())));
        page = context.newPage();
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")) {
                complaints.add(m.text());
            }
        });
        page.onPageError(complaints::add);
        page.onRequest(r -> {
            if (!r.url().startsWith("http://localhost:") && !r.url().startsWith("data:")) {
                complaints.add("a request to another host: " + r.url());
            }
        });
    }

    @AfterEach
    void close() {
        context.close();
        assertThat(complaints).as("what the browser complained about").isEmpty();
    }

    /** What the browser complains about by itself when a page is refused on purpose. */
    final void forgive(String part) {
        complaints.removeIf(c -> c.contains(part));
    }

    /** What the browser asks for at such addresses waits from now on, until the test lets it go. */
    final List<Route> held(Pattern addresses) {
        List<Route> held = new ArrayList<>();
        page.route(addresses, held::add);
        return held;
    }

    final Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    final Locator heading(String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    final Locator link(String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    /** Chooses one of the days of the ribbon that have an opening, and waits until it is shown. */
    final void chooseDay(int number) {
        choose(page.locator(".ribbon .day:has(.bar)").nth(number));
    }

    private void choose(Locator day) {
        String date = day.getAttribute("data-panel").replace("day-", "");
        day.click();
        page.waitForURL("**day=" + date + "**");
    }

    /** Keeps the first time on the first day with an opening from the given week of the ribbon on. */
    final void keepSomething(String offer, int week) {
        page.navigate(address("/"));
        link(offer).click();
        Locator days = page.locator(".ribbon .day");
        choose(IntStream.range(week * 7, days.count())
                .mapToObj(days::nth)
                .filter(d -> d.locator(".bar").count() > 0)
                .findFirst()
                .orElseThrow());
        page.locator(".slot").first().click();
        assertThat(page).hasURL(Pattern.compile("/basket/[A-Za-z0-9_-]{22}$"));
    }

    /** Keeps a place at one opening of an offer, for one person. */
    final void keepOpening(String offer, String length, Answer.Entry entry) {
        page.navigate(address("/offers/" + offer + "?length=" + length + "&day=" + dateOf(entry)));
        page.locator("form:has(input[name=start][value='" + entry.time().start() + "']) .slot")
                .click();
        assertThat(page).hasURL(Pattern.compile("/basket/[A-Za-z0-9_-]{22}$"));
    }

    static LocalDate dateOf(Answer.Entry entry) {
        return LocalDate.ofInstant(entry.time().startInstant(), ZoneId.of("Europe/Berlin"));
    }

    final void checkOut(String name) {
        fillIn(name);
        button("^(Book and pay|Ask, and put)").click();
        assertThat(heading("Quillmere Clay House")).isVisible();
    }

    final void fillIn(String name) {
        link("To checkout").click();
        page.getByLabel("Name").fill(name);
        page.getByLabel("Mail address").fill(name.toLowerCase().replace(' ', '.') + "@post.example");
        page.getByLabel("Telephone").fill("+49 30 5550 177");
        answerAndAgree();
    }

    final void answerAndAgree() {
        page.getByLabel("I have read").check();
        for (Locator group : page.locator("fieldset:has([type=radio])").all()) {
            group.locator("input").first().check();
        }
        for (Locator needed : page.locator("[type=checkbox][name^=answer]").all()) {
            needed.check();
        }
        for (Locator asked :
                page.locator("input[maxlength='200'][name^=answer]").all()) {
            asked.fill("12, the tallest 20 cm");
        }
    }

    final void payWith(String card) {
        page.getByText(card, new Page.GetByTextOptions().setExact(true)).click();
        button("^Pay").click();
    }

    final void signIn() {
        page.navigate(address("/desk"));
        page.getByLabel("Mail address").fill("okka@quillmere.example");
        page.getByLabel("Password").fill("clay and water");
        button("Sign in").click();
        assertThat(link("Board")).isVisible();
        page.waitForLoadState();
    }
}
