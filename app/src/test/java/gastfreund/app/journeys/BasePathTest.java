package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.MovableClock;
import gastfreund.app.Proxy;
import gastfreund.app.RunningApplication;
import gastfreund.app.Standins;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The house under a path of somebody's own site, behind a proxy: every link, form, redirect, letter and file holds. */
@Tag("browser")
class BasePathTest {

    @Test
    void aBookingIsMadeAndTheDeskIsUsedUnderAPath() throws Exception {
        List<String> complaints = new ArrayList<>();
        try (Proxy proxy = new Proxy("/book");
                RunningApplication application = new RunningApplication(
                        List.of("-XX:TieredStopAtLevel=1", "-Xmx300m", "-Dgastfreund.address=" + proxy.address()),
                        MovableClock.AHEAD);
                BrowserContext context = Browsers.chromium()
                        .newContext(new Browser.NewContextOptions()
                                .setViewportSize(1280, 800)
                                .setLocale("en-GB"))) {
            proxy.behind(application.address(""));
            Page page = context.newPage();
            page.onConsoleMessage(m -> {
                if (m.type().equals("error")) {
                    complaints.add(m.text());
                }
            });
            page.navigate(proxy.address() + "/");
            page.getByText("Wheel hire").first().click();
            page.locator(".chip", new Page.LocatorOptions().setHasText("2 hours"))
                    .click();
            page.waitForURL("**length=120**");
            page.locator(".slot").first().click();
            assertThat(page).hasURL(Pattern.compile("/book/basket/[A-Za-z0-9_-]{22}$"));
            named(page, AriaRole.LINK, "To checkout").click();
            page.getByLabel("Name").fill("Path Finder");
            page.getByLabel("Mail address").fill("path@post.example");
            page.getByLabel("Telephone").fill("+49 30 5550 177");
            page.getByLabel("I have read").check();
            named(page, AriaRole.BUTTON, "^Book and pay").click();
            page.getByText("Works", new Page.GetByTextOptions().setExact(true)).click();
            named(page, AriaRole.BUTTON, "^Pay").click();
            assertThat(page).hasURL(Pattern.compile("/book/bookings/[A-Za-z0-9_-]+"));
            assertThat(page.getByText("Path Finder").first()).isVisible();
            Standins standins = application.standins();
            await().untilAsserted(() -> assertThat(standins.page("/mail")).contains("path@post.example"));
            Matcher mail = Pattern.compile("/mail/(\\d+)").matcher(standins.page("/mail"));
            assertThat(mail.find()).isTrue();
            assertThat(standins.page("/mail/" + mail.group(1))).contains(proxy.address() + "/");
            page.navigate(proxy.address() + "/desk");
            page.getByLabel("Mail address").fill("okka@quillmere.example");
            page.getByLabel("Password").fill("clay and water");
            named(page, AriaRole.BUTTON, "Sign in").click();
            named(page, AriaRole.LINK, "^Hours").click();
            page.navigate(proxy.address() + "/desk/hours/staff/mira");
            page.locator("#thu").fill("10–12");
            assertThat(page.locator("#effect")).containsText("→ 10–12");
            named(page, AriaRole.BUTTON, "Keep these hours").click();
            assertThat(page.getByText("It is kept")).isVisible();
            assertThat(page).hasURL(Pattern.compile("/book/desk/hours/"));
            page.navigate(proxy.address() + "/offers/nothing-like-this");
            assertThat(page.locator("a.name")).hasAttribute("href", "/book/");
            complaints.removeIf(c -> c.contains("404"));
            assertThat(proxy.strays()).as("asked for outside of the path").isEmpty();
            assertThat(complaints).isEmpty();
        }
    }

    private static Locator named(Page page, AriaRole role, String name) {
        return page.getByRole(role, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .first();
    }
}
