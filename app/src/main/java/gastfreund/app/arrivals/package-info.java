/**
 * Guests and bookings that another program had: a table of whatever columns, looked at row by row, taken over all or not at
 * all, and taken back ({@code docs/arrivals.md}).
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.arrivals.Arrivals}.
 */
@NullMarked
package gastfreund.app.arrivals;

import org.jspecify.annotations.NullMarked;
