/**
 * The house's pages inside somebody else's: the path under which alone they may be framed, what is asked of their looks, the
 * script that a page takes in, and the ways to a gateway and back.
 *
 * <p>Called by: nobody; it stands before all other pages. Its door: {@link gastfreund.app.embeds.Embed}.
 */
@NullMarked
package gastfreund.app.embeds;

import org.jspecify.annotations.NullMarked;
