/**
 * What a request is called, in the log as on the page that says that something went wrong, and what went wrong lately.
 *
 * <p>Called by: the pages of faults, and the page that says how the house goes. Its door: {@link gastfreund.app.tracing.RequestId}.
 */
@NullMarked
package gastfreund.app.tracing;

import org.jspecify.annotations.NullMarked;
