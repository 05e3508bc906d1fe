package gastfreund.core.orders;

import gastfreund.core.money.Money;
import java.util.Set;

/** Where a payment stands, and the steps it may take ({@code docs/money.md}, "Orders, payments, holds"). */
public enum PaymentState {
    CREATED("created"),
    AUTHORISED("authorised"),
    CAPTURED("captured"),
    PARTLY_REFUNDED("partly refunded"),
    REFUNDED("refunded"),
    FAILED("failed"),
    VOIDED("voided"),
    EXPIRED("expired");

    private final String code;

    PaymentState(String code) {
        this.code = code;
    }

    /** The name in tables and messages. */
    public String code() {
        return code;
    }

    /** @throws IllegalArgumentException where no state has the code */
    public static PaymentState ofCode(String code) {
        for (PaymentState state : values()) {
            if (state.code.equals(code)) {
                return state;
            }
        }
        throw new IllegalArgumentException("no payment state: " + code);
    }

    /**
     * Where a payment stands whose money was authorised or captured.
     *
     * @param amount what it was made for
     * @param captured of the amount
     * @param released of the amount, never to be captured
     * @param refunded of what was captured
     * @throws IllegalArgumentException where more was captured and released than authorised, or more refunded than captured
     */
    public static PaymentState after(Money amount, Money captured, Money released, Money refunded) {
        if (captured.plus(released).compareTo(amount) > 0 || refunded.compareTo(captured) > 0) {
            throw new IllegalArgumentException("a payment cannot give more than it has");
        }
        if (captured.isZero()) {
            return released.equals(amount) ? VOIDED : AUTHORISED;
        }
        if (refunded.isZero()) {
            return CAPTURED;
        }
        return refunded.equals(captured) ? REFUNDED : PARTLY_REFUNDED;
    }

    private Set<PaymentState> next() {
        return switch (this) {
            case CREATED -> Set.of(AUTHORISED, CAPTURED, FAILED, VOIDED, EXPIRED);
            case AUTHORISED -> Set.of(CAPTURED, VOIDED, EXPIRED);
            case CAPTURED -> Set.of(PARTLY_REFUNDED, REFUNDED);
            case PARTLY_REFUNDED -> Set.of(REFUNDED);
            case REFUNDED, FAILED, VOIDED -> Set.of();
                // Money may still arrive for a payment that was given up: it must never be lost from sight.
            case EXPIRED -> Set.of(AUTHORISED, CAPTURED);
        };
    }

    public boolean allows(PaymentState to) {
        return next().contains(to);
    }

    /** Whether the outcome is still open. */
    public boolean isOpen() {
        return this == CREATED;
    }
}
