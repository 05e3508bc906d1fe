/**
 * What a house sells and what it needs for it: offers with lengths, parties, add-ons, staff, resources and places, and
 * what one line of a basket costs ({@code docs/openings.md}; {@code docs/money.md}, steps 1 to 5).
 */
@NullMarked
package gastfreund.core.offers;

import org.jspecify.annotations.NullMarked;
