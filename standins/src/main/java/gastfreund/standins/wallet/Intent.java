package gastfreund.standins.wallet;

import java.math.BigDecimal;
import java.time.Instant;

/** A wish to be paid, in the wallet's books; its steps are taken by {@link Wallet} alone, under its lock. */
final class Intent {

    final String id;
    final String account;
    final BigDecimal amount;
    final String currency;
    final boolean reserve;
    final Instant ends;
    String status = "open";
    String because = "";
    int refusals;
    BigDecimal taken = BigDecimal.ZERO;
    BigDecimal freed = BigDecimal.ZERO;
    BigDecimal returned = BigDecimal.ZERO;

    Intent(String id, String account, BigDecimal amount, String currency, boolean reserve, Instant ends) {
        this.id = id;
        this.account = account;
        this.amount = amount;
        this.currency = currency;
        this.reserve = reserve;
        this.ends = ends;
    }

    BigDecimal reserved() {
        return amount.subtract(taken).subtract(freed);
    }

    boolean isOpen() {
        return status.equals("open") || status.equals("pending");
    }

    /** What a caller is told, with the seconds that are left to pay. */
    record Told(String intent, String status, String amount, String currency, String because, long seconds) {}

    Told told(Instant now) {
        return new Told(
                id,
                status,
                amount.toPlainString(),
                currency,
                because,
                Math.max(0, ends.getEpochSecond() - now.getEpochSecond()));
    }
}
