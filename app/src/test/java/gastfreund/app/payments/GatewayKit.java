package gastfreund.app.payments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.MovableClock;
import gastfreund.app.Standins;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/**
 * What the application relies on of every gateway ({@code docs/gateways.md}). An adapter passes when a class of its own,
 * which says how it is made and how guests pay there, passes.
 */
abstract class GatewayKit {

    static final Standins STANDINS = Standins.running();
    static final Duration PATIENCE = Duration.ofSeconds(5);

    final Clock clock = new MovableClock();

    /** The adapter with keys that are right. */
    abstract Gateway gateway();

    /** The adapter with keys that are wrong. */
    abstract Gateway stranger();

    /** The adapter for an address at which nobody answers. */
    abstract Gateway nobody();

    /** A guest pays. */
    abstract void pay(Gateway gateway, Gateway.Told payment);

    /** A guest tries to pay until the gateway wants no more tries. */
    abstract void refuse(Gateway gateway, Gateway.Told payment);

    static String key() {
        return UUID.randomUUID().toString();
    }

    static GatewayAccount account(GatewayAccount.Kind kind, Map<String, String> keys) {
        return new GatewayAccount(kind, GatewayAccount.Mode.PRACTICE, true, keys);
    }

    private static Gateway.Wish wish(String key, long amount, boolean later, String currency) {
        return new Gateway.Wish(
                key,
                Money.ofMinor(amount),
                later,
                currency,
                "Quillmere Clay House · 1052",
                "1052",
                "http://localhost:9999/bookings/x/paid",
                "http://localhost:9999/payments/practice/notifications");
    }

    private Gateway.Told made(long amount, boolean later) {
        return gateway().create(wish(key(), amount, later, "EUR"));
    }

    private PaymentState state(Gateway.Told payment) {
        return gateway().ask(payment.reference()).state();
    }

    @Test
    void keysAreKnownOrNot() {
        assertThat(gateway().knowsUs()).isTrue();
        assertThat(stranger().knowsUs()).isFalse();
        assertThatThrownBy(() -> nobody().knowsUs()).isInstanceOf(GatewayException.class);
    }

    @Test
    void aWishIsAPaymentOnceHoweverOftenItIsSent() {
        String key = key();
        Gateway.Told made = gateway().create(wish(key, 1800, false, "EUR"));
        assertThat(made.state()).isEqualTo(PaymentState.CREATED);
        assertThat(made.sum()).isEqualTo(new Gateway.Sum(Money.ofMinor(1800), "EUR"));
        assertThat(made.payUrl()).startsWith("http");
        assertThat(made.expires()).isAfter(clock.instant());
        assertThat(made.reason()).isEmpty();
        assertThat(gateway().create(wish(key, 1800, false, "EUR")).reference()).isEqualTo(made.reference());
        assertThat(gateway().create(wish(key(), 1800, false, "EUR")).reference())
                .isNotEqualTo(made.reference());
        assertThat(gateway().ask(made.reference()).sum()).isEqualTo(made.sum());
    }

    @Test
    void amountsAreExactWhateverTheirCurrency() {
        for (String currency : new String[] {"EUR", "JPY", "KWD"}) {
            for (long amount : new long[] {1, 7, 10, 99, 100, 101, 1999, 123_456_789}) {
                Gateway.Told made = gateway().create(wish(key(), amount, false, currency));
                assertThat(made.sum()).isEqualTo(new Gateway.Sum(Money.ofMinor(amount), currency));
            }
        }
    }

    @Test
    void whatIsPaidIsTheHousesAndGoesBackInParts() {
        Gateway.Told payment = made(3400, false);
        pay(gateway(), payment);
        assertThat(state(payment)).isEqualTo(PaymentState.CAPTURED);
        String first = key();
        assertThat(gateway()
                        .refund(first, payment.reference(), Money.ofMinor(1001))
                        .state())
                .isEqualTo(PaymentState.PARTLY_REFUNDED);
        assertThat(gateway()
                        .refund(first, payment.reference(), Money.ofMinor(1001))
                        .state())
                .as("once")
                .isEqualTo(PaymentState.PARTLY_REFUNDED);
        assertThatThrownBy(() -> gateway().refund(key(), payment.reference(), Money.ofMinor(2400)))
                .as("no more than is left")
                .isInstanceOf(GatewayException.class);
        assertThat(gateway()
                        .refund(key(), payment.reference(), Money.ofMinor(2399))
                        .state())
                .isEqualTo(PaymentState.REFUNDED);
        assertThat(gateway().ask(payment.reference()).sum())
                .as("it still is what it was for")
                .isEqualTo(payment.sum());
    }

    @Test
    void whatIsPutAsideIsTakenAndLetGoInParts() {
        assertThat(gateway().authorises()).isTrue();
        Gateway.Told payment = made(5200, true);
        pay(gateway(), payment);
        assertThat(state(payment)).isEqualTo(PaymentState.AUTHORISED);
        String first = key();
        assertThat(gateway()
                        .capture(first, payment.reference(), Money.ofMinor(3000))
                        .state())
                .isEqualTo(PaymentState.CAPTURED);
        gateway().capture(first, payment.reference(), Money.ofMinor(3000));
        assertThatThrownBy(() -> gateway().capture(key(), payment.reference(), Money.ofMinor(2201)))
                .isInstanceOf(GatewayException.class);
        gateway().release(key(), payment.reference(), Money.ofMinor(2200));
        assertThatThrownBy(() -> gateway().capture(key(), payment.reference(), Money.ofMinor(1)))
                .as("nothing is put aside any more")
                .isInstanceOf(GatewayException.class);
        gateway().refund(key(), payment.reference(), Money.ofMinor(3000));
        assertThatThrownBy(() -> gateway().refund(key(), payment.reference(), Money.ofMinor(1)))
                .isInstanceOf(GatewayException.class);
    }

    @Test
    void whatIsPutAsideCanBeLetGoWhole() {
        Gateway.Told payment = made(5200, true);
        pay(gateway(), payment);
        assertThat(gateway()
                        .release(key(), payment.reference(), Money.ofMinor(5200))
                        .state())
                .isEqualTo(PaymentState.VOIDED);
    }

    @Test
    void whatNobodyPaidIsGivenUpAndCannotBePaidAnyMore() {
        Gateway.Told payment = made(1800, false);
        assertThat(gateway().cancel(key(), payment.reference()).state())
                .isIn(PaymentState.VOIDED, PaymentState.EXPIRED);
        assertThat(state(payment)).isIn(PaymentState.VOIDED, PaymentState.EXPIRED);
        Gateway.Told paid = made(1800, false);
        pay(gateway(), paid);
        assertThatThrownBy(() -> gateway().cancel(key(), paid.reference())).isInstanceOf(GatewayException.class);
        assertThat(state(paid)).isEqualTo(PaymentState.CAPTURED);
    }

    @Test
    void whatIsRefusedSaysWhy() {
        Gateway.Told payment = made(1800, false);
        refuse(gateway(), payment);
        Gateway.Told told = gateway().ask(payment.reference());
        assertThat(told.state()).isEqualTo(PaymentState.FAILED);
        assertThat(told.reason()).isNotBlank();
    }

    @Test
    void whatIsNotTheHousesIsRefused() {
        assertThatThrownBy(() -> gateway().ask("nothing")).isInstanceOf(GatewayException.class);
        assertThatThrownBy(() -> stranger().create(wish(key(), 1800, false, "EUR")))
                .isInstanceOf(GatewayException.class);
        assertThatThrownBy(() -> nobody().ask("nothing")).isInstanceOf(GatewayException.class);
        assertThatThrownBy(() -> gateway().read("1", "00", "{}"))
                .as("nobody tells in its name")
                .isInstanceOf(GatewayException.class);
    }
}
