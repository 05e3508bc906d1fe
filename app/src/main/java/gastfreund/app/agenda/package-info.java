/**
 * The agenda: all that can be had by time, as a day, a week or a month, and from there into the basket.
 *
 * <p>Called by: guests who care about the time first. Its door: {@link gastfreund.app.agenda.Agenda}.
 */
@NullMarked
package gastfreund.app.agenda;

import org.jspecify.annotations.NullMarked;
