package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Instant;

/**
 * A payment in our books.
 *
 * @param id also the idempotency key with which it is made at the gateway
 * @param reference the gateway's name for it; null until the gateway has answered
 * @param payUrl where the guest pays; null until the gateway has answered
 * @param expires until when the guest can pay; null until the gateway has answered
 */
public record Payment(
        String id,
        long order,
        String gateway,
        String reference,
        Money amount,
        Money refunded,
        PaymentState state,
        String reason,
        String payUrl,
        Instant created,
        Instant expires) {

    /** Whether the money is with the house. */
    public boolean isPaid() {
        return state == PaymentState.CAPTURED || state == PaymentState.PARTLY_REFUNDED;
    }
}
