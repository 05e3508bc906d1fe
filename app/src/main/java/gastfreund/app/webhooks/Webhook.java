package gastfreund.app.webhooks;

import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Where other programs are told what happens.
 *
 * @param subjects what they are told of: bookings, orders, payments, openings
 * @param secret with which messages are signed, as it is kept
 * @param failing since when nothing has got through; null: it does
 * @param paused why nothing is sent any more; empty: it is
 */
public record Webhook(
        String id,
        String address,
        Set<String> subjects,
        String secret,
        Instant made,
        @Nullable Instant failing,
        String paused) {

    public Webhook {
        subjects = Set.copyOf(subjects);
    }

    boolean isPaused() {
        return !paused.isEmpty();
    }

    boolean hears(What what) {
        return what == What.TEST_SENT || subjects.contains(what.subject());
    }
}
