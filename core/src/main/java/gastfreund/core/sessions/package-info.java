/**
 * What takes place, and what it takes of people and things ({@code docs/openings.md}, "Commitments"): bookings and timetables
 * as sessions, and what is taken when, so that it is found without looking at all of it.
 */
@NullMarked
package gastfreund.core.sessions;

import org.jspecify.annotations.NullMarked;
