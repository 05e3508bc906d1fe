package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.secondfactor.Codes;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Somebody is invited by mail, chooses a password, comes in as what they are, and takes a second factor. */
class InvitationTest extends Journey {

    private static final Pattern LINK = Pattern.compile("http\\S+/desk/invitation/\\S+");

    private void signInAs(String email, String password, String code) {
        page.navigate(address("/desk/sign-in"));
        page.getByLabel("Mail address").fill(email);
        page.getByLabel("Password").fill(password);
        page.getByLabel("Code").fill(code);
        button("Sign in").click();
    }

    private void signOut() {
        button("Sign out").click();
        assertThat(page.getByText("You are signed out.")).isVisible();
    }

    @Test
    void fromAnInvitationToTheFirstOwnSignInAndASecondFactor() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/hosts"));
        page.getByLabel("Mail address").fill("nobody");
        button("Invite").click();
        assertThat(page.getByText("Please write your mail address.")).isVisible();
        page.getByLabel("Mail address").fill("jonte@post.example");
        page.locator("#invite-role").selectOption("staff");
        page.locator("#invite-person").selectOption("jonte");
        button("Invite").click();
        assertThat(page.getByText("The letter with the link is on its way.")).isVisible();
        assertThat(page.getByText("jonte@post.example")).isVisible();
        signOut();

        Matcher link = LINK.matcher(letters.to("jonte@post.example").get(0).text());
        assertThat(link.find()).isTrue();
        page.navigate(address(link.group().substring(link.group().indexOf("/desk"))));
        String invitation = page.url();
        page.getByLabel("Your name").fill("Jonte");
        page.getByLabel("Password").fill("short");
        button("Come in").click();
        assertThat(page.getByText("Please choose a password of 12 to 200 characters."))
                .isVisible();
        assertThat(page.getByLabel("Your name")).hasValue("Jonte");
        page.getByLabel("Password").fill("bowls and more bowls");
        button("Come in").click();
        assertThat(page.getByText("You can sign in now.")).isVisible();
        page.navigate(invitation);
        assertThat(page.getByText("This invitation is good no more.")).isVisible();

        signInAs("jonte@post.example", "bowls and more bowls", "");
        assertThat(link("Board")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("House")))
                .hasCount(0);
        page.navigate(address("/desk/hosts"));
        assertThat(heading("This is not for you to see")).isVisible();
        forgive("403");

        page.navigate(address("/desk/account"));
        link("Look at it").click();
        String secret = page.locator(".secret").textContent();
        page.getByLabel("Code").fill("000000");
        button("Turn it on").click();
        assertThat(page.getByText("That code is not right")).isVisible();
        assertThat(page.locator(".secret")).hasText(secret);
        page.getByLabel("Code").fill(Codes.now(secret, clock));
        button("Turn it on").click();
        assertThat(page.locator(".spare li")).hasCount(10);
        String spare = page.locator(".spare li").first().textContent();
        signOut();
        signInAs("jonte@post.example", "bowls and more bowls", "");
        assertThat(page.getByText("do not fit together")).isVisible();
        signInAs("jonte@post.example", "bowls and more bowls", spare);
        assertThat(link("Board")).isVisible();
        signOut();
        signInAs("jonte@post.example", "bowls and more bowls", spare);
        assertThat(page.getByText("do not fit together")).isVisible();
        clock.moveAhead(Duration.ofSeconds(31));
        signInAs("jonte@post.example", "bowls and more bowls", Codes.now(secret, clock));
        assertThat(link("Board")).isVisible();

        theOwnerEndsTheSessionOf("jonte@post.example");
        page.navigate(address("/desk"));
        assertThat(page.getByText("The session has ended.")).isVisible();
    }

    private void theOwnerEndsTheSessionOf(String email) {
        Page their = page;
        page = page.context()
                .browser()
                .newContext(new Browser.NewContextOptions()
                        .setLocale("en-GB")
                        .setExtraHTTPHeaders(Map.of(FROM, somebody())))
                .newPage();
        signIn();
        page.navigate(address("/desk/hosts"));
        page.locator(".host", new Page.LocatorOptions().setHasText(email))
                .locator(".session button")
                .first()
                .click();
        assertThat(page.getByText("The session has ended.")).isVisible();
        page.context().close();
        page = their;
    }
}
