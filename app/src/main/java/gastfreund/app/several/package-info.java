/**
 * Several bookings at once: who could take over where somebody is ill, what goes back, what guests are told; looked at first,
 * and then done.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.several.Several}.
 */
@NullMarked
package gastfreund.app.several;

import org.jspecify.annotations.NullMarked;
