/**
 * When something can be had: the core's answers, and the panel in which guests choose.
 *
 * <p>Called by: whoever looks for time. Its door: {@link gastfreund.app.openings.OpeningsService}.
 */
@NullMarked
package gastfreund.app.openings;

import org.jspecify.annotations.NullMarked;
