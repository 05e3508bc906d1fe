package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.openings.Answer;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** The house at the desk: who it is, its looks and languages, its codes; and what guests see of it. */
class HouseDeskTest extends Journey {

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void nothingBegun() {
        transaction.executeWithoutResult(t -> jdbc.sql("DELETE FROM drafts").update());
    }

    private Locator field(String member) {
        return page.locator("[name='" + member + "']");
    }

    private void keep() {
        button("Keep these changes").click();
        assertThat(page.getByText("It is kept")).isVisible();
    }

    @Test
    void whoTheHouseIsAndHowItLooksIsWhatGuestsSee() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house"));
        link("Who we are").click();
        field("extra/phone").fill("+49 30 5550 123");
        field("extra/about").fill("# Since the mill stopped\n\nWe **throw**.");
        assertThat(page.locator("#effect")).containsText("+49 30 5550 123");
        field("extra/email").fill("nobody");
        button("Keep these changes").click();
        assertThat(page.getByText("This is not a mail address")
                        .or(page.getByText("mail address"))
                        .first())
                .isVisible();
        assertThat(field("extra/email")).hasValue("nobody");
        field("extra/email").fill("hello@quillmere.example");
        keep();
        link("Looks").click();
        field("extra/look/colour").fill("#ffd700");
        assertThat(page.locator("#box-colour-")).containsText("too light");
        field("extra/look/colour").fill("#2f6f5e");
        assertThat(page.locator(".samples svg")).hasCount(2);
        assertThat(page.locator("#box-colour-")).not().containsText("too light");
        field("extra/look/font").selectOption("book");
        keep();
        page.navigate(address("/"));
        assertThat(page.getByText("+49 30 5550 123")).isVisible();
        assertThat(heading("Since the mill stopped")).isVisible();
        assertThat(page.evaluate("getComputedStyle(document.documentElement).getPropertyValue('--clay').trim()"))
                .isEqualTo("#2f6f5e");
        assertThat((String) page.evaluate("getComputedStyle(document.body).fontFamily"))
                .contains("Georgia");
    }

    @Test
    void aLogoIsADrawingThatIsOnlyShapesAndGuestsSeeIt() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house/about"));
        drawing("<script>alert(1)</script>");
        assertThat(page.locator("[id='picture-extra/logo']")).containsText("There is more in this drawing");
        drawing("");
        keep();
        page.navigate(address("/"));
        assertThat(page.locator("header img.logo")).isVisible();
    }

    private void drawing(String more) {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 40 40'><circle cx='20' cy='20' r='18'/>"
                + more + "</svg>";
        Locator logo = page.locator("[id='picture-extra/logo']");
        logo.locator("input[type=file]")
                .setInputFiles(new FilePayload("a.svg", "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8)));
        logo.locator("button").first().click();
    }

    @Test
    void aGuestReadsTheLanguageOfTheirBrowserOrTheOneTheyChoose() {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/house/texts"));
        link("Wheel hire").click();
        field("extra/in/de/title").fill("Scheibe mieten");
        keep();
        page.navigate(address("/"));
        assertThat(page.getByText("Wheel hire").first()).isVisible();
        link("Deutsch").click();
        assertThat(link("Scheibe mieten")).isVisible();
        assertThat(page.locator("html")).hasAttribute("lang", "de");
        link("Scheibe mieten").click();
        assertThat(heading("Scheibe mieten")).isVisible();
        assertThat(page.getByText("A wheel of your own")).isVisible();
        link("English").click();
        assertThat(heading("Wheel hire")).isVisible();
        page.navigate(address("/desk/house/about?tab=speech"));
        page.locator("[name='others/de']").uncheck();
        keep();
        page.navigate(address("/?language=de"));
        assertThat(page.locator("html")).hasAttribute("lang", "en");
        assertThat(link("Deutsch")).hasCount(0);
        page.navigate(address("/desk/house/about?tab=speech"));
        page.locator("[name='others/de']").check();
        field("extra/clock").selectOption("12");
        keep();
        page.navigate(address("/offers/wheel-hire"));
        assertThat(page.locator(".slots").first()).containsText(Pattern.compile("\\d\\s?(AM|PM|am|pm)"));
        page.navigate(address("/desk/house/about?tab=speech"));
        field("extra/clock").selectOption("24");
        keep();
    }

    @Test
    void aCodeIsMadeUsedAsOftenAsAGuestCanAndSaysWhatItBrought() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/codes"));
        page.getByLabel("Code", new Page.GetByLabelOptions().setExact(true)).fill("MUGS");
        button("Begin with this").click();
        field("worth").fill("3.00");
        field("extra/perGuest").fill("1");
        page.getByLabel("Wheel hire").check();
        keep();
        for (int i = 0; i < 2; i++) {
            Answer.Entry entry = opening("wheel-hire", "60", 1, 25 + i);
            keepOpening("wheel-hire", "60", entry);
            page.getByLabel("Promo code").fill("mugs");
            button("Use it").click();
            assertThat(page.getByText("The code is used.")).isVisible();
            fillIn("Ida Holm");
            button("^(Book|Keep|Order)").click();
            if (i == 1) {
                assertThat(page.locator("main")).containsText("as often as one guest can");
                assertThat(page.getByLabel("Name")).hasValue("Ida Holm");
            } else {
                assertThat(page).hasURL(Pattern.compile("/bookings/|/pay/"));
            }
        }
        page.navigate(address("/desk/codes?search=mugs"));
        assertThat(page.getByText("1 order for")).isVisible();
        page.getByLabel("What they begin with").fill("club-");
        page.getByLabel("How many").fill("7");
        button("Make these codes").click();
        assertThat(page.locator("ul.rows li")).hasCount(7);
        assertThat(catalogues.catalogue().promoCodes().keySet().stream().filter(c -> c.startsWith("club-")))
                .hasSize(7)
                .allMatch(c -> c.length() == "club-".length() + 8);
        page.getByLabel("How many").fill("many");
        button("Make these codes").click();
        assertThat(page.getByText("These codes could not be made")).isVisible();
        assertThat(page.getByLabel("How many")).hasValue("many");
    }
}
