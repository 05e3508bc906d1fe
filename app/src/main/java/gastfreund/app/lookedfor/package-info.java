/**
 * What guests looked for and did not find ({@code docs/figures.md}).
 *
 * <p>Called by: openings, figures. Its door: {@link gastfreund.app.lookedfor.LookedFor}.
 */
@NullMarked
package gastfreund.app.lookedfor;

import org.jspecify.annotations.NullMarked;
