package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;

/** What a host does through the day beside the board: answers, takes money, writes, and stands in for somebody who is ill. */
class DeskDayTest extends Journey {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private Answer.Entry booked(int daysAhead, String name) {
        LocalDate from = LocalDate.ofInstant(clock.instant(), BERLIN).plusDays(daysAhead);
        Answer.Entry entry = openings.next(Query.of(new OfferId("private-lesson"), from, from, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withStaff(new StaffId("mira")))
                .orElseThrow();
        page.navigate(address("/offers/private-lesson?length=60&staff=mira&day=" + dateOf(entry)));
        page.locator("form:has(input[name=start][value='" + entry.time().start() + "']) .slot")
                .click();
        checkOut(name);
        payWith("Works");
        assertThat(heading("See you soon")).isVisible();
        return entry;
    }

    @Test
    void whatWaitsIsAnsweredByKeysAndAYesSaysWhatBecomesOfTheOther() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/waits"));
        Locator both = page.locator(".contest.several [data-waiting]");
        assertThat(both).hasCount(2);
        both.first().focus();
        page.keyboard().press("ArrowDown");
        assertThat(both.last()).isFocused();
        page.keyboard().press("y");
        Locator words = both.last().getByLabel("A line to the guest").first();
        assertThat(words).isFocused();
        assertThat(both.last()).containsText("Freya Holt");
        words.fill("Have your recipe at hand.");
        page.keyboard().press("Enter");
        assertThat(page.getByText("It is booked. The guest gets a mail.")).isVisible();
        assertThat(page.locator("[data-waiting]:has-text('Freya Holt')")).hasCount(0);
        assertThat(page.locator("[data-waiting]:has-text('Nora Brandt')")).hasCount(0);
    }

    @Test
    void fromTheBoardItIsNotedThatTheyCameWhatTheyPaidAndTheyAreWrittenTo() {
        open(true, 1280);
        Answer.Entry entry = booked(2, "Edda Brahm");
        clock.moveAhead(
                Duration.between(clock.instant(), entry.time().startInstant()).plusMinutes(5));
        signIn();
        page.navigate(address("/desk?day=" + dateOf(entry)));
        page.locator(".board a[data-said*='Edda Brahm']").click();
        Locator side = page.locator("#board-side");
        side.getByText("They are here").click();
        assertThat(page.getByText("It is noted.")).isVisible();
        assertThat(side).containsText("They are here");
        side.getByText("Paid on the spot …").click();
        side.getByLabel("Given (for the change)").fill("100.00");
        side.getByText("It was paid").click();
        assertThat(page.getByText("Change to give: 63.60")).isVisible();
        side.getByText("Write …").click();
        side.getByLabel("To Edda Brahm").fill("Your bowl is drying.");
        String version = page.locator("[data-version]").getAttribute("data-version");
        keep("wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 9).time().start());
        assertThat(page.locator("[data-version]")).not().hasAttribute("data-version", version);
        assertThat(side.getByLabel("To Edda Brahm")).hasValue("Your bowl is drying.");
        side.getByText("Send it").click();
        assertThat(page.getByText("It is on its way.")).isVisible();
        assertThat(side.locator(".talk")).containsText("Your bowl is drying.");
        page.navigate(address("/desk/till"));
        assertThat(page.locator("main")).containsText("in cash");
        page.getByText("Hand it over …").click();
        page.getByLabel("Amount").first().fill("36.40");
        page.getByLabel("To whom").fill("Okka");
        page.getByText("It is handed over").click();
        assertThat(page.locator("main")).containsText("Handed over: Okka");
    }

    @Test
    void somebodyIsIllAndEachOfTheirGuestsIsSeenTo() {
        open(true, 1280);
        Answer.Entry entry = booked(16, "Greta Holm");
        signIn();
        page.navigate(address("/desk/several?person=mira&day=" + dateOf(entry)));
        Locator row = page.locator("tr:has-text('Greta Holm')");
        row.locator("select").selectOption("cancel");
        page.getByLabel("What the guests read").fill("Mira is ill.");
        page.getByLabel("Keep the whole day free").check();
        button("Look what it does").click();
        Locator would = page.locator("section[role=status]");
        assertThat(would).containsText("Greta Holm");
        assertThat(would).containsText("15.60");
        assertThat(would).containsText("The whole day is kept free.");
        button("Do it").click();
        assertThat(page.getByText("It is done.")).isVisible();
        assertThat(page.locator("tr:has-text('Greta Holm')")).hasCount(0);
        page.navigate(address("/desk?day=" + dateOf(entry)));
        assertThat(page.locator("[data-lane='person:mira'] .word").first()).hasText("away");
    }
}
