/**
 * Calendar files.
 *
 * <p>Called by: whoever sends one. Its door: {@link gastfreund.app.calendars.CalendarFile}.
 */
@NullMarked
package gastfreund.app.calendars;

import org.jspecify.annotations.NullMarked;
