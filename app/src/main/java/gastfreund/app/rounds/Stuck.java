package gastfreund.app.rounds;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that was tried again and again in vain, and is still tried.
 *
 * @param kind the code of its kind
 * @param order the order it is about; null where it is about none
 * @param error what was said the last time
 */
public record Stuck(
        String kind, String subject, @Nullable Long order, int tries, Instant since, Instant next, String error) {}
