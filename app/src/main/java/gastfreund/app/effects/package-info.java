/**
 * What a change of the house does, in words and numbers, before it counts.
 *
 * <p>Called by: the rooms in which hosts set something. Its door: {@link gastfreund.app.effects.Effects}.
 */
@NullMarked
package gastfreund.app.effects;

import org.jspecify.annotations.NullMarked;
