/**
 * Companions: whom a guest has invited to come along.
 *
 * <p>Called by: letters, the booking page and the desk. Its door: {@link gastfreund.app.companions.Companions}.
 */
@NullMarked
package gastfreund.app.companions;

import org.jspecify.annotations.NullMarked;
