/**
 * Time as the house sees it: minutes, half-open intervals, sets of them, and the local dates of a zone
 * ({@code docs/openings.md}, section "Time").
 *
 * <p>A <em>minute</em> is a whole number of minutes since 1970-01-01T00:00Z; it is written as a {@code long} inside
 * the core, where millions are compared, and as an {@link java.time.Instant} at its edges.
 */
@NullMarked
package gastfreund.core.time;

import org.jspecify.annotations.NullMarked;
