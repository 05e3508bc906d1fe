package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Instant;

/** A place where payments are made, as the application sees it. */
public interface Gateway {

    /** Its name in tables and addresses. */
    String name();

    /**
     * What a payment is asked for.
     *
     * @param key names this wish: the same key twice makes one payment
     * @param captureLater whether the amount is only authorised, to be captured or released later
     * @param currency ISO 4217
     * @param returnTo where the guest comes back to
     * @param notifyAt where the gateway tells the outcome
     */
    record Wish(
            String key,
            Money amount,
            boolean captureLater,
            String currency,
            String description,
            String returnTo,
            String notifyAt) {}

    /**
     * What the gateway says of a payment.
     *
     * @param reference the gateway's own name for it
     * @param reason why it failed; empty where it did not
     * @param payUrl where the guest pays
     * @param expires until when they can
     */
    record Told(String reference, PaymentState state, String reason, String payUrl, Instant expires) {}

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
