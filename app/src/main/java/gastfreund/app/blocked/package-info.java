/**
 * Times that hosts keep free for somebody with a word, once or every week: nothing can be booked then.
 *
 * <p>Called by: the board, which shows them. Its door: {@link gastfreund.app.blocked.Blocking}.
 */
@NullMarked
package gastfreund.app.blocked;

import org.jspecify.annotations.NullMarked;
