/**
 * How the house is changed: drafts, keeping them, what was kept and can be undone, and what a change does.
 *
 * <p>Called by: the rooms in which hosts set something. Its door: {@link gastfreund.app.editing.Editing}.
 */
@NullMarked
package gastfreund.app.editing;

import org.jspecify.annotations.NullMarked;
