/**
 * Busy times of those who serve, read from other calendars of theirs ({@code docs/letters.md}, "Busy times").
 *
 * <p>Called by: the room that tells of troubles; it reads by itself. Its door: {@link gastfreund.app.busytimes.BusyTimes}.
 */
@NullMarked
package gastfreund.app.busytimes;

import org.jspecify.annotations.NullMarked;
