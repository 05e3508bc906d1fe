/**
 * What happens by itself, again and again, and what of it failed.
 *
 * <p>Called by: whoever has something to be done later. Its door: {@link gastfreund.app.rounds.Rounds}.
 */
@NullMarked
package gastfreund.app.rounds;

import org.jspecify.annotations.NullMarked;
