/**
 * Who did what when: actors, and the steps that orders, bookings and payments took.
 *
 * <p>Called by: everybody. Its door: {@link gastfreund.app.journal.JournalStore}.
 */
@NullMarked
package gastfreund.app.journal;

import org.jspecify.annotations.NullMarked;
