package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A guest's way into their account: by a link without scripts, by a passkey of their device. */
class AccountTest extends Journey {

    private String mailed(String email) {
        Matcher link = Pattern.compile("/account/link/[\\w-]+")
                .matcher(letters.to(email).get(0).text());
        if (!link.find()) {
            throw new IllegalStateException("no link");
        }
        return link.group();
    }

    private void getIn(String email) {
        page.navigate(address("/account"));
        page.locator("#link-email").fill(email);
        button("Send me the link").click();
        assertThat(page.getByText("A mail is on its way")).isVisible();
        page.navigate(address(mailed(email)));
        button("Get in").click();
        assertThat(heading("Your account")).isVisible();
    }

    @Test
    void aLinkDoesWithoutScripts() {
        open(false, 390);
        String email = "noscript." + somebody() + "@post.example";
        getIn(email);
        assertThat(page.getByText("Make a passkey")).hasCount(0);
        page.getByText("Leave the account").click();
        assertThat(page.getByText("You are out.")).isVisible();
    }

    @ParameterizedTest
    @ValueSource(ints = {390, 1280})
    void aPasskeyOpensItAndNoneOfAnotherDevice(int width) {
        open(true, width);
        CDPSession device = page.context().newCDPSession(page);
        device.send("WebAuthn.enable");
        JsonObject options = new JsonObject();
        Map.of(
                        "hasResidentKey", true,
                        "hasUserVerification", true,
                        "isUserVerified", true,
                        "automaticPresenceSimulation", true)
                .forEach(options::addProperty);
        options.addProperty("protocol", "ctap2");
        options.addProperty("transport", "internal");
        JsonObject authenticator = new JsonObject();
        authenticator.add("options", options);
        String id = device.send("WebAuthn.addVirtualAuthenticator", authenticator)
                .get("authenticatorId")
                .getAsString();

        String email = "passkey." + somebody() + "@post.example";
        getIn(email);
        assertThat(faultsHere()).isEmpty();
        page.locator("main a", new Page.LocatorOptions().setHasText("How you get in"))
                .click();
        page.getByLabel("What to call it").fill("my telephone");
        button("Make a passkey").click();
        assertThat(page.getByText("The passkey is there.")).isVisible();
        assertThat(page.getByText("my telephone", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(faultsHere()).isEmpty();
        assertThat(letters.to(email)).anyMatch(l -> l.text().contains("a passkey was made"));

        page.getByText("Back to your account").click();
        page.getByText("Leave the account").click();
        button("Use a passkey").click();
        page.waitForURL("**/account");
        assertThat(page.getByText(email).first()).isVisible();

        page.getByText("Leave the account").click();
        JsonObject which = new JsonObject();
        which.addProperty("authenticatorId", id);
        device.send("WebAuthn.clearCredentials", which);
        button("Use a passkey").click();
        assertThat(page.getByText("That did not work.")).isVisible();
    }

    private List<String> faultsHere() {
        page.locator("details").all().forEach(d -> d.evaluate("d => d.open = true"));
        return Accessibility.faults(page);
    }
}
