/**
 * What waits for somebody at the desk, in one place: requests by how soon they lapse, what guests wrote, letters that did not
 * arrive, and money that should have come.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.waits.WaitsController}.
 */
@NullMarked
package gastfreund.app.waits;

import org.jspecify.annotations.NullMarked;
