/**
 * The page of an order for its guest.
 *
 * <p>Called by: the desk, which shows it too. Its door: {@link gastfreund.app.bookingpage.BookingPage}.
 */
@NullMarked
package gastfreund.app.bookingpage;

import org.jspecify.annotations.NullMarked;
