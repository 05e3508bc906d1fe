/**
 * Orders at the desk.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.orderdesk.OrderDeskController}.
 */
@NullMarked
package gastfreund.app.orderdesk;

import org.jspecify.annotations.NullMarked;
