/**
 * The page of a guest's account: all that they have booked and bought, and what the house has of them.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.accountpage.AccountPage}.
 */
@NullMarked
package gastfreund.app.accountpage;

import org.jspecify.annotations.NullMarked;
