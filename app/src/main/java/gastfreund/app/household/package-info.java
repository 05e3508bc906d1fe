/**
 * The people, things and places of the house, set by hosts.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.household.HouseholdPages}.
 */
@NullMarked
package gastfreund.app.household;

import org.jspecify.annotations.NullMarked;
