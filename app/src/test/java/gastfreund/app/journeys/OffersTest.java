package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Offer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Offers, set at the desk in sentences, beside what a guest sees of them. */
class OffersTest extends Journey {

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void nothingBegun() {
        transaction.executeWithoutResult(t -> jdbc.sql("DELETE FROM drafts").update());
    }

    private Offer offer(String id) {
        return catalogues.catalogue().offer(new OfferId(id));
    }

    private Locator field(String member) {
        return page.locator("[name='" + member + "']");
    }

    private Locator effect() {
        return page.locator("#effect");
    }

    private void keep() {
        button("Keep these changes").click();
        assertThat(page.getByText("It is kept")).isVisible();
    }

    @Test
    void whatIsTypedIsSeenAsAGuestSeesItWithWhatItDoesAndCountsWhenItIsKept() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers/private-lesson"));
        page.waitForLoadState();
        field("lengths/120/price").fill("99,50");
        assertThat(effect()).containsText("96.00 € → 99.50 €");
        field("reset").fill("1 h 15 min");
        assertThat(effect()).containsText("20 min → 1 h 15 min");
        assertThat(page.locator("#box-around-")).containsText("This costs");
        field("prep").fill("soon");
        assertThat(page.locator("#box-around-")).containsText("This cannot be read.");
        button("Keep these changes").click();
        assertThat(field("prep")).hasValue("soon");
        field("prep").fill("10 min");
        field("party/max").fill("3");
        page.getByLabel("Okka").check();
        assertThat(page.locator("#panel")).containsText("at most 3");
        assertThat(page.locator("#panel")).containsText("Okka");
        page.locator("#panel").getByText("2 hours").click();
        assertThat(page.locator("#panel [aria-current=true]").first()).containsText("2 hours");
        assertThat(page).hasURL(java.util.regex.Pattern.compile("/desk/offers/private-lesson"));
        keep();
        assertThat(offer("private-lesson").reset().count()).isEqualTo(75);
        assertThat(offer("private-lesson").party().max()).isEqualTo(3);
        page.navigate(address("/offers/private-lesson?length=120"));
        assertThat(link("Okka")).isVisible();
        page.navigate(address("/desk/offers/private-lesson"));
        page.getByText("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();
        assertThat(offer("private-lesson").reset().count()).isEqualTo(20);
    }

    @Test
    void theTermsAreALadderWhoseKnotsAreMovedByKeysAndTyped() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers/wheel-hire?tab=money"));
        page.waitForLoadState();
        int before = offer("wheel-hire").terms().tiers().size();
        button("Another step").click();
        Locator tiers = page.locator("[id^='box-terms/cancel/']");
        assertThat(tiers).hasCount(before + 1);
        field("terms/cancel/" + before + "/hoursBefore").fill("5 days");
        field("terms/cancel/" + before + "/keep").fill("10 %");
        Locator knot = page.locator("[data-knot='terms/cancel/" + before + "/hoursBefore']");
        assertThat(knot).hasAttribute("aria-valuetext", "5 days before");
        knot.focus();
        page.keyboard().press("ArrowLeft");
        assertThat(knot).hasAttribute("aria-valuetext", "7 days before");
        field("terms/cancel/" + before + "/keep").fill("a bit");
        assertThat(page.getByText("This cannot be read.").first()).isVisible();
        field("terms/cancel/" + before + "/keep").fill("5.00");
        assertThat(page.getByText("This cannot be read.")).hasCount(0);
        keep();
        assertThat(offer("wheel-hire").terms().tiers()).anyMatch(t -> t.hoursBefore() == 168);
        field("payment/when").selectOption("deposit");
        assertThat(field("payment/deposit")).hasValue("30\u00a0%");
        field("payment/deposit").fill("4.00");
        keep();
        assertThat(offer("wheel-hire").payment().deposit()).isNotNull();
    }

    @Test
    void somethingNewBeginsFromWhatHappensAndIsBookedByAGuest() {
        open(false, 1280);
        signIn();
        page.navigate(address("/desk/offers"));
        page.getByLabel("What do people book?").fill("Glaze tasting");
        page.getByLabel("Several share a session").check();
        button("Begin with this").click();
        assertThat(page).hasURL(address("/desk/offers/glaze-tasting"));
        field("lengths/length-1/price").fill("12");
        field("seats").fill("5");
        button("Keep these changes").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(offer("glaze-tasting").sharing().seats()).isEqualTo(5);
        page.navigate(address("/desk/offers/glaze-tasting?tab=what"));
        field("extra/listing").selectOption("off");
        button("Keep these changes").click();
        assertThat(page.navigate(address("/offers/glaze-tasting")).status()).isEqualTo(404);
        forgive("404");
        page.navigate(address("/desk/offers/glaze-tasting?tab=what"));
        field("extra/listing").selectOption("link");
        button("Keep these changes").click();
        page.navigate(address("/"));
        assertThat(page.getByText("Glaze tasting")).hasCount(0);
        page.navigate(address("/offers/glaze-tasting"));
        page.locator("button.slot").first().click();
        assertThat(page.getByText("Glaze tasting").first()).isVisible();
        page.navigate(address("/desk/offers/glaze-tasting"));
        assertThat(button("Delete it")).hasCount(0);
        button("Another one like it").click();
        assertThat(heading("Glaze tasting, once more").first()).isAttached();
    }

    @Test
    void theListIsOrderedByKeysAndByDragging() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers"));
        Locator titles = page.locator(".ordered > li b span:first-child");
        String first = titles.first().textContent();
        String second = titles.nth(1).textContent();
        page.getByLabel("Move “" + second + "” up").click();
        assertThat(titles.first()).hasText(second);
        page.locator(".ordered > li")
                .nth(2)
                .dragTo(page.locator(".ordered > li").first(), new Locator.DragToOptions().setTargetPosition(20, 3));
        assertThat(titles.nth(1)).hasText(second);
        page.navigate(address("/"));
        assertThat(page.locator(".offer h2").nth(1)).hasText(second);
        page.navigate(address("/desk/offers"));
        page.getByLabel("Find an offer").fill("kiln");
        button("Find").click();
        assertThat(titles).hasCount(1);
        assertThat(first).isNotEqualTo(second);
        assertThat(page.getByRole(AriaRole.LIST).first()).isVisible();
    }
}
