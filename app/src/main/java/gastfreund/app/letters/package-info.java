/**
 * What guests and hosts are told about orders.
 *
 * <p>Called by: whoever changes an order, in the same transaction. Its door: {@link gastfreund.app.letters.OrderLetters}.
 */
@NullMarked
package gastfreund.app.letters;

import org.jspecify.annotations.NullMarked;
