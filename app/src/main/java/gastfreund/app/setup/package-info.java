/**
 * What is set from outside about the house as a whole, and its clock.
 *
 * <p>Called by: everybody. Its door: {@link gastfreund.app.setup.Settings}.
 */
@NullMarked
package gastfreund.app.setup;

import org.jspecify.annotations.NullMarked;
