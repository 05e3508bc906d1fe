/**
 * Calendars that can be followed: of the house, a person, a thing, a guest, and of what is on.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.feeds.Feed}.
 */
@NullMarked
package gastfreund.app.feeds;

import org.jspecify.annotations.NullMarked;
