package gastfreund.standins.gateway;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** One payment in the gateway's own books, made by the account with a key; its steps are taken by {@link Payments} alone, under its lock. */
final class Payment {

    /** What a caller asks for. */
    record Asked(
            long amount, String currency, String capture, String description, String returnUrl, String notifyUrl) {}

    /** What a caller is told. */
    record Told(
            String id,
            String state,
            long amount,
            String currency,
            long captured,
            long released,
            long refunded,
            String reason,
            String payUrl,
            @Nullable String expiresAt) {

        /** What a caller was told before anybody paid. */
        Told asIfOpen() {
            return new Told(id, "created", amount, currency, 0, 0, 0, "", payUrl, expiresAt);
        }
    }

    final String id;
    final String account;
    final String token;
    final Asked asked;
    final Instant expires;
    String state = "created";
    String reason = "";
    long captured;
    long released;
    long refunded;

    Payment(String id, String account, String token, Asked asked, Instant expires) {
        this.id = id;
        this.account = account;
        this.token = token;
        this.asked = asked;
        this.expires = expires;
    }

    /** What was authorised and neither captured nor released. */
    long authorised() {
        boolean paid = !state.equals("created") && !state.equals("failed") && !state.equals("expired");
        return paid ? asked.amount() - captured - released : 0;
    }

    boolean isOpen() {
        return state.equals("created");
    }

    Told told(String address) {
        return new Told(
                id,
                state,
                asked.amount(),
                asked.currency(),
                captured,
                released,
                refunded,
                reason,
                address + "/pay/" + token,
                expires.toString());
    }
}
