/**
 * What the house has of its guests: taken out, forgotten and tidied away.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.guests.GuestService}.
 */
@NullMarked
package gastfreund.app.guests;

import org.jspecify.annotations.NullMarked;
