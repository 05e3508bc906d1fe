/**
 * The desk's board: who and what is taken when.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.board.BoardService}.
 */
@NullMarked
package gastfreund.app.board;

import org.jspecify.annotations.NullMarked;
