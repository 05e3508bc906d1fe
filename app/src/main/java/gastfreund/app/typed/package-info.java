/**
 * What people write into fields and addresses, made fit to be read and kept.
 *
 * <p>Called by: everybody. Its door: {@link gastfreund.app.typed.Written}.
 */
@NullMarked
package gastfreund.app.typed;

import org.jspecify.annotations.NullMarked;
