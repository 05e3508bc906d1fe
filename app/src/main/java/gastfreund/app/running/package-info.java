/**
 * How the house goes: for whoever watches it from a program, and in words for its owner.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.running.Running}.
 */
@NullMarked
package gastfreund.app.running;

import org.jspecify.annotations.NullMarked;
