/**
 * What the weeks were like: money earned, time sold, what guests did ({@code docs/figures.md}).
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.figures.Figures}.
 */
@NullMarked
package gastfreund.app.figures;

import org.jspecify.annotations.NullMarked;
