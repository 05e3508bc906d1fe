/**
 * Lists of what is booked, as somebody looks for it, and the way out of them.
 *
 * <p>Called by: hosts. Its door: {@link gastfreund.app.lists.BookingLists}.
 */
@NullMarked
package gastfreund.app.lists;

import org.jspecify.annotations.NullMarked;
