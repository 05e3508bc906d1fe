/**
 * What machines find: the map of what is public, what robots may ask for, and what a page says of itself in the words of
 * schema.org and Open Graph.
 *
 * <p>Called by: whoever shows a page that is to be shared. Its door: {@link gastfreund.app.found.Shares}.
 */
@NullMarked
package gastfreund.app.found;

import org.jspecify.annotations.NullMarked;
