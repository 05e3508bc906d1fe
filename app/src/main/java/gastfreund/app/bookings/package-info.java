/**
 * What takes time: holds, bookings and busy times. Nobody else writes their tables.
 *
 * <p>Called by: whoever keeps, orders or moves something; the openings read. Its door: {@link gastfreund.app.bookings.BookingStore}.
 */
@NullMarked
package gastfreund.app.bookings;

import org.jspecify.annotations.NullMarked;
