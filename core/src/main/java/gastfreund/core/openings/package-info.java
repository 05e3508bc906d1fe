/**
 * What can be booked, and why not ({@code docs/openings.md}): a query about an offer is asked of a house and of what is
 * booked, and answered with openings or with every reason that stands against each candidate. Both answers come from the
 * same verdicts.
 */
@NullMarked
package gastfreund.core.openings;

import org.jspecify.annotations.NullMarked;
