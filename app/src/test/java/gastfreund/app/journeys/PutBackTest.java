package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitUntilState;
import gastfreund.app.DemoHouseTest;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A guest who goes back in a browser that shows the page as it was left: on its way, to where it has been meanwhile. */
@Tag("browser")
class PutBackTest extends DemoHouseTest {

    private static final Pattern BASKET = Pattern.compile("/basket/[\\w-]{22}$");

    private static Browser browser;

    private BrowserContext context;
    private Page page;

    @BeforeAll
    static void launch() {
        browser = Browsers.launchKeepingPages();
    }

    @AfterAll
    static void quit() {
        browser.close();
    }

    @BeforeEach
    void open() {
        context = browser.newContext(
                new Browser.NewContextOptions().setLocale("en-GB").setExtraHTTPHeaders(Map.of(FROM, somebody())));
        page = context.newPage();
        // Marks a page that was shown as it had been left, and has then been asked for anew.
        context.addInitScript(
                """
                addEventListener('pageshow', (e) => { if (e.persisted) sessionStorage.setItem('back', location.pathname); });
                addEventListener('load', () => {
                  if (sessionStorage.getItem('back') !== location.pathname) return;
                  sessionStorage.removeItem('back');
                  document.documentElement.dataset.again = '';
                });""");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void back() {
        page.goBack(new Page.GoBackOptions().setWaitUntil(WaitUntilState.COMMIT));
        assertThat(page.locator("html[data-again]")).isAttached();
    }

    private void keep() {
        page.locator(".slot").first().click();
        assertThat(page).hasURL(BASKET);
    }

    @Test
    void theSameTimeCanBeChosenOnceMore() {
        page.navigate(address("/offers/clay-table"));
        keep();
        back();
        keep();
        assertThat(page.locator("h1")).isVisible();
    }

    @Test
    void anotherOpeningOfTheAgendaCanBeKept() {
        page.navigate(address("/agenda"));
        for (int i = 0; i < 2; i++) {
            page.locator("button.opening").nth(i).click();
            page.locator("[data-keeps]").click();
            assertThat(page).hasURL(BASKET);
            if (i == 0) {
                back();
            }
        }
        assertThat(page.locator("h1")).isVisible();
    }

    @Test
    void whoeverGoesBackFromPayingDoesNotOrderOnceMore() {
        page.navigate(address("/offers/clay-table"));
        keep();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To checkout"))
                .click();
        page.getByLabel("Name").fill("Gerrit Back");
        page.getByLabel("Mail address").fill("gerrit.back@post.example");
        page.getByLabel("Telephone").fill("+49 30 5550 177");
        page.getByLabel("I have read").check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Book and pay")))
                .click();
        page.waitForURL(Pattern.compile(STANDINS.address() + "/pay/.*"));
        page.goBack(new Page.GoBackOptions().setWaitUntil(WaitUntilState.COMMIT));
        assertThat(page).hasURL(BASKET);
        assertThat(page.getByText("There is nothing in it.")).isVisible();
    }
}
