package gastfreund.app.editing;

import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A member that was changed by two people, differently.
 *
 * @param mine null where I took it away
 * @param theirs null where they took it away
 */
public record Conflict(String member, @Nullable JsonNode mine, @Nullable JsonNode theirs) {}
