/**
 * A second factor for signing in: codes of an app, and spare ones.
 *
 * <p>Called by: whoever lets hosts in. Its door: {@link gastfreund.app.secondfactor.SecondFactors}.
 */
@NullMarked
package gastfreund.app.secondfactor;

import org.jspecify.annotations.NullMarked;
