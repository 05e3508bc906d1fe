package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The host says in sentences how the house stands on other websites, and sees it there. */
class SharingDeskTest extends Journey {

    private Locator field(String name) {
        return page.locator("#one [name='" + name + "']");
    }

    private Locator pick(String words) {
        return page.locator(".picks label").filter(new Locator.FilterOptions().setHasText(words));
    }

    private FrameLocator preview() {
        return page.frameLocator("#preview iframe");
    }

    private FrameLocator panel() {
        return preview().frameLocator("gastfreund-panel iframe");
    }

    @Test
    void whatIsSaidIsSeenInAPageAndStandsInTheLines() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house"));
        link("On your own website").click();
        assertThat(panel().locator(".offer h3").first()).isVisible();
        field("what").selectOption("offer:clay-table");
        assertThat(page.locator("#code")).containsText("offer=\"clay-table\"");
        assertThat(panel().locator("h1")).hasText("Open clay table");
        field("party").selectOption("2");
        assertThat(page.locator("#code")).containsText("party=\"2\"");
        assertThat(panel().getByText("2 people").first()).isVisible();
        field("accent").fill("#ffee00");
        assertThat(page.locator("#box-looks")).containsText("too light");
        field("accent").fill("#2d6a4f");
        assertThat(page.locator("#box-looks")).containsText("readable");
        field("from").fill("Gift Ideas");
        assertThat(page.locator("#code")).containsText("from=\"giftideas\"");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Green");
        button("Keep this look").click();
        assertThat(page.getByText("The look is kept.")).isVisible();
        assertThat(page.locator("#code")).containsText("look=\"Green\"");
        assertThat(page.locator("#code")).containsText("offer=\"clay-table\"");
        assertThat(panel().locator("h1")).isVisible();
        assertThat(panel().locator(":root").evaluate("r => getComputedStyle(r).getPropertyValue('--clay').trim()"))
                .isEqualTo("#2d6a4f");
    }

    /** What is typed beside the sentences is not theirs: an answer to them may come while it is typed, and after. */
    @Test
    void whatIsTypedBesideTheSentencesStaysWhileTheyAreAnswered() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house/sharing?what=offer:clay-table"));
        page.waitForLoadState();
        Locator name = page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true));
        Pattern answers = Pattern.compile("/desk/house/sharing[?]");
        List<Route> held = held(answers);
        page.evaluate("() => { window.same = true; }");
        field("accent").fill("#2d6a4f");
        page.waitForCondition(() -> !held.isEmpty());
        name.pressSequentially("Grn");
        page.keyboard().press("ArrowLeft");
        held.get(0).resume();
        assertThat(page.locator("#code")).containsText("accent=\"#2d6a4f\"");
        assertThat(name).isFocused();
        page.keyboard().type("ee");
        assertThat(name).hasValue("Green");
        page.unroute(answers);
        field("accent").fill("#8a4b2d");
        assertThat(page.locator("#code")).containsText("accent=\"#8a4b2d\"");
        assertThat(name).hasValue("Green");
        assertThat(page.evaluate("() => window.same")).isEqualTo(true);
        button("Keep this look").click();
        assertThat(page.getByText("The look is kept.")).isVisible();
        assertThat(panel().locator(":root").evaluate("r => getComputedStyle(r).getPropertyValue('--clay').trim()"))
                .isEqualTo("#8a4b2d");
    }

    @Test
    void itIsSeenFromAButtonInTheDarkAndWithoutScripts() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house/sharing?what=offer:wheel-hire"));
        pick("from a button").click();
        Locator opens = preview().getByRole(AriaRole.BUTTON);
        opens.click();
        assertThat(panel().locator("h1")).hasText("Wheel hire");
        pick("dark").click();
        assertThat(preview().locator("body")).hasClass(Pattern.compile("dark"));
        pick("without scripts").click();
        assertThat(preview().getByRole(AriaRole.LINK, new FrameLocator.GetByRoleOptions().setName("Book: Wheel hire")))
                .isVisible();
        pick("390").click();
        assertThat(opens).isVisible();
        Number wide = (Number) page.locator("#preview iframe").evaluate("f => f.getBoundingClientRect().width");
        assertThat(wide.intValue()).isEqualTo(390);
        assertThat(page).hasURL(Pattern.compile("shown=narrow"));
    }

    @Test
    void withoutScriptsEverythingIsSaidAndSent() {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/house/sharing?from=gazette"));
        field("what").selectOption("offer:firing");
        page.locator("#one").evaluate("f => f.requestSubmit()");
        assertThat(page.locator("#code")).containsText("offer=\"firing\"");
        page.getByText("Send it to whoever makes my website").click();
        page.getByLabel("Their mail address").fill("webs@gazette.example");
        button("Send it").click();
        assertThat(page.getByText("The lines are on their way.")).isVisible();
        assertThat(page.locator("#code")).containsText("from=\"gazette\"");
        assertThat(letters.to("webs@gazette.example")).hasSize(1);
    }
}
