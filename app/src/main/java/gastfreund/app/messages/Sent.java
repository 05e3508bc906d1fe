package gastfreund.app.messages;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A letter with what came of it.
 *
 * @param order whose it is; null: of none
 * @param subject empty where it was not written yet
 * @param sentAt null: it was not sent yet
 * @param tries how often it was tried in vain until now
 * @param lost {@code refused}, {@code bounced}, or empty
 * @param why what the server said
 */
public record Sent(
        String id,
        @Nullable Long order,
        String kind,
        String recipient,
        String subject,
        Instant putAt,
        Instant notBefore,
        @Nullable Instant sentAt,
        int tries,
        String lost,
        String why) {

    /** Whether it is a text message. */
    public boolean isText() {
        return Letter.isTelephone(recipient);
    }

    /** What came of it, as a code. */
    public String state() {
        if (!lost.isEmpty()) {
            return lost;
        }
        return sentAt != null ? "sent" : tries > 0 ? "tried" : "waiting";
    }
}
