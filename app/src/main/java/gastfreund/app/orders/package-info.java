/**
 * What an order is: its lines, its guest, its steps, and how they are said.
 *
 * <p>Called by: whoever does something with orders. Its door: {@link gastfreund.app.orders.Orders}.
 */
@NullMarked
package gastfreund.app.orders;

import org.jspecify.annotations.NullMarked;
