package gastfreund.standins.wallet;

import gastfreund.standins.StandinsSettings;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/**
 * The wallet's books. Three tokens do something: {@code WORKS} pays, {@code LATER} pays once somebody has asked twice, and
 * {@code EMPTY} is refused; after three refusals the wish is over. Whatever was asked for once is answered the same again.
 */
@Service
class Wallet {

    private static final int MOST_REFUSALS = 3;

    /** A step that cannot be taken. */
    static final class NotAllowed extends RuntimeException {
        NotAllowed(String message) {
            super(message);
        }
    }

    /** @param taken whether a token was taken */
    record Answer(Intent.Told told, boolean taken) {}

    private final StandinsSettings settings;
    private final Clock clock;
    private final Map<String, Intent> intents = new HashMap<>();
    private final Map<String, Answer> answers = new HashMap<>();
    private final Map<String, Integer> asked = new HashMap<>();

    Wallet(StandinsSettings settings, Clock clock) {
        this.settings = settings;
        this.clock = clock;
    }

    boolean knows(String key) {
        return settings.secretOf(key).isPresent();
    }

    synchronized Answer open(String account, String once, BigDecimal amount, String currency, boolean reserve) {
        return once(account, once, () -> {
            if (amount.signum() <= 0) {
                throw new NotAllowed("nothing is to be paid");
            }
            Instant ends = clock.instant().plus(settings.payWithin());
            Intent intent = new Intent("wi_" + UUID.randomUUID(), account, amount, currency, reserve, ends);
            intents.put(intent.id, intent);
            return told(intent);
        });
    }

    synchronized Intent.Told ask(String account, String id) {
        Intent intent = find(account, id);
        if (intent.status.equals("pending") && asked.merge(id, 1, Integer::sum) > 1) {
            paid(intent);
        }
        return intent.told(clock.instant());
    }

    synchronized Answer token(String account, String once, String id, String token) {
        return once(account, once, () -> {
            Intent intent = find(account, id);
            if (!intent.status.equals("open")) {
                throw new NotAllowed("it is " + intent.status);
            }
            switch (token) {
                case "WORKS" -> paid(intent);
                case "LATER" -> intent.status = "pending";
                default -> refused(intent);
            }
            return new Answer(intent.told(clock.instant()), intent.because.isEmpty());
        });
    }

    private void paid(Intent intent) {
        intent.because = "";
        intent.status = intent.reserve ? "reserved" : "paid";
        intent.taken = intent.reserve ? BigDecimal.ZERO : intent.amount;
    }

    private void refused(Intent intent) {
        intent.because = "there is too little in it";
        intent.refusals++;
        if (intent.refusals == MOST_REFUSALS) {
            intent.status = "refused";
        }
    }

    synchronized Answer close(String account, String once, String id) {
        return once(account, once, () -> {
            Intent intent = find(account, id);
            if (!intent.isOpen()) {
                throw new NotAllowed("it is " + intent.status);
            }
            intent.status = "closed";
            return told(intent);
        });
    }

    synchronized Answer take(String account, String once, String id, BigDecimal part) {
        return once(account, once, () -> {
            Intent intent = reserved(account, id, part);
            intent.taken = intent.taken.add(part);
            intent.status = "paid";
            return told(intent);
        });
    }

    synchronized Answer free(String account, String once, String id, BigDecimal part) {
        return once(account, once, () -> {
            Intent intent = reserved(account, id, part);
            intent.freed = intent.freed.add(part);
            if (intent.taken.signum() == 0 && intent.reserved().signum() == 0) {
                intent.status = "closed";
            }
            return told(intent);
        });
    }

    private Intent reserved(String account, String id, BigDecimal part) {
        Intent intent = find(account, id);
        boolean paid = intent.status.equals("reserved") || intent.status.equals("paid");
        if (!intent.reserve || !paid || part.signum() <= 0 || part.compareTo(intent.reserved()) > 0) {
            throw new NotAllowed("no more than what is reserved");
        }
        return intent;
    }

    synchronized Answer giveBack(String account, String once, String id, BigDecimal part) {
        return once(account, once, () -> {
            Intent intent = find(account, id);
            if (part.signum() <= 0 || part.compareTo(intent.taken.subtract(intent.returned)) > 0) {
                throw new NotAllowed("no more than what was taken");
            }
            intent.returned = intent.returned.add(part);
            intent.status = intent.returned.compareTo(intent.taken) == 0 ? "returned" : "part_returned";
            return told(intent);
        });
    }

    private Intent find(String account, String id) {
        Intent intent = intents.get(id);
        if (intent == null || !intent.account.equals(account)) {
            throw new NotAllowed("there is no such intent");
        }
        if (intent.isOpen() && !clock.instant().isBefore(intent.ends)) {
            intent.status = "lapsed";
        }
        return intent;
    }

    private Answer told(Intent intent) {
        return new Answer(intent.told(clock.instant()), true);
    }

    private Answer once(String account, String once, Supplier<Answer> step) {
        String key = account + " " + once;
        Answer before = answers.get(key);
        if (before != null) {
            return before;
        }
        Answer after = step.get();
        answers.put(key, after);
        return after;
    }
}
