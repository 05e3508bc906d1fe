/** What takes time: bookings, what becomes of them, and busy times ({@code docs/openings.md}, section "Commitments"). */
@NullMarked
package gastfreund.core.bookings;

import org.jspecify.annotations.NullMarked;
