package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The day explainer, reached from the board and from guests' pages, by mouse and by keyboard, with scripts and without. */
class ExplainerTest extends Journey {

    private Locator words() {
        return page.locator("#words");
    }

    @Test
    void fromTheBoardToTheBookingThatStandsAgainstATimeAndToWhatWouldOpenIt() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk?day=2027-01-21"));
        page.getByLabel("Mira: what can be booked, and why not")
                .locator(".ground")
                .first()
                .click(new Locator.ClickOptions().setPosition(8, 8));
        page.waitForLoadState();
        // The ground begins with Mira's hours: the first start is looked at.
        assertThat(page).hasURL(Pattern.compile("&at=\\d+$"));
        assertThat(page.locator("[data-at][aria-current]").first())
                .hasAttribute("aria-label", Pattern.compile("^0?9:30"));
        assertThat(page.locator("#about")).containsText("A private lesson at the wheel");
        assertThat(page.locator("#about")).containsText("with Mira");
        assertThat(page.locator("#picture .title").first()).hasText("The house is open");
        Locator against = page.locator("[data-at][aria-label*='14:30']:not([aria-label$=': can be booked'])")
                .first();
        against.hover(new Locator.HoverOptions().setForce(true));
        assertThat(words()).containsText("Why not");
        assertThat(words()).containsText("Mira is taken until");
        assertThat(words()).containsText("The nearest starts:");
        String before = words().textContent();
        page.locator("[data-at][aria-current]").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(words()).not().hasText(before);
        assertThat(page.locator("[data-at][aria-current]")).isFocused();
        words().locator("a[href*='booking=']").first().click();
        assertThat(page).hasURL(Pattern.compile("/desk\\?day=2027-01-21&booking="));
        assertThat(page.locator("aside h2").first()).not().hasText("Nothing selected");
    }

    @Test
    void whatAGuestSeesAndWhatTheDeskMayDoAreTwoAnswers() {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/explain?offer=private-lesson&length=60&staff=jonte&day=" + today()));
        assertThat(words()).containsText("Guests have to book 24 hours before");
        page.getByLabel("Asked by").selectOption("desk");
        button("Show").click();
        assertThat(page.locator("#picture")).not().containsText("Notice");
        assertThat(words()).not().containsText("Guests have to book");
        page.navigate(address("/desk/explain?offer=private-lesson&day=2027-01-24&at=0"));
        assertThat(words()).containsText("lies outside");
        words().getByText("Change the hours").first().click();
        assertThat(heading("Hours of")).isAttached();
    }

    @Test
    void onGuestsPagesOnlyHostsFindTheWayToIt() {
        open(true, 1280);
        page.navigate(address("/offers/private-lesson"));
        assertThat(page.locator("#day")).isVisible();
        assertThat(page.getByText("Why?")).hasCount(0);
        signIn();
        page.navigate(address("/offers/private-lesson?party=2&length=90"));
        assertThat(page.locator(".why-slot").first()).isVisible();
        page.locator("a[href^='/desk/explain']:not(.why-slot)").click();
        assertThat(page.locator("#about")).containsText("1 ½ hours · 2 people");
        assertThat(page.url()).contains("/desk/explain");
    }
}
