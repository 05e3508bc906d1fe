/**
 * What is taken and given by hand: each once, numbered, and never changed, and what should lie in the drawer.
 *
 * <p>Called by: {@code payments}, where money is paid on the spot or handed back. Its door: {@link gastfreund.app.till.Till}.
 */
@NullMarked
package gastfreund.app.till;

import org.jspecify.annotations.NullMarked;
