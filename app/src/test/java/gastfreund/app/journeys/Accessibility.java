package gastfreund.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import gastfreund.app.DemoHouseTest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;

/** What axe finds on the main pages, in one theme and at one width. */
@Tag("browser")
abstract class Accessibility extends DemoHouseTest {

    private static final String AXE = axe();

    /** What is right is not written down: that takes longer than finding what is wrong. */
    private static final String FAULTS =
            """
            async () => {
              const found = await axe.run(document, { resultTypes: ['violations'] });
              const faults = found.violations.flatMap((rule) => rule.nodes.map((node) => `${rule.id}: ${node.html}`));
              return document.documentElement.scrollWidth > innerWidth ? ['wider than its window', ...faults] : faults;
            }""";

    private final ColorScheme theme;
    private final int width;

    Accessibility(ColorScheme theme, int width) {
        this.theme = theme;
        this.width = width;
    }

    @Test
    void noPageHasAFault() {
        String basket = keep(
                "private-lesson",
                "60",
                2,
                opening("private-lesson", "60", 2, 20).time().start());
        String visited = keep(
                "clay-visit",
                "120",
                4,
                opening("clay-visit", "120", 4, 20).time().start());
        try (BrowserContext context = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(width, 800)
                        .setColorScheme(theme)
                        .setReducedMotion(ReducedMotion.REDUCE))) {
            // Once for all pages: to send it to each takes longer than most of them.
            context.addInitScript(AXE);
            Page page = context.newPage();
            for (String path : List.of(
                    "/",
                    "/offers/private-lesson?party=2",
                    "/offers/clay-table",
                    "/vouchers/voucher",
                    "/vouchers/clay-card",
                    "/goods/clay-bag",
                    "/texts/rules",
                    "/embed/offers/firing?accent=2d6a4f",
                    "/agenda",
                    "/agenda?view=week&party=2",
                    "/agenda?view=month",
                    "/offers/wheel-evenings/dates",
                    "/offers/private-lesson/series?times=12&start="
                            + opening("private-lesson", "60", 1, 35).time().start(),
                    "/mine",
                    "/account/enter",
                    "/offers/clay-visit/way?party=4",
                    "/offers/private-lesson/wish?party=2&staff=mira",
                    "/embed/offers/firing?without=text&scheme=dark",
                    basket,
                    basket + "/checkout",
                    "/desk/sign-in")) {
                assertThat(faultsOf(page, path)).as(path).isEmpty();
            }
            page.navigate(address(visited + "/where"));
            page.getByLabel("Your address").fill("Church Lane 2");
            page.locator("main form button").click();
            page.getByText("Which of these is it?").waitFor();
            assertThat(faults(page)).as("where").isEmpty();
            page.navigate(address("/desk/sign-in"));
            page.getByLabel("Mail address").fill("okka@quillmere.example");
            page.getByLabel("Password").fill("clay and water");
            page.locator("main form button").click();
            page.waitForURL("**/desk*");
            page.locator(".ruler a").nth(17).click();
            page.waitForURL("**day=**");
            page.locator(".board a:has(.block)").first().click();
            page.waitForURL("**booking=**");
            assertThat(faults(page)).as("board").isEmpty();
            for (String path : List.of(
                    "/desk/orders",
                    "/desk?span=3&state=requested",
                    "/desk/book?offer=private-lesson&spite=true",
                    "/desk/bookings",
                    "/desk/bookings/day",
                    "/desk/ways",
                    "/desk/programs",
                    "/desk/house/arrivals",
                    "/desk/webhooks",
                    "/desk/running",
                    "/desk/payments",
                    "/desk/orders/sources",
                    "/desk/figures",
                    "/desk/figures/rows?of=party:1",
                    "/desk/figures/month",
                    "/desk/account",
                    "/desk/account/second-factor",
                    "/desk/sign-ins",
                    "/desk/guests",
                    "/desk/guests/data",
                    "/desk/waits",
                    "/desk/wishes",
                    "/desk/till",
                    "/desk/lists/orders",
                    "/desk/lists/payments",
                    "/desk/statements",
                    "/desk/blocked",
                    "/desk/several",
                    "/desk/hours/staff/mira",
                    "/desk/hours/house/house/holidays",
                    "/desk/house",
                    "/desk/house/staff/mira",
                    "/desk/house/places/online",
                    "/desk/offers",
                    "/desk/offers/private-lesson",
                    "/desk/offers/private-lesson?tab=what",
                    "/desk/offers/private-lesson?tab=money",
                    "/desk/offers/private-lesson?tab=questions",
                    "/desk/offers/wheel-evenings?tab=dates",
                    "/desk/offers/wheel-hire/prices",
                    "/desk/house/about",
                    "/desk/house/about?tab=look",
                    "/desk/house/about?tab=booking",
                    "/desk/house/about?tab=texts",
                    "/desk/house/about?tab=papers",
                    "/desk/house/about?tab=speech",
                    "/desk/house/sale",
                    "/desk/house/sale?tab=passes",
                    "/desk/house/texts",
                    "/desk/house/texts/offers/clay-table",
                    "/desk/letters",
                    "/desk/letters/sent",
                    "/desk/calendars",
                    "/desk/busy-times",
                    "/desk/house/sharing?what=offer:clay-table&accent=%232d6a4f",
                    "/desk/house/files",
                    "/desk/codes",
                    "/desk/codes/welcome5",
                    "/desk/mail",
                    "/desk/hosts",
                    "/desk/changes",
                    "/desk/explain?offer=private-lesson&party=2&staff=mira")) {
                assertThat(faultsOf(page, path)).as(path).isEmpty();
            }
            page.navigate(address("/desk/orders"));
            page.locator("main table a").first().click();
            assertThat(faults(page)).as("order").isEmpty();
        }
    }

    /** With all of a page unfolded. */
    private List<String> faultsOf(Page page, String path) {
        page.navigate(address(path));
        page.evaluate("document.querySelectorAll('details').forEach((one) => { one.open = true; })");
        return faults(page);
    }

    static List<String> faults(Page page) {
        page.waitForLoadState();
        page.frames().stream()
                .filter(frame -> Boolean.FALSE.equals(frame.evaluate("'axe' in window")))
                .forEach(frame -> frame.evaluate(AXE));
        return ((List<?>) page.evaluate(FAULTS)).stream().map(String::valueOf).toList();
    }

    private static String axe() {
        try {
            return new ClassPathResource("axe.min.js").getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
