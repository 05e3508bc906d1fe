package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** How far it is, asked in the panel: the times stay where they are, and the address is written once. */
class WayInPanelTest extends Journey {

    @Test
    void theWayIsAskedForInThePanelAndTheAddressIsThereAgainLater() {
        open(true, 390);
        page.navigate(address("/offers/clay-visit?party=4"));
        page.getByText("Do you come to me").click();
        page.getByLabel("Your address").fill("Saltmarsh Road 10, Ebbing");
        button("See how far it is").click();
        assertThat(page.getByText("That is 9.2 km away. We come, and the way costs 6.00\u00a0€."))
                .isVisible();
        assertThat(Accessibility.faults(page)).isEmpty();
        page.locator(".slot").first().click();
        page.waitForURL("**/basket/**");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("checkout"))
                .or(page.locator("main a[href$='/checkout']"))
                .first()
                .click();
        page.waitForURL("**/where");
        assertThat(page.getByLabel("Your address")).hasValue("Saltmarsh Road 10, Ebbing");
    }

    @Test
    void withoutScriptsItHasAPageOfItsOwn() {
        open(false, 390);
        page.navigate(address("/offers/clay-visit?party=4"));
        page.getByText("Do you come to me").click();
        page.getByLabel("Your address").fill("Tide Lane 3");
        button("See how far it is").click();
        assertThat(page.getByText("That is 2.2 km away.")).isVisible();
        page.getByText("To the times").click();
        assertThat(page.locator(".slot").first()).isVisible();
    }
}
