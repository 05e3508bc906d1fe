package gastfreund.app.payments;

import gastfreund.app.till.Hand;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A payment in our books.
 *
 * @param id also the idempotency key with which it is made at the gateway
 * @param booking the booking whose balance it pays; null where it pays what was due with the order
 * @param reference the gateway's name for it; null until the gateway has answered
 * @param captureLater whether the amount is authorised first, and captured or released part by part
 * @param prepaid the voucher it was made with; null where it was not
 * @param payUrl where the guest pays; null until the gateway has answered
 * @param expires until when the guest can pay; null until the gateway has answered
 * @param oddity what the gateway said that is not what was asked for; empty: nothing that somebody has to look at
 */
public record Payment(
        String id,
        long order,
        @Nullable BookingId booking,
        String gateway,
        @Nullable String reference,
        Money amount,
        boolean captureLater,
        Money captured,
        Money released,
        Money refunded,
        PaymentState state,
        String reason,
        @Nullable String prepaid,
        @Nullable String payUrl,
        Instant created,
        @Nullable Instant expires,
        String oddity) {

    /** The name of what was paid before the house came here, at a gateway that is not known here. */
    public static final String ELSEWHERE = "elsewhere";

    /** The name of what is paid with a voucher. */
    public static final String VOUCHER = "voucher";

    /** What the house has of it. */
    public Money kept() {
        return captured.minus(refunded);
    }

    /** What is authorised and neither captured nor released. */
    public Money authorised() {
        boolean paid = state == PaymentState.AUTHORISED || captureLater && captured.isPositive();
        return paid ? amount.minus(captured).minus(released) : Money.ZERO;
    }

    /** What the house has of it or can take. */
    public Money secured() {
        return kept().plus(authorised());
    }

    /** Whether the house has money of it. */
    public boolean isPaid() {
        return kept().isPositive();
    }

    /** Whether no gateway has to do with it, so that the host gives it back by hand. */
    public boolean isByHand() {
        return gateway.equals(ELSEWHERE) || Hand.find(gateway).isPresent();
    }

    public boolean isVoucher() {
        return prepaid != null;
    }

    /** Whether the gateway spoke of something else than was asked for, and nobody has looked at it yet. */
    public boolean isOdd() {
        return !oddity.isEmpty();
    }

    /** Whether it comes to the house's bank account, and goes back from there. */
    public boolean isTransfer() {
        return gateway.endsWith(GatewayAccount.Kind.TRANSFER.code());
    }

    /** The voucher that it was made with, where it was. */
    public String voucher() {
        return Objects.requireNonNull(prepaid, "not made with a voucher");
    }

    /** Its name at the gateway, where it was made. */
    public String atGateway() {
        return Objects.requireNonNull(reference, "not made at the gateway yet");
    }

    /** Where the guest pays it, once it was made. */
    public String payAddress() {
        return Objects.requireNonNull(payUrl, "not made at the gateway yet");
    }

    /** Until when the gateway waits for it, once it was made. */
    public Instant awaitedUntil() {
        return Objects.requireNonNull(expires, "not made at the gateway yet");
    }
}
