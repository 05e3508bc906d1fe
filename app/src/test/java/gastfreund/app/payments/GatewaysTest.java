package gastfreund.app.payments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import gastfreund.app.DemoHouseTest;
import gastfreund.core.money.Money;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** The house's accounts at gateways, in practice and live, with their own keys. */
class GatewaysTest extends DemoHouseTest {

    private static final GatewayAccount.Kind CARD = GatewayAccount.Kind.CARD;

    @Autowired
    private Gateways gateways;

    @Autowired
    private PaymentSteps steps;

    @Autowired
    private TransactionTemplate transaction;

    @AfterEach
    void backToPractice() {
        gateways.keep(gateways.account(CARD, GatewayAccount.Mode.PRACTICE).switched(true));
    }

    private GatewayAccount live(String key) {
        return new GatewayAccount(
                CARD,
                GatewayAccount.Mode.LIVE,
                true,
                Map.of("url", STANDINS.address(), "key", key, "secret", "live-secret"));
    }

    private String bought(String card, int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        get(pay(order(basket, "Jens Okoro", "jens@post.example"), card));
        return jdbc.sql("SELECT gateway || ' ' || state FROM payments ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
    }

    @Test
    void keysLieEncrypted() {
        gateways.keep(live("live-key"));
        String kept = jdbc.sql("SELECT keys FROM gateways WHERE mode = 'live' AND kind = 'card'")
                .query(String.class)
                .single();
        assertThat(kept).doesNotContain("live-key").doesNotContain("secret").doesNotContain("http");
        assertThat(gateways.account(CARD, GatewayAccount.Mode.LIVE).key("key")).isEqualTo("live-key");
    }

    @Test
    void oneModeAtATimeAndOldPaymentsGoBackToTheAccountThatTookThem() {
        assertThat(bought("WORKS", 14)).isEqualTo("practice-card captured");
        String before = jdbc.sql("SELECT id FROM payments ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
        gateways.keep(live("live-key"));
        assertThat(gateways.offered()).extracting(Gateway::name).containsExactly("card");
        assertThat(bought("TWICE", 15)).isEqualTo("card captured");
        long order = jdbc.sql("SELECT order_id FROM payments WHERE id = ?")
                .param(before)
                .query(Long.class)
                .single();
        String booking = jdbc.sql("SELECT booking FROM order_lines WHERE order_id = ?")
                .param(order)
                .query(String.class)
                .single();
        transaction.executeWithoutResult(t -> steps.refund(order, booking, Money.ofMinor(100), ""));
        await().untilAsserted(() -> assertThat(jdbc.sql("SELECT refunded FROM payments WHERE id = ?")
                        .param(before)
                        .query(Long.class)
                        .single())
                .isEqualTo(100));
    }

    @Test
    void keysAreTriedBeforeTheyAreKept() {
        assertThat(((CardGateway) gateways.of(live("live-key"))).knowsUs()).isTrue();
        assertThat(((CardGateway) gateways.of(live("guessed"))).knowsUs()).isFalse();
        GatewayAccount nowhere = new GatewayAccount(
                CARD, GatewayAccount.Mode.LIVE, true, Map.of("url", "http://localhost:1", "key", "k", "secret", "s"));
        assertThatThrownBy(() -> ((CardGateway) gateways.of(nowhere)).knowsUs()).isInstanceOf(GatewayException.class);
    }

    @Test
    void aSecretThatIsLeftEmptyStays() {
        AccountForm form = AccountForm.of(
                live("live-key"), true, Map.of("url", "https://gateway.example", "key", " ", "secret", "new"));
        assertThat(form.errors()).isEmpty();
        assertThat(form.account().keys())
                .containsEntry("key", "live-key")
                .containsEntry("secret", "new")
                .containsEntry("url", "https://gateway.example");
    }

    @ParameterizedTest
    @CsvSource({
        "url, http://gateway.example",
        "url, nowhere",
        "url, https://gateway.example?a=b",
        "iban, DE02120300000000202052",
        "iban, DE0212030000000020205",
        "days, 0",
        "days, 31",
        "days, soon",
        "holder, ''"
    })
    void whatIsWrongIsSaidAtItsField(String key, String value) {
        Map<String, String> right = Map.of(
                "url",
                "https://gateway.example",
                "key",
                "k",
                "secret",
                "s",
                "holder",
                "Quillmere Clay House",
                "iban",
                "DE02 1203 0000 0000 2020 51",
                "bank",
                "",
                "days",
                "7");
        Map<String, String> written = new HashMap<>(right);
        written.put(key, value);
        GatewayAccount.Kind kind = CARD.keys().contains(key) ? CARD : GatewayAccount.Kind.TRANSFER;
        GatewayAccount empty = new GatewayAccount(kind, GatewayAccount.Mode.LIVE, false, Map.of());
        assertThat(AccountForm.of(empty, true, right).errors()).isEmpty();
        assertThat(AccountForm.of(empty, true, written).errors()).containsOnlyKeys(key);
    }
}
