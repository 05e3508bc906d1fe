/**
 * How bookings end: answers to requests, cancellations, refunds, and whether guests came.
 *
 * <p>Called by: moves, and the pages of orders. Its door: {@link gastfreund.app.endings.Endings}.
 */
@NullMarked
package gastfreund.app.endings;

import org.jspecify.annotations.NullMarked;
