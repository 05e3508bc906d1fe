/**
 * What keeps strangers out: limits, origins, sizes, headers, proofs of work, and who visitors are told apart by.
 *
 * <p>Called by: the chains of filters in {@code hosts}, and whoever lets strangers do something that costs. Its door: {@link gastfreund.app.strangers.Guard}.
 */
@NullMarked
package gastfreund.app.strangers;

import org.jspecify.annotations.NullMarked;
