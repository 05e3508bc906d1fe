package gastfreund.app.access;

import gastfreund.app.hosts.Role;
import java.time.Instant;
import java.util.Locale;

/**
 * Somebody who was invited and has not come yet.
 *
 * @param mark of the token that the mailed link has
 * @param person the id of whom among the house's people they are; empty: none of them
 */
public record Invitation(String mark, String email, Role role, String person, Locale language, Instant expires) {}
