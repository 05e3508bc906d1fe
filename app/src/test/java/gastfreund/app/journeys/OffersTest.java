package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PriceRule;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Offers, set at the desk in sentences, beside what a guest sees of them. */
class OffersTest extends Journey {

    private static final AddOnId CLAY = new AddOnId("clay");
    private static final AddOnId APRON = new AddOnId("apron");
    private static final Locator.DragToOptions TO_ITS_TOP = new Locator.DragToOptions().setTargetPosition(30, 2);

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
        assertThat(page.locator(".offer h3").nth(1)).hasText(second);
        page.navigate(address("/desk/offers"));
        page.getByLabel("Find an offer").fill("firing");
        button("Find").click();
        assertThat(titles).hasCount(1);
        assertThat(first).isNotEqualTo(second);
        assertThat(page.getByRole(AriaRole.LIST).first()).isVisible();
    }

    @Test
    void aTimetableComesAgainByARuleWithoutADateAndManyDatesAreMadeAtOnce() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers"));
        page.getByLabel("What do people book?").fill("Kiln evenings");
        page.getByLabel("It has dates of its own").check();
        button("Begin with this").click();
        field("lengths/length-1/minutes").fill("2 hours");
        field("lengths/length-1/price").fill("30");
        assertThat(effect()).containsText("Kiln evenings");
        link("Dates").click();
        field("timetable/0/repeat").selectOption("fortnight");
        field("timetable/0/times").fill("4");
        Locator without = page.locator("[id='box-ticks-0-timetable/0-without'] input");
        assertThat(without).hasCount(4);
        without.nth(1).check();
        field("timetable/0/time").fill("half past");
        assertThat(page.getByText("This cannot be read.").first()).isVisible();
        field("timetable/0/time").fill("18:30");
        keep();
        Offer made = offer("kiln-evenings");
        assertThat(made.entries()).hasSize(1);
        assertThat(made.entries().get(0).times().between(today(), today().plusYears(1)))
                .hasSize(3);
        page.getByLabel("Wed").last().check();
        page.getByLabel("Sat").last().check();
        field("many/from").fill("10:00");
        field("many/to").fill("12:00");
        field("many/seats").fill("2");
        button("Make these dates").click();
        assertThat(page.locator("[id^='box-timetable/6']").first()).isVisible();
        keep();
        assertThat(offer("kiln-evenings").entries()).hasSize(7);
        assertThat(offer("kiln-evenings").entries().get(6).seats()).hasValue(2);
        field("many/from").fill("never");
        page.getByLabel("Wed").last().check();
        button("Make these dates").click();
        assertThat(page.getByText("These dates could not be made.")).isVisible();
    }

    @Test
    void sentencesAreDraggedIntoOrder() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers/wheel-hire?tab=money"));
        page.waitForLoadState();
        assertThat(offer("wheel-hire").addOns()).extracting(AddOn::id).containsExactly(CLAY, APRON);
        page.locator("[data-moves='addOns/apron']").dragTo(page.locator("[id='box-addOns/clay']"), TO_ITS_TOP);
        page.waitForLoadState();
        assertThat(page.locator("[data-moves]").first()).hasAttribute("data-moves", "addOns/apron");
        keep();
        assertThat(offer("wheel-hire").addOns()).extracting(AddOn::id).containsExactly(APRON, CLAY);
        page.navigate(address("/desk/offers/wheel-hire/prices"));
        page.waitForLoadState();
        List<PriceRule> rules = offer("wheel-hire").priceRules();
        page.locator("[data-moves='priceRules/1']").dragTo(page.locator("#part-rule-0 h2"), TO_ITS_TOP);
        page.waitForLoadState();
        button("Keep these prices").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(offer("wheel-hire").priceRules()).containsExactly(rules.get(1), rules.get(0));
    }

    @Test
    void pricesAreSeenInAWeekWithTheRulesThatMakeThem() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/offers/clay-table"));
        link("Its prices, and when").click();
        page.waitForLoadState();
        page.locator(".price-grid a.cell").nth(2).hover();
        assertThat(page.locator("#chosen")).containsText("It costs");
        String hovered = page.locator("#chosen h2").textContent();
        page.locator(".price-grid a.cell").nth(4).focus();
        assertThat(page.locator("#chosen h2")).not().hasText(hovered);
        int rules = offer("clay-table").priceRules().size();
        link("the week after").click();
        button("Another rule").click();
        String rule = "priceRules/" + rules + "/";
        field(rule + "by").fill("50 %");
        field(rule + "how").selectOption("shareMore");
        page.getByLabel("Sun").last().uncheck();
        page.getByLabel("Sat").last().uncheck();
        for (String day : new String[] {"Tue", "Wed", "Thu", "Fri"}) {
            page.getByLabel(day).last().check();
        }
        // The days that were taken out have gone, too, before one of those that stay is clicked.
        assertThat(page.locator(".price-grid tr:has(th:has-text('Sat')) .changed"))
                .hasCount(0);
        assertThat(page.locator(".price-grid tr:has(th:has-text('Sun')) .changed"))
                .hasCount(0);
        assertThat(page.locator(".price-grid .changed").first()).isVisible();
        page.locator(".price-grid .changed").first().click();
        page.waitForLoadState();
        assertThat(page.locator("#chosen")).containsText("Rule " + (rules + 1));
        assertThat(page.locator("#chosen")).containsText("It costs");
        field(rule + "by").fill("a lot");
        button("Keep these prices").click();
        assertThat(field(rule + "by")).hasValue("a lot");
        field(rule + "by").fill("25 %");
        button("Keep these prices").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(offer("clay-table").priceRules()).hasSize(rules + 1);
        page.getByLabel("Take it away").last().click();
        button("Keep these prices").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(offer("clay-table").priceRules()).hasSize(rules);
    }

    /** The address of a week of prices in which one start is looked at. */
    private static final Pattern CHOSEN = Pattern.compile("[?&]at=");

    /** A rule on its way of which the week shows something. */
    private String rule() {
        page.navigate(address("/desk/offers/clay-table"));
        link("Its prices, and when").click();
        page.waitForLoadState();
        String rule = "priceRules/" + offer("clay-table").priceRules().size() + "/";
        button("Another rule").click();
        field(rule + "by").fill("50 %");
        assertThat(page.locator(".price-grid .changed").first()).isVisible();
        return rule;
    }

    /** The rule is changed once more, and what says so is held on its way. */
    private Route changedAndHeld(String rule) {
        List<Route> held = new ArrayList<>();
        page.route("**/clay-table/prices**", route -> {
            String said = route.request().postData();
            if (said != null && said.contains("by=30+%25")) {
                held.add(route);
            } else {
                route.resume();
            }
        });
        field(rule + "by").fill("30 %");
        page.waitForCondition(() -> !held.isEmpty());
        return held.get(0);
    }

    /** What was held goes on, and is answered. */
    private void answered(Route held) {
        page.waitForResponse(r -> r.url().contains("week=&fragment=") && r.status() == 200, held::resume)
                .finished();
        page.unroute("**/clay-table/prices**");
    }

    @Test
    void aClickIsNotLostWhereAnAnswerComesMeanwhile() {
        open(true, 1280);
        signIn();
        String rule = rule();
        Route held = changedAndHeld(rule);
        List<String> loaded = new ArrayList<>();
        page.onRequest(r -> {
            if (r.isNavigationRequest()) {
                loaded.add(r.method() + " " + r.url());
            }
        });
        page.locator(".price-grid a.cell").nth(3).hover();
        page.mouse().down();
        answered(held);
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => setTimeout(done, 0)))");
        page.mouse().up();
        page.waitForURL(CHOSEN);
        assertThat(field(rule + "by")).hasValue(Pattern.compile("30.%"));
        assertThat(loaded).singleElement().asString().startsWith("GET ").containsPattern(CHOSEN);
    }

    @Test
    void whoHasTheFocusOnATimeOfTheWeekKeepsItWhereAnAnswerComes() {
        open(true, 1280);
        signIn();
        String rule = rule();
        Route held = changedAndHeld(rule);
        Locator time = page.locator(".price-grid a.cell.changed").first();
        String before = time.innerText();
        time.focus();
        page.evaluate("() => { window.same = true; }");
        answered(held);
        assertThat(time).not().hasText(before);
        assertThat(time).isFocused();
        assertThat(page.evaluate("() => window.same")).isEqualTo(true);
    }

    @Test
    void whoFollowsALinkRightAfterAChangeTakesItAlong() {
        open(true, 1280);
        signIn();
        String rule = rule();
        field(rule + "by").fill("30 %");
        page.locator(".price-grid a.cell").nth(3).click();
        page.waitForURL(CHOSEN);
        assertThat(field(rule + "by")).hasValue(Pattern.compile("30.%"));
    }
}
