/**
 * Where guests come from: what addresses and browsers say of it, in one form, and how often each was looked from, kept from,
 * booked from and came of it.
 *
 * <p>Called by: the pages of guests, baskets, the desk. Its door: {@link gastfreund.app.sources.Source}.
 */
@NullMarked
package gastfreund.app.sources;

import org.jspecify.annotations.NullMarked;
