/**
 * When the house, its places, people, things and offers can be booked, set by hosts.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.hours.HoursPages}.
 */
@NullMarked
package gastfreund.app.hours;

import org.jspecify.annotations.NullMarked;
