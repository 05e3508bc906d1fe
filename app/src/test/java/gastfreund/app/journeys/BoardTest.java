package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A host's morning at the board. */
class BoardTest extends Journey {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private Answer.Entry openingOfMira(int daysAhead) {
        LocalDate from = LocalDate.ofInstant(clock.instant(), BERLIN).plusDays(daysAhead);
        return openings.next(Query.of(new OfferId("private-lesson"), from, from, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withStaff(new StaffId("mira")))
                .orElseThrow();
    }

    /** Books it with Mira, and opens its day on the board; the block. */
    private Locator booked(int daysAhead, String name) {
        Answer.Entry entry = openingOfMira(daysAhead);
        page.navigate(address("/offers/private-lesson?length=60&staff=mira&day=" + dateOf(entry)));
        page.locator("form:has(input[name=start][value='" + entry.time().start() + "']) .slot")
                .click();
        checkOut(name);
        payWith("Works");
        assertThat(heading("See you soon")).isVisible();
        page.navigate(address("/desk?day=" + dateOf(entry)));
        return block(name);
    }

    private Locator block(String name) {
        return page.locator(".board a[data-booking]", new Page.LocatorOptions().setHasText(name.split(" ")[0]))
                .first();
    }

    private Locator tip() {
        return page.locator("[data-tip]");
    }

    private void grab(Locator block) {
        BoundingBox box = block.locator(".block").boundingBox();
        page.mouse().move(box.x + 10, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 30, box.y + box.height / 2);
        assertThat(page.locator(".board .lit").first()).isAttached();
    }

    private void over(Locator lane, double part) {
        BoundingBox box = lane.boundingBox();
        page.mouse()
                .move(
                        box.x + box.width * part,
                        box.y + box.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
    }

    @Test
    void aBlockIsDraggedToWhereItCanBeAndTakenBack() {
        open(true, 1280);
        signIn();
        Locator block = booked(12, "Nele Dorn");
        String from = block.getAttribute("data-from");
        String said = block.getAttribute("data-said");
        grab(block);
        // A place that is free: the first light stretch of Jonte's lane.
        Locator lit = page.locator("[data-lane='person:jonte'] .lit").first();
        BoundingBox box = lit.boundingBox();
        page.mouse().move(box.x + 12, box.y + 40);
        assertThat(tip()).containsText(Pattern.compile("Jonte, \\d+:\\d\\d–\\d+:\\d\\d: free"));
        page.mouse().up();
        assertThat(page.locator("dialog")).containsText("with Jonte");
        button("Move it").click();
        assertThat(page.getByText("For 20 seconds no letter goes out")).isVisible();
        assertThat(page.locator("[data-lane='person:jonte'] a[data-booking]:has-text('Nele')"))
                .hasCount(1);
        button("Take it back").click();
        assertThat(page.getByText("It is back where it was")).isVisible();
        assertThat(block("Nele Dorn")).hasAttribute("data-from", from);
        assertThat(block("Nele Dorn")).hasAttribute("data-said", said);
    }

    @Test
    void aBlockIsMadeLongerByItsEdgeAndByKeysAlone() {
        open(true, 1280);
        signIn();
        Locator block = booked(22, "Hauke Fenn");
        long from = Long.parseLong(block.getAttribute("data-from"));
        BoundingBox box = block.locator(".block").boundingBox();
        page.mouse().move(box.x + box.width - 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width + 12, box.y + box.height / 2);
        assertThat(page.locator(".board .lit").first()).isAttached();
        page.mouse().move(box.x + box.width * 1.5, box.y + box.height / 2);
        assertThat(tip()).containsText("Mira, ");
        page.mouse().up();
        assertThat(page.locator("dialog")).containsText("74.00");
        button("Move it").click();
        assertThat(block("Hauke Fenn")).hasAttribute("data-to", Long.toString(from + 90));
        block("Hauke Fenn").focus();
        page.keyboard().press("l");
        assertThat(page.locator(".board .ghost")).isAttached();
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("Enter");
        assertThat(page.locator("dialog")).containsText("52.00");
        page.keyboard().press("Enter");
        assertThat(block("Hauke Fenn")).hasAttribute("data-to", Long.toString(from + 60));
    }

    @Test
    void aReasonAgainstItIsSaidAndTheHostMayOverruleIt() {
        open(true, 1280);
        signIn();
        Locator block = booked(13, "Ruth Amsel");
        grab(block);
        over(page.locator("[data-lane='person:mira']"), 0.985);
        assertThat(tip()).containsText("only with a clash");
        assertThat(tip()).containsText("This lies outside.");
        over(page.locator("[data-lane='thing:kiln'], [data-lane^='thing:']").first(), 0.5);
        assertThat(tip()).containsText("not here");
        page.keyboard().press("Escape");
        assertThat(page.locator(".board .lit")).hasCount(0);
        page.mouse().up();
        grab(block("Ruth Amsel"));
        over(page.locator("[data-lane='person:mira']"), 0.985);
        assertThat(tip()).containsText("only with a clash");
        page.mouse().up();
        assertThat(page.locator("dialog")).containsText("This stands against it.");
        button("Move it").click();
        assertThat(page.locator("#board-side")).containsText("1 no longer fits");
        assertThat(page.locator(".board a:has(.clash)")).hasCount(1);
    }

    @Test
    void keysAloneDoTheSame() {
        open(true, 1280);
        signIn();
        Locator block = booked(14, "Pia Moll");
        String from = block.getAttribute("data-from");
        block.focus();
        page.keyboard().press("m");
        assertThat(page.locator(".ghost")).hasCount(1);
        page.keyboard().press("ArrowDown");
        assertThat(tip()).containsText("Jonte");
        page.keyboard().press("ArrowUp");
        assertThat(tip()).containsText("Mira");
        for (int i = 0; i < 8 || i < 60 && page.locator(".ghost.free").count() == 0; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.url()).contains("/desk");
        page.keyboard().press("Enter");
        assertThat(page.locator("dialog")).isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByText("For 20 seconds no letter goes out")).isVisible();
        org.assertj.core.api.Assertions.assertThat(block("Pia Moll").getAttribute("data-from"))
                .isNotEqualTo(from);
    }

    @Test
    void whatHappensElsewhereIsSeenWithinFiveSeconds() {
        open(true, 1280);
        signIn();
        Answer.Entry entry = openingOfMira(15);
        page.navigate(address("/desk?day=" + dateOf(entry)));
        assertThat(block("Gerda Falk")).hasCount(0);
        Locator lane = page.locator("#board a[href]").first();
        lane.focus();
        page.evaluate("() => { window.focused = document.activeElement; }");
        Page other = page.context().newPage();
        Page board = page;
        page = other;
        page.navigate(address("/offers/private-lesson?length=60&staff=mira&day=" + dateOf(entry)));
        page.locator("form:has(input[name=start][value='" + entry.time().start() + "']) .slot")
                .click();
        checkOut("Gerda Falk");
        payWith("Works");
        assertThat(heading("See you soon")).isVisible();
        page = board;
        assertThat(block("Gerda Falk")).hasCount(1);
        assertThat(lane).isFocused();
        org.assertj.core.api.Assertions.assertThat(page.evaluate("() => window.focused.isConnected"))
                .as("it is another one, drawn anew")
                .isEqualTo(false);
        other.close();
    }

    @Test
    void aGuestOnTheTelephoneIsBookedAndPaysByALink() {
        open(true, 1280);
        signIn();
        Answer.Entry entry = openingOfMira(16);
        page.navigate(address("/desk?day=" + dateOf(entry)));
        page.keyboard().press("n");
        page.waitForURL("**/desk/book**");
        page.getByLabel("Offer").selectOption("private-lesson");
        assertThat(page.locator("#chosen")).containsText("Held until");
        page.getByLabel("Name").fill("Greta");
        assertThat(page.locator("#found-guests li").first()).containsText("Greta Mohl");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Mail address")).hasValue("greta.mohl@post.example");
        page.getByLabel("by a link in a mail").check();
        button("^Book it").last().click();
        assertThat(page.getByText("It is booked.")).isVisible();
        assertThat(page.locator("#board-side")).containsText("Greta Mohl");
        String token = jdbc.sql("SELECT token FROM orders WHERE source = 'telephone' ORDER BY id DESC LIMIT 1")
                .query(String.class)
                .single();
        page.navigate(address("/bookings/" + token));
        button("^Pay").first().click();
        payWith("Works");
        assertThat(page.locator("main")).containsText("Greta Mohl");
        page.navigate(address("/desk?day=" + dateOf(entry)));
        assertThat(page.locator(".board a[data-booking]:has-text('Greta')").last())
                .containsText("paid");
    }

    @Test
    void somebodyWhoWalksInIsBookedByTwoKeys() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk"));
        page.keyboard().press("w");
        page.waitForURL("**/desk/book**");
        page.getByLabel("Name").focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("It is booked.")).isVisible();
        assertThat(page.locator("#board-side")).containsText("Walk-in");
        assertThat(page.locator("#board-side")).not().containsText("To pay");
    }

    @Test
    void whatIsLookedForStaysInTheAddressAndTheWeekKeepsItsHeads() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk"));
        link("^week$").click();
        page.getByLabel("State").selectOption("requested");
        page.waitForURL("**state=requested**");
        assertThat(page.url())
                .contains("span=7", "day=" + LocalDate.ofInstant(clock.instant(), BERLIN))
                .doesNotContain("offer=");
        page.locator(".board-scroll").evaluate("e => { e.scrollLeft = 600; }");
        assertThat(page.locator(".board .whose").first()).isInViewport();
        page.locator(".board-scroll").evaluate("e => { e.scrollTop = 300; }");
        assertThat(page.locator(".board .times")).isInViewport();
    }
}
