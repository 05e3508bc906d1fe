/**
 * The waiting list: who waits for something that cannot be had now, in which order, and who gets what comes free.
 *
 * <p>Called by: the desk's page of what waits, and whoever gives places away. Its door: {@link gastfreund.app.wishes.Wishes}.
 */
@NullMarked
package gastfreund.app.wishes;

import org.jspecify.annotations.NullMarked;
