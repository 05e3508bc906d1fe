package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What a host does with orders at the desk, and what guests do after they have booked. */
class DeskTest extends Journey {

    @Test
    void aHostMovesABookingTakesMoneyOnTheSpotAndSaysNo() {
        open(true, 1280);
        keepSomething("A private lesson", 3);
        checkOut("Freya Holt");
        payWith("Works");
        assertThat(heading("See you soon, Freya Holt")).isVisible();
        signIn();
        page.navigate(address("/desk/orders"));
        page.locator("main table a").first().click();
        assertThat(heading("Freya Holt")).isVisible();
        page.getByText("Paid on the spot").click();
        button("It was paid").click();
        assertThat(page.getByText("The payment is noted.")).isVisible();

        link("Move to another time").click();
        chooseDay(8);
        page.locator(".slot").first().click();
        assertThat(heading("Move it here?")).isVisible();
        button("^Move it").click();
        assertThat(page.getByText("The booking is moved.")).isVisible();
    }

    @Test
    void aGuestBuysAVoucherAndPaysWithIt() {
        open(true, 390);
        page.navigate(address("/"));
        link("A voucher").click();
        page.locator("#amount-free").check();
        page.locator("input.amount").fill("3");
        button("Put it into the basket").click();
        assertThat(page.getByText(Pattern.compile("Please write an amount from 10")))
                .isVisible();
        page.locator("input.amount").fill("120");
        button("Put it into the basket").click();
        fillIn("Ella Wrede");
        button("Buy and pay").click();
        payWith("Works");
        assertThat(heading("Thank you, Ella Wrede")).isVisible();
        String code = page.locator("article .figures").textContent();

        keepSomething("A private lesson", 3);
        page.getByLabel("Promo code, voucher or pass").fill(code.toLowerCase());
        button("Use it").click();
        assertThat(page.locator("dd.due")).hasText(Pattern.compile("^0[.]00"));
        fillIn("Ella Wrede");
        button("^Book$").click();
        assertThat(heading("See you soon, Ella Wrede")).isVisible();
        signIn();
        page.navigate(address("/desk/orders"));
        assertThat(page.locator("main tbody tr").nth(1)).containsText("A voucher");
    }

    @Test
    void aGuestPaysTheRestAndChangesTheirDetails() {
        open(true, 390);
        keepSomething("A private lesson", 3);
        checkOut("Minna Fahl");
        payWith("Works");
        button("^Pay the .* that are left").click();
        payWith("Works");
        assertThat(heading("See you soon, Minna Fahl")).isVisible();
        assertThat(button("^Pay the .* that are left")).hasCount(0);
        link("Change my details").click();
        assertThat(page.getByLabel("None yet").first()).isChecked();
        page.getByLabel("Regularly").first().check();
        page.getByLabel("Name").fill("Minna Fahl-Lind");
        button("Keep these details").click();
        assertThat(heading("See you soon, Minna Fahl-Lind")).isVisible();
        link("Change my details").click();
        assertThat(page.getByLabel("Regularly").first()).isChecked();
    }

    @Test
    void theOwnerLooksAtAGuestsPageTakesTheirDataOutAndForgetsThem() throws IOException {
        open(true, 1280);
        keepSomething("Wheel hire", 2);
        checkOut("Jonna Ebel");
        payWith("Works");
        assertThat(heading("See you soon, Jonna Ebel")).isVisible();
        signIn();
        page.navigate(address("/desk/orders"));
        page.locator("main table a").first().click();
        link("The guest\u2019s page").click();
        assertThat(page.getByText("This is what the guest sees")).isVisible();
        assertThat(link("Cancel this booking")).hasCount(0);
        link("Back to the order").click();
        page.navigate(address("/desk/guests/data"));
        page.getByLabel("Mail address").fill("nobody@post.example");
        button("^Find").click();
        assertThat(page.getByText("The house has nothing of this address.")).isVisible();
        page.getByLabel("Mail address").fill("jonna.ebel@post.example");
        button("^Find").click();
        Download file = page.waitForDownload(() -> button("Take it out").click());
        org.assertj.core.api.Assertions.assertThat(Files.readString(file.path()))
                .contains("Jonna Ebel", "wheel-hire");
        page.locator("summary", new Page.LocatorOptions().setHasText("Forget this guest"))
                .click();
        button("Forget this guest").last().click();
        assertThat(page.getByText("Something is still to come")).isVisible();
    }

    @Test
    void aHostChangesTheirPasswordAndSeesWhoSignedIn() {
        open(true, 1280);
        signIn();
        link("My sign-in").click();
        page.getByLabel("The old one").fill("wrong");
        page.getByLabel("The new one").fill("seven red bricks");
        button("Change it").click();
        assertThat(page.getByText("That is not the old password.")).isVisible();
        button("End all others").click();
        assertThat(page.getByText("All other sessions have ended.")).isVisible();
        link("Who signed in").click();
        assertThat(page.locator("main table")).containsText("ended the other sessions");
    }

    @Test
    void aHostSaysNoToARequest() {
        open(true, 1280);
        keepSomething("Kiln firing", 4);
        checkOut("Gunnar Ley");
        payWith("Works");
        assertThat(heading("We have your request, Gunnar Ley")).isVisible();
        signIn();
        page.navigate(address("/desk/orders"));
        page.locator("main table a").first().click();
        assertThat(heading("Gunnar Ley")).isVisible();
        page.locator("summary", new Page.LocatorOptions().setHasText("No …")).click();
        page.getByLabel("Why").first().fill("The kiln is being mended.");
        button("Decline the request").click();
        assertThat(page.getByText("The request is declined.")).isVisible();
    }

    @Test
    void aHostGivesMoneyBackAndTheGuestIsNotAskedForItAgain() {
        open(true, 1280);
        keepSomething("Wheel hire", 3);
        checkOut("Ivo Tamm");
        payWith("Works");
        assertThat(heading("See you soon, Ivo Tamm")).isVisible();
        String booking = page.url().replace("/paid", "");
        signIn();
        page.navigate(address("/desk/orders"));
        page.locator("main table a").first().click();
        page.getByText("Give money back").click();
        page.getByLabel(Pattern.compile("^Amount, at most")).fill("999");
        button("Give it back").click();
        assertThat(page.getByText("Nothing was done")).isVisible();
        assertThat(page.getByLabel(Pattern.compile("^Amount, at most"))).hasValue("999");
        page.getByLabel(Pattern.compile("^Amount, at most")).fill("3");
        page.getByLabel("Why").first().fill("no apron left");
        button("Give it back").click();
        assertThat(page.getByText("The money goes back.")).isVisible();
        assertThat(page.getByText("money given back: no apron left")).isVisible();
        assertThat(page.locator("aside dl")).containsText("Given back3.00");
        page.navigate(booking);
        assertThat(page.getByText("Given back")).isVisible();
        assertThat(button("^Pay")).hasCount(0);
    }
}
