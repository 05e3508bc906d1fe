/**
 * Bookings that a host makes for a guest: by telephone, at the door, or for whoever walks in.
 *
 * <p>Called by: hosts, from the board. Its door: {@link gastfreund.app.byhand.ByHand}.
 */
@NullMarked
package gastfreund.app.byhand;

import org.jspecify.annotations.NullMarked;
