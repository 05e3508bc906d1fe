/**
 * How orders come by their money: ways to pay, what becomes of an order when money comes or does not, and what is asked for later.
 *
 * <p>Called by: the checkout and the pages of orders. Its door: {@link gastfreund.app.paying.Outcomes}.
 */
@NullMarked
package gastfreund.app.paying;

import org.jspecify.annotations.NullMarked;
