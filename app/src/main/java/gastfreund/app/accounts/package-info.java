/**
 * Guests' accounts: how somebody gets into theirs, by a link in a mail, a password or a passkey, and whose a visit is.
 *
 * <p>Called by: checkout, the booking page, guests' data, the account's page. Its door: {@link gastfreund.app.accounts.Accounts}.
 */
@NullMarked
package gastfreund.app.accounts;

import org.jspecify.annotations.NullMarked;
