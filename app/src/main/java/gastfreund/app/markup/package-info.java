/**
 * Markup that is written by itself where a template would take too long.
 *
 * <p>Called by: whoever draws. Its door: {@link gastfreund.app.markup.Markup}.
 */
@NullMarked
package gastfreund.app.markup;

import org.jspecify.annotations.NullMarked;
