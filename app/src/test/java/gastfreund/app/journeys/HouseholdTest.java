package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import gastfreund.app.catalogue.CatalogueService;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
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

    @Test
    void aPersonHasAPictureThatGuestsSeeAndAHouseSaysHowFarItGoes() throws IOException {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/house/staff/jonte"));
        button("Use this picture").click();
        assertThat(page.getByText("Please choose a picture first.")).isVisible();
        page.getByLabel("A picture from this device")
                .setInputFiles(new FilePayload("a.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
        button("Use this picture").click();
        assertThat(page.getByText("This cannot be read as a picture.")).isVisible();
        ByteArrayOutputStream drawn = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(900, 700, BufferedImage.TYPE_INT_RGB), "png", drawn);
        page.getByLabel("A picture from this device")
                .setInputFiles(new FilePayload("a.png", "image/png", drawn.toByteArray()));
        button("Use this picture").click();
        assertThat(page.locator("#effect")).containsText("Picture: another one");
        page.navigate(address("/offers/private-lesson"));
        assertThat(page.locator("img.face")).hasCount(0);
        page.navigate(address("/desk/house/staff/jonte"));
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();
        page.navigate(address("/offers/private-lesson"));
        assertThat((int) page.locator("img.face").evaluate("i => i.naturalWidth"))
                .isEqualTo(320);
        page.navigate(address("/desk/house/staff/jonte"));
        button("Without a picture").click();
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();

        page.navigate(address("/desk/house/places/at-yours"));
        page.getByLabel("For each kilometre beyond").fill("cheap");
        page.getByLabel("How far").fill("7");
        page.getByLabel("The way is measured from").selectOption("");
        button("Keep this").click();
        assertThat(page.getByLabel("For each kilometre beyond")).hasValue("cheap");
        assertThat(page.getByText("Please write an amount").first()).isVisible();
        page.getByLabel("For each kilometre beyond").fill("2.50");
        button("Keep this").click();
        assertThat(page.getByText("Please choose from where the way is measured")
                        .first())
                .isVisible();
        page.getByLabel("The way is measured from").selectOption("Mill Yard");
        button("Keep this").click();
        assertThat(page.getByText("It is kept")).isVisible();
        page.navigate(address("/offers/clay-visit"));
        assertThat(page.getByText("as far as 7 km from Mill Yard")).isVisible();
    }
}
