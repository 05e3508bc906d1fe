/**
 * From a basket to an order.
 *
 * <p>Called by: pages of guests, and whoever takes in bookings from elsewhere. Its door: {@link gastfreund.app.checkout.Placing}.
 */
@NullMarked
package gastfreund.app.checkout;

import org.jspecify.annotations.NullMarked;
