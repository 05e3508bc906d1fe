package gastfreund.standins.gateway;

import gastfreund.standins.StandinsSettings;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The gateway's books. Every call with an idempotency key that was seen before gives the first answer again. */
@Service
class Payments {

    /** A step that the payment's state does not allow. */
    static final class NotAllowed extends RuntimeException {
        NotAllowed(String message) {
            super(message);
        }
    }

    private final StandinsSettings settings;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final Map<String, Payment> byId = new LinkedHashMap<>();
    private final Map<String, Payment> byToken = new HashMap<>();
    private final Map<String, Payment> answers = new HashMap<>();

    Payments(StandinsSettings settings, Clock clock) {
        this.clock = clock;
        this.settings = settings;
    }

    synchronized Payment create(String account, String key, Payment.Asked asked) {
        return once("create " + account + " " + key, () -> {
            if (asked.amount() <= 0) {
                throw new NotAllowed("an amount must be positive");
            }
            Instant expires = clock.instant().plus(settings.payWithin()).truncatedTo(ChronoUnit.SECONDS);
            Payment payment = new Payment("pay_" + secret(8), account, secret(16), asked, expires);
            byId.put(payment.id, payment);
            byToken.put(payment.token, payment);
            return payment;
        });
    }

    synchronized Optional<Payment> byId(String id) {
        return Optional.ofNullable(byId.get(id)).map(this::current);
    }

    synchronized Optional<Payment> byToken(String token) {
        return Optional.ofNullable(byToken.get(token)).map(this::current);
    }

    private Payment current(Payment payment) {
        if (payment.isOpen() && !clock.instant().isBefore(payment.expires)) {
            payment.state = "expired";
        }
        return payment;
    }

    /** The guest paid; false where the payment is no longer open. */
    synchronized boolean pay(Payment payment) {
        if (!current(payment).isOpen()) {
            return false;
        }
        boolean now = !"later".equals(payment.asked.capture());
        payment.state = now ? "captured" : "authorised";
        payment.captured = now ? payment.asked.amount() : 0;
        return true;
    }

    /** The bank refused; false where the payment is no longer open. */
    synchronized boolean refuse(Payment payment, String reason) {
        if (!current(payment).isOpen()) {
            return false;
        }
        payment.state = "failed";
        payment.reason = reason;
        return true;
    }

    /** Captures a part of what was authorised, or the rest of it. */
    synchronized Payment capture(String key, Payment payment, @Nullable Long part) {
        return once("capture " + key, () -> {
            long amount = authorised(payment, part);
            payment.captured += amount;
            payment.state = "captured";
            return payment;
        });
    }

    /** Lets a payment that nobody paid go, or releases a part of what was authorised, or the rest of it. */
    synchronized Payment cancel(String key, Payment payment, @Nullable Long part) {
        return once("void " + key, () -> {
            if (current(payment).isOpen()) {
                payment.state = "voided";
                return payment;
            }
            payment.released += authorised(payment, part);
            if (payment.captured == 0 && payment.authorised() == 0) {
                payment.state = "voided";
            }
            return payment;
        });
    }

    private static long authorised(Payment payment, @Nullable Long part) {
        long amount = part == null ? payment.authorised() : part;
        if (amount <= 0 || amount > payment.authorised()) {
            throw new NotAllowed("no more than what is authorised: " + payment.authorised());
        }
        return amount;
    }

    synchronized List<Payment> all() {
        return byId.values().stream().map(this::current).toList();
    }

    synchronized Payment refund(String key, Payment payment, long amount) {
        return once("refund " + key, () -> {
            if (amount <= 0 || amount > payment.captured - payment.refunded) {
                throw new NotAllowed("no more than what was captured and not yet refunded can be refunded");
            }
            payment.refunded += amount;
            payment.state = payment.refunded == payment.captured ? "refunded" : "partly refunded";
            return payment;
        });
    }

    private Payment once(String key, Supplier<Payment> step) {
        Payment before = answers.get(key);
        if (before != null) {
            return before;
        }
        Payment after = step.get();
        answers.put(key, after);
        return after;
    }

    private String secret(int bytes) {
        byte[] secret = new byte[bytes];
        random.nextBytes(secret);
        return HexFormat.of().formatHex(secret);
    }
}
