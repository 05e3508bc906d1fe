package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import gastfreund.app.AllRounds;
import gastfreund.core.openings.Answer;
import java.nio.file.Files;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Each way a user goes, in a real browser with the real application and the real stand-ins. */
class JourneyTest extends Journey {

    @Autowired
    private AllRounds job;

    @Test
    void onATelephoneTheSameTimeIsBookedForSomeWeeks() {
        open(true, 390);
        Answer.Entry entry = opening("private-lesson", "60", 1, 15);
        page.navigate(address("/offers/private-lesson?length=60&day=" + dateOf(entry)));
        page.getByText("The same time every week …").click();
        page.locator("details[open] a.chip").first().click();
        assertThat(heading("The same time again")).isVisible();
        page.getByLabel("3 times").click();
        Locator dates = page.locator("ol.lines li");
        assertThat(dates).hasCount(3);
        assertThat(page).hasURL(Pattern.compile("times=3"));
        dates.last().getByText("leave it out").click();
        assertThat(dates.last()).containsText("take it after all");
        assertThat(page.locator("[data-panel^='out-']").last()).isFocused();
        button("^Keep th").click();
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        assertThat(page.locator(".held").first()).isVisible();
        link("To checkout").click();
        assertThat(page.locator(".cancelling").first()).containsText("What cancelling costs");
    }

    @Test
    void fromAFirstClickToTheBoard() throws Exception {
        open(true, 1280);
        page.navigate(address("/"));
        assertThat(heading("Quillmere Clay House")).isVisible();
        assertThat(page.locator(".offer")).hasCount(11);
        link("A private lesson").click();
        page.waitForLoadState();
        page.evaluate("window.sameDocument = true");
        page.getByLabel("One person more").click();
        link("1 ½ hours").click();
        assertThat(page.getByText("2 people")).isVisible();
        assertThat(link("1 ½ hours")).hasAttribute("aria-current", "true");
        assertThat(page).hasURL(Pattern.compile("party=2&length=90"));
        Locator chosen = page.locator(".ribbon .day[aria-current]");
        String first = chosen.getAttribute("href");
        Locator later = page.locator(".ribbon .day:has(.bar)").nth(6);
        String day = later.getAttribute("href");
        later.click();
        assertThat(chosen).hasAttribute("href", day);
        assertThat(page.evaluate("window.sameDocument")).isEqualTo(true);
        page.goBack();
        assertThat(chosen).hasAttribute("href", first);
        page.goForward();
        assertThat(chosen).hasAttribute("href", day);
        page.locator(".slot").first().click();
        assertThat(page.locator(".held")).containsText(Pattern.compile("1[45]:[0-5][0-9]"));
        link("Add something else").click();
        assertThat(page.locator(".head .kept")).containsText("1 place kept");
        link("Open clay table").click();
        chooseDay(8);
        page.locator(".slot").first().click();
        assertThat(page.locator(".lines > li")).hasCount(2);
        assertThat(page.locator(".ladder")).containsText("To pay by");
        link("To checkout").click();
        button("Book and pay").click();
        assertThat(page.getByText("Please tell us your name.")).isVisible();
        page.getByLabel("Name").fill("Tilde Rehn");
        page.getByLabel("Mail address").fill("tilde@post.example");
        page.getByLabel("Telephone").fill("nobody knows");
        page.getByLabel("Anything we should know?").fill("One of us is left-handed.");
        button("Book and pay").click();
        assertThat(page.getByLabel("Name")).hasValue("Tilde Rehn");
        assertThat(page.getByLabel("Anything we should know?")).hasValue("One of us is left-handed.");
        assertThat(page.getByText("at least six digits")).isVisible();
        assertThat(page.getByText("Please answer this.").first()).isVisible();
        assertThat(page.getByText("Please read it and agree")).isVisible();
        answerAndAgree();
        page.getByLabel("Telephone").fill("+49 30 5550 177");
        button("Book and pay").click();
        payWith("Works");

        assertThat(heading("See you soon, Tilde Rehn")).isVisible();
        Download file = page.waitForDownload(() -> link("Put it in my calendar").click());
        assertThat(Files.readString(file.path())).contains("BEGIN:VEVENT").contains("Open clay table");
        String bookingPage = page.url();
        String order = page.getByText(Pattern.compile("^Order \\d+"))
                .first()
                .textContent()
                .replaceAll("\\D", "");

        page.navigate(STANDINS.address() + "/mail");
        Locator letter = page.locator(".mail li", new Page.LocatorOptions().setHasText("tilde@post.example"));
        Awaitility.await().atMost(Duration.ofSeconds(20)).until(() -> {
            page.reload();
            return letter.count() > 0;
        });
        letter.first().locator("a").click();
        assertThat(page.getByText("booking.ics")).isVisible();
        assertThat(page.frameLocator("iframe").getByText("your places are booked"))
                .isVisible();
        assertThat(page.frameLocator("iframe").getByText("Your booking")).hasAttribute("href", bookingPage);
        assertThat(page.locator(".mail")).containsText("New booking (order " + order + ")");

        signIn();
        link("Orders").click();
        link("^" + order + "$").click();
        assertThat(page.locator("aside")).containsText("received");
        page.locator(".lines a").first().click();
        assertThat(page.locator(".board .selected").first()).isVisible();
        assertThat(heading("Tilde Rehn")).isVisible();
        link("Open the order").click();
        assertThat(heading("Tilde Rehn")).isVisible();
        assertThat(page.locator("main")).containsText("confirmed");
    }

    @Test
    void theWholeWayWithScriptsOff() {
        open(false, 390);
        page.navigate(address("/"));
        link("Open clay table").click();
        page.getByLabel("One person more").click();
        assertThat(page.getByText("2 people")).isVisible();
        page.locator(".ribbon .day:has(.bar)").nth(12).click();
        page.locator(".slot").first().click();
        assertThat(page.locator(".held")).containsText("until");
        fillIn("Selma Quast");
        button("Book and pay").click();
        assertThat(page.getByText("That was very quick.")).isVisible();
        assertThat(page.getByLabel("Name")).hasValue("Selma Quast");
        clock.moveAhead(Duration.ofSeconds(16));
        button("Book and pay").click();
        payWith("Works");
        assertThat(heading("See you soon, Selma Quast")).isVisible();
    }

    @Test
    void onATelephoneWhatIsKeptHasALineOfItsOwnAboveThePage() {
        open(true, 520);
        keepSomething("A private lesson", 1);
        BoundingBox name = page.locator(".head .name").boundingBox();
        assertThat(page.locator(".head .kept").boundingBox().y)
                .as("there would be room for both in one line, until the time that is left is a longer word")
                .isGreaterThanOrEqualTo(name.y + name.height);
    }

    @Test
    void aLineOfTheBasketIsChangedWhereItStands() {
        open(true, 390);
        // Two people must fit in at both times, whatever else is booked.
        Answer.Entry first = opening("clay-table", "120", 2, 18);
        Answer.Entry later = opening("clay-table", "120", 2, 1 + (int) ChronoUnit.DAYS.between(today(), dateOf(first)));
        keepOpening("clay-table", "120", first);
        Locator total = page.locator("dd.total");
        String one = total.textContent();
        page.getByLabel("Change: Open clay table").click();
        page.getByLabel("One person more").click();
        assertThat(page.getByText("2 people")).isVisible();
        assertThat(total).not().hasText(one);
        page.getByLabel("One person less").click();
        assertThat(total).hasText(one);
        link("Another time: Open clay table").click();
        page.waitForLoadState();
        String before = page.locator(".narrow b").first().textContent();
        page.locator(".ribbon .day[data-panel='day-" + dateOf(later) + "']").click();
        page.locator("form:has(input[name=start][value='" + later.time().start() + "']) .slot")
                .click();
        assertThat(page.locator(".lines > li")).hasCount(1);
        assertThat(page.locator(".lines .when")).not().hasText(before);
    }

    @Test
    void anAddOnThatTakesTimeMovesTheEndAndAnEveningOfTheCourseIsKept() {
        open(true, 1280);
        page.navigate(address("/offers/private-lesson"));
        page.waitForLoadState();
        link("Glaze a piece").click();
        assertThat(link("Glaze a piece")).hasAttribute("aria-current", "true");
        assertThat(page).hasURL(Pattern.compile("add=glazing:1"));
        page.locator(".slot").first().click();
        assertThat(page.locator(".lines")).containsText("Glaze a piece");
        link("Add something else").click();
        link("Six evenings").click();
        page.waitForLoadState();
        page.locator(".ribbon .day:not(:has(.bar))").last().click();
        assertThat(page.locator("#panel .note.warn")).containsText("Nothing is planned on this day.");
        page.locator(".ribbon .day:has(.bar)").last().click();
        assertThat(page.locator(".slot")).hasCount(1);
        assertThat(page.locator(".slot")).containsText("18:30");
        page.locator(".slot").click();
        assertThat(page.locator(".lines > li")).hasCount(2);
    }

    @Test
    void aRefusedCardKeepsThePlaceForAnother() {
        open(true, 390);
        keepSomething("Wheel hire", 1);
        checkOut("Levin Horst");
        payWith("Is refused");
        assertThat(heading("The card was refused")).isVisible();
        assertThat(page.getByText("Nothing was charged")).isVisible();
        button("^Pay").click();
        payWith("Asks for a second confirmation");
        button("Yes, pay").click();
        assertThat(heading("See you soon, Levin Horst")).isVisible();
    }

    @Test
    void aBankThatNeverAnswersLosesNobodysMoney() {
        open(true, 1280);
        keepSomething("Wheel hire", 2);
        checkOut("Maike Sundt");
        payWith("Never answers");
        assertThat(heading("We have not heard from the bank yet")).isVisible();
        assertThat(page.getByText("Your places are kept until")).isVisible();
        link("Ask the bank again").click();
        assertThat(heading("We have not heard from the bank yet")).isVisible();
        clock.moveAhead(Duration.ofMinutes(21));
        job.run();
        page.reload();
        assertThat(heading("The time ran out")).isVisible();
        assertThat(page.getByText("Nothing was charged")).isVisible();
        assertThat(page.locator("main form button").first()).isVisible();
    }

    @Test
    void anExpiredHoldOffersTheNearestWithOneClick() {
        open(true, 1280);
        keepSomething("A private lesson", 2);
        clock.moveAhead(Duration.ofMinutes(16));
        page.reload();
        assertThat(page.getByText("The time ran out, and the place is free for others again."))
                .isVisible();
        page.locator(".lines form button").first().click();
        assertThat(page.locator(".held")).hasCount(1);
        assertThat(page.locator(".lines > li")).hasCount(1);
        assertThat(link("To checkout")).isVisible();
    }

    @Test
    void aGuestSeesWhatComesBackAndCancels() {
        open(true, 390);
        keepSomething("Wheel hire", 3);
        checkOut("Ella Wrede");
        payWith("Works");
        link("Cancel this booking").click();
        assertThat(page.locator(".ladder")).containsText("Comes back to you");
        page.getByLabel("Would you tell us why?").fill("The train does not run.");
        button("comes back").click();
        assertThat(page.getByText("Your booking is cancelled.")).isVisible();
        assertThat(heading("Nothing is booked any more")).isVisible();
    }

    @Test
    void aRequestIsAnsweredAtTheDesk() {
        open(true, 1280);
        keepSomething("Kiln firing", 1);
        checkOut("Gunnar Ley");
        payWith("Works");
        assertThat(heading("We have your request, Gunnar Ley")).isVisible();
        String order = page.getByText(Pattern.compile("^Order \\d+"))
                .first()
                .textContent()
                .replaceAll("\\D", "");
        signIn();
        page.navigate(address("/desk/orders/" + order));
        button("Yes, book it and take").click();
        assertThat(page.getByText("It is booked. The guest gets a mail.")).isVisible();
        page.getByText("Cancel …").click();
        page.getByLabel("Comes back").fill("a lot");
        button("Cancel the booking").click();
        assertThat(page.getByText("please write an amount")).isVisible();
        assertThat(page.getByLabel("Comes back")).hasValue("a lot");
        page.getByLabel("Comes back").fill("12.50");
        button("Cancel the booking").click();
        assertThat(page.getByText("The booking is cancelled.")).isVisible();
        assertThat(page.locator("main")).containsText("cancelled");
    }

    /** Beyond the first place the browser works a moment for the next one; nobody notices. */
    @Test
    void aSecondPlaceIsKeptLikeTheFirst() {
        open(true, 1280);
        keepOpening("wheel-hire", "60", opening("wheel-hire", "60", 1, 24));
        link("Add something else").click();
        link("Open clay table").click();
        chooseDay(14);
        page.locator(".slot").first().click();
        assertThat(page.locator(".lines > li")).hasCount(2);
    }

    @Test
    void whoPaysThereConfirmsByALinkInTheMail() {
        open(true, 390);
        keepOpening("wheel-evenings", "150", opening("wheel-evenings", "150", 1, 5));
        button("Pay when I come").click();
        fillIn("Stella Arp");
        button("^Book$").click();
        assertThat(heading("One more step, Stella Arp")).isVisible();
        long order = jdbc.sql("SELECT max(id) FROM orders").query(Long.class).single();
        String text = letters.one(order, "prove").text();
        page.navigate(text.replaceAll("(?s).*(http://\\S+/prove\\?key=\\S+).*", "$1"));
        assertThat(heading("Is this your booking?")).isVisible();
        button("Yes, that is me").click();
        assertThat(heading("See you soon, Stella Arp")).isVisible();
    }

    @Test
    void theDeskTurnsItsDaysByKeyAndLetsGoAgain() {
        open(true, 1280);
        signIn();
        String today = page.locator(".head .name").textContent();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator(".head .name")).not().hasText(today);
        page.waitForLoadState();
        page.keyboard().press("t");
        assertThat(page.locator(".head .name")).hasText(today);
        button("Sign out").click();
        assertThat(page.getByText("You are signed out.")).isVisible();
        page.navigate(address("/desk"));
        assertThat(page.getByLabel("Password")).isVisible();
    }
}
