/**
 * Tells those in charge of what does not get through: letters, money, calendars.
 *
 * <p>Called by: nobody; it looks by itself. Its door: {@link gastfreund.app.troubles.Troubles}.
 */
@NullMarked
package gastfreund.app.troubles;

import org.jspecify.annotations.NullMarked;
