package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Gateways;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Ways to pay, switched on by the owner, chosen by guests, and what the host does with the money. */
class PayingTest extends Journey {

    @Autowired
    private Gateways gateways;

    @Test
    void theOwnerSwitchesOnTransfersAGuestChoosesOneAndTheHostMarksItAsReceived() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/ways"));
        Locator live = page.locator("#transfer");
        live.getByText("Keys and switch").click();
        live.getByLabel("Account holder").fill("Quillmere Clay House");
        live.getByLabel("IBAN").fill("DE02 1203 0000 0000 2020 52");
        live.getByLabel("Days to pay").fill("5");
        live.getByLabel("Guests can choose it").check();
        live.getByText("Try and keep").click();
        assertThat(live.getByText("This is no IBAN")).isVisible();
        assertThat(live.getByLabel("Account holder")).hasValue("Quillmere Clay House");
        live.getByLabel("IBAN").fill("DE02 1203 0000 0000 2020 51");
        live.getByText("Try and keep").click();
        assertThat(live.getByText("Guests can choose it, and real money moves."))
                .isVisible();
        try {
            keepSomething("Wheel hire", 4);
            fillIn("Thea Karsten");
            page.getByLabel("By bank transfer").check();
            button("Book and pay").click();
            assertThat(heading("We wait for your transfer")).isVisible();
            String reference = page.locator(".answers b").textContent();
            page.navigate(address("/desk/payments"));
            button("It has come: " + reference).click();
            assertThat(page.getByText("The transfer is taken in.")).isVisible();
            page.navigate(address("/desk/orders"));
            page.locator("main table a").first().click();
            assertThat(page.getByText("confirmed").first()).isVisible();

            page.getByText("Give money back").click();
            page.getByLabel(Pattern.compile("^Amount, at most")).fill("5.00");
            button("Give it back").click();
            assertThat(page.getByText("The money goes back.")).isVisible();
            page.navigate(address("/desk/payments"));
            assertThat(page.getByText("to Thea Karsten")).isVisible();
            button("It is sent").click();
            assertThat(page.getByText("The refund is noted as sent.")).isVisible();
        } finally {
            gateways.keep(gateways.account(GatewayAccount.Kind.TRANSFER, GatewayAccount.Mode.LIVE)
                    .switched(false));
        }
    }
}
