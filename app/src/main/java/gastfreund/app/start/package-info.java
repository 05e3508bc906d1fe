/**
 * A house's first hour: four answers, a test booking, and opening to everybody; and what guests see while it is not open.
 *
 * <p>Called by: nobody; it has pages. Its door: {@link gastfreund.app.start.Starting}.
 */
@NullMarked
package gastfreund.app.start;

import org.jspecify.annotations.NullMarked;
