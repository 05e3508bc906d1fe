package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.Currency;
import org.jspecify.annotations.Nullable;

/** A place where payments are made, as the application sees it. */
public interface Gateway {

    /** The house's own access to it. */
    GatewayAccount account();

    /** Its name in tables and addresses. */
    default String name() {
        return account().name();
    }

    /** Whether it can put money aside, to be taken or released later. */
    default boolean authorises() {
        return account().kind() != GatewayAccount.Kind.TRANSFER;
    }

    /**
     * Whether it is there and knows the house's keys; they are tried before they are kept.
     *
     * @throws GatewayException where it cannot be reached
     */
    default boolean knowsUs() {
        return true;
    }

    /** Whether guests pay with a token that they type on the house's own page, and not on a page of the gateway. */
    default boolean takesTokens() {
        return false;
    }

    /**
     * Pays with a guest's token, which is kept nowhere.
     *
     * @return what the gateway says: still open, with a reason, where it does not take the token but would take another
     * @throws GatewayException where it cannot be reached, or takes none
     */
    default Told pay(String key, String reference, String token) {
        throw new GatewayException("it takes no tokens");
    }

    /** Whether money comes by transfer to the house's bank account. */
    default boolean isTransfer() {
        return account().kind() == GatewayAccount.Kind.TRANSFER;
    }

    /** How long a guest has to pay, where that is known before. */
    Duration within();

    /**
     * What a payment is asked for.
     *
     * @param key names this wish: the same key twice makes one payment
     * @param captureLater whether the amount is only authorised, to be captured or released later
     * @param currency ISO 4217
     * @param label the order's number
     * @param returnTo where the guest comes back to
     * @param notifyAt where the gateway tells the outcome
     */
    record Wish(
            String key,
            Money amount,
            boolean captureLater,
            String currency,
            String description,
            String label,
            String returnTo,
            String notifyAt) {}

    /**
     * What the gateway says of a payment.
     *
     * @param reference the gateway's own name for it
     * @param reason why it failed; empty where it did not
     * @param payUrl where the guest pays
     * @param expires until when they can
     * @param sum what it is for; null where the gateway does not know, as a bank account
     */
    record Told(
            String reference, PaymentState state, String reason, String payUrl, Instant expires, @Nullable Sum sum) {

        /** Whether it speaks of the sum that was asked for, or of none. */
        boolean isFor(Sum asked) {
            return sum == null || sum.equals(asked);
        }
    }

    /** @param currency ISO 4217 */
    record Sum(Money amount, String currency) {

        /** For hosts, in units of the currency; in the smallest ones where nobody knows the currency. */
        @Override
        public String toString() {
            int digits;
            try {
                digits = Currency.getInstance(currency).getDefaultFractionDigits();
            } catch (IllegalArgumentException e) {
                digits = 0;
            }
            return BigDecimal.valueOf(amount.minor(), Math.max(0, digits)).toPlainString() + " " + currency;
        }
    }

    /** @throws GatewayException where it cannot be reached or refuses */
    Told create(Wish wish);

    /** @throws GatewayException where it cannot be reached or refuses */
    Told ask(String reference);

    /**
     * Gives up a payment that is not captured.
     *
     * @throws GatewayException where it cannot be reached, or the payment is past giving up
     */
    Told cancel(String key, String reference);

    /**
     * Takes a part of what was authorised.
     *
     * @throws GatewayException where it cannot be reached or refuses
     */
    Told capture(String key, String reference, Money amount);

    /**
     * Lets a part of what was authorised go.
     *
     * @throws GatewayException where it cannot be reached or refuses
     */
    Told release(String key, String reference, Money amount);

    /** @throws GatewayException where it cannot be reached or refuses */
    Told refund(String key, String reference, Money amount);

    /**
     * Reads a notification.
     *
     * @throws GatewayException where it is not the gateway's, or too old
     */
    Told read(String time, String signature, String body);
}
