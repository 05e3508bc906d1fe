package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;

/**
 * Transfers to the house's own bank account. Nobody can be asked what became of one: the host sees it on the account's
 * statement, by its reference, and marks it as received. Money goes back the same way.
 */
final class TransferGateway implements Gateway {

    /** No letters and digits that are taken for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private final GatewayAccount account;
    private final Clock clock;

    TransferGateway(GatewayAccount account, Clock clock) {
        this.account = account;
        this.clock = clock;
    }

    @Override
    public GatewayAccount account() {
        return account;
    }

    @Override
    public Duration within() {
        return Duration.ofDays(Long.parseLong(account.key("days")));
    }

    @Override
    public Told create(Wish wish) {
        return new Told(
                wish.label() + "-" + mark(wish.key()),
                PaymentState.CREATED,
                "",
                wish.returnTo(),
                clock.instant().plus(within()).truncatedTo(ChronoUnit.SECONDS),
                null);
    }

    /** The same for the same key; it tells two transfers for one order apart, and a slip of the pen from both. */
    private static String mark(String key) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8));
            StringBuilder mark = new StringBuilder();
            for (int i = 0; i < 3; i++) {
                mark.append(LETTERS.charAt(hash[i] & 31));
            }
            return mark.toString();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public Told ask(String reference) {
        throw new GatewayException("a bank account cannot be asked");
    }

    /** Whoever transfers all the same finds the payment given up, and the money is taken in or goes back. */
    @Override
    public Told cancel(String key, String reference) {
        return new Told(reference, PaymentState.EXPIRED, "", "", clock.instant(), null);
    }

    @Override
    public Told capture(String key, String reference, Money amount) {
        throw new GatewayException("a transfer is not authorised first");
    }

    @Override
    public Told release(String key, String reference, Money amount) {
        throw new GatewayException("a transfer is not authorised first");
    }

    @Override
    public Told refund(String key, String reference, Money amount) {
        throw new GatewayException("a transfer goes back by the host's hand");
    }

    @Override
    public Told read(String time, String signature, String body) {
        throw new GatewayException("a bank account tells nothing");
    }
}
