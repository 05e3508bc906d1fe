/**
 * The house itself at the desk: who it is and how it looks, its rules and papers, what it sells without a time, its texts in
 * other languages. Each is a sheet of sentences whose form changes a draft.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.housedesk.Sheets}.
 */
@NullMarked
package gastfreund.app.housedesk;

import org.jspecify.annotations.NullMarked;
