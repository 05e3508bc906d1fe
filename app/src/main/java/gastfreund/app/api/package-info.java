/**
 * What other programs read and do: the house, its offers, openings and prices for everybody; holds, orders and bookings with
 * a key ({@code docs/api.md}).
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.api.Selling}.
 */
@NullMarked
package gastfreund.app.api;

import org.jspecify.annotations.NullMarked;
