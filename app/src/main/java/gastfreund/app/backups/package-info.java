/**
 * Backups of all that the house has, taken while it runs, and how they are put back.
 *
 * <p>Called by: the command line, and the house's files at the desk. Its door: {@link gastfreund.app.backups.Backup}.
 */
@NullMarked
package gastfreund.app.backups;

import org.jspecify.annotations.NullMarked;
