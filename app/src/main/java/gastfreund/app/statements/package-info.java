/**
 * Statements of the house's bank account: read from files, and their lines matched with the transfers that are waited for.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.statements.Statements}.
 */
@NullMarked
package gastfreund.app.statements;

import org.jspecify.annotations.NullMarked;
