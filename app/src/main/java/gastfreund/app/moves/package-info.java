/**
 * Another time for a booking, wished for by its guest or by the house.
 *
 * <p>Called by: pages of orders. Its door: {@link gastfreund.app.moves.Moves}.
 */
@NullMarked
package gastfreund.app.moves;

import org.jspecify.annotations.NullMarked;
