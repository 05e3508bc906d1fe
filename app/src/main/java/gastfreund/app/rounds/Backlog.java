package gastfreund.app.rounds;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What waits in a table.
 *
 * @param oldest since when the first of it waits; null: nothing does
 */
public record Backlog(int count, @Nullable Instant oldest) {}
