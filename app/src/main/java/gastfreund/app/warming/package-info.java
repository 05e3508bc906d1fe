/**
 * What the house does after a start so that its first guest does not wait.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.warming.Warming}.
 */
@NullMarked
package gastfreund.app.warming;

import org.jspecify.annotations.NullMarked;
