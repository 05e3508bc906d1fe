/**
 * Baskets: what is kept for guests before they order, and what it costs.
 *
 * <p>Called by: the checkout. Its door: {@link gastfreund.app.baskets.BasketService}.
 */
@NullMarked
package gastfreund.app.baskets;

import org.jspecify.annotations.NullMarked;
