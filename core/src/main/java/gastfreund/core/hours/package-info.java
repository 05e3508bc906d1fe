/**
 * When a house, a place, a person or a resource is open: weekly windows, exceptions by date, and the layers that an
 * opening must pass ({@code docs/openings.md}, section "Hours").
 */
@NullMarked
package gastfreund.core.hours;

import org.jspecify.annotations.NullMarked;
