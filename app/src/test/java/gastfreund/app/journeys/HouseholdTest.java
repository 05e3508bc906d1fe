package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import gastfreund.app.catalogue.CatalogueService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** People, things and places, set by their owner: made, changed, served, retired, deleted and undone. */
class HouseholdTest extends Journey {

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void nothingBegun() {
        transaction.executeWithoutResult(t -> jdbc.sql("DELETE FROM drafts").update());
    }

    @Test
    void somebodyNewIsMadeServesAndIsSeenByGuestsWithTheirOwnPrice() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house"));
        page.getByLabel("Somebody new").fill("Lune Äberg");
        page.locator("form:has(#add-staff) button").click();
        assertThat(page).hasURL(address("/desk/house/staff/lune-aberg"));
        page.getByLabel("Some words").fill("Teaches slow and low.");
        page.getByLabel("Mail address for letters").fill("not an address");
        assertThat(page.getByText("Please write a mail address.").first()).isVisible();
        button("Keep this").click();
        assertThat(page.getByLabel("Mail address for letters")).hasValue("not an address");
        assertThat(page.getByText("Please write a mail address.").first()).isVisible();
        page.getByLabel("Mail address for letters").fill("lune@post.example");
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();

        page.getByLabel("A private lesson at the wheel").check();
        assertThat(page.locator("#effect")).containsText("Who serves");
        page.locator("#box-serves-private-lesson summary").click();
        page.getByLabel("1 hour").first().fill("a lot");
        assertThat(page.getByText("Please write an amount, as 26.00.").first()).isVisible();
        page.getByLabel("1 hour").first().fill("61.50");
        assertThat(page.locator("#effect")).containsText("61.50 €");
        assertThat(page.locator("#effect .gains")).containsText("A private lesson");
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();

        page.navigate(address("/offers/private-lesson?length=60"));
        link("Lune Äberg").click();
        assertThat(page.getByText("Teaches slow and low.")).isVisible();
        assertThat(link("Lune Äberg")).containsText("61.50");

        page.navigate(address("/desk/house/staff/lune-aberg"));
        assertThat(page.getByText("named in an offer, and can be retired")).isVisible();
        page.getByLabel("A private lesson at the wheel").uncheck();
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();
        button("Delete it").click();
        assertThat(page.getByText("It is deleted.")).isVisible();
        link("What was changed, by whom").click();
        assertThat(page.locator(".lines > li").first()).containsText("Lune Äberg is deleted.");
        page.locator(".lines > li").first().getByText("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();
        page.navigate(address("/desk/house/staff/lune-aberg"));
        assertThat(page.getByLabel("Some words")).hasValue("Teaches slow and low.");
    }

    @Test
    void whoHasBookingsAheadIsRetiredWithAWordAndComesBack() {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/house/staff/mira"));
        assertThat(page.getByText("bookings with Mira lie ahead. They stay")).isVisible();
        assertThat(page.getByText("“Glaze advice call” cannot be booked any more without Mira."))
                .isVisible();
        assertThat(button("Delete it")).hasCount(0);
        button("Retire").click();
        assertThat(page.getByText("It is kept")).isVisible();
        page.navigate(address("/offers/private-lesson"));
        assertThat(page.getByText("Jonte").first()).isVisible();
        assertThat(page.getByText("Mira")).hasCount(0);
        page.navigate(address("/desk/house"));
        page.getByText("No longer: 1").click();
        page.locator("main")
                .getByText("Mira", new Locator.GetByTextOptions().setExact(true))
                .click();
        button("Offer it again").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(catalogues.catalogue().house().retired().staff()).isEmpty();
    }

    @Test
    void aPlaceIsWhatItsKindWantsAndWhoGetsItIsSaid() {
        open(true, 390);
        signIn();
        page.navigate(address("/desk/house/places/harbour-loft"));
        page.waitForLoadState();
        page.getByLabel("Address", new Page.GetByLabelOptions().setExact(true)).fill("Harbour Street 11\nQuillmere");
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();
        page.navigate(address("/offers/private-lesson?place=harbour-loft"));
        assertThat(page.locator("a[href^='geo:0,0?q=Harbour%20Street%2011%20Quillmere']"))
                .isVisible();

        page.navigate(address("/desk/house/places/online"));
        page.waitForLoadState();
        page.getByText("by telephone").click();
        assertThat(page.getByText("Who calls")).isVisible();
        page.getByText("the guest calls us").click();
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();
        page.navigate(address("/offers/glaze-call"));
        assertThat(page.getByText("You call us at the time.")).isVisible();
        page.navigate(address("/desk/house/places/online"));
        button("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();

        page.navigate(address("/desk/house"));
        page.getByLabel("Open clay table").selectOption("order");
        page.locator("form:has(#assign-clay-table) button").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(page.getByLabel("Open clay table")).hasValue("order");
    }
}
