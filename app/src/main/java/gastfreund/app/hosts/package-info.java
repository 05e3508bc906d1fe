/**
 * People who sign in at the desk, and what each may do.
 *
 * <p>Called by: handlers of the desk, which name their {@link gastfreund.app.hosts.Right}; whoever writes to hosts. Its door: {@link gastfreund.app.hosts.HostService}.
 */
@NullMarked
package gastfreund.app.hosts;

import org.jspecify.annotations.NullMarked;
