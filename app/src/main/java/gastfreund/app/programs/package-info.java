/**
 * How other programs are let in: keys with what they may do, what was wrong with a request, and requests that come twice.
 *
 * <p>Called by: the rooms that answer programs. Its door: {@link gastfreund.app.programs.Keys}.
 */
@NullMarked
package gastfreund.app.programs;

import org.jspecify.annotations.NullMarked;
