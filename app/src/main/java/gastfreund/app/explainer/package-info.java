/**
 * Why a time can be booked or cannot: the layers of a day one under the other, and what would open it.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.explainer.ExplainerPages}.
 */
@NullMarked
package gastfreund.app.explainer;

import org.jspecify.annotations.NullMarked;
