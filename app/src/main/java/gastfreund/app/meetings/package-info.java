/**
 * Links for bookings that take place online, made by a meeting service that is reached over HTTP.
 *
 * <p>Called by: whoever shows a booking to its guest. Its door: {@link gastfreund.app.meetings.Meetings}.
 */
@NullMarked
package gastfreund.app.meetings;

import org.jspecify.annotations.NullMarked;
