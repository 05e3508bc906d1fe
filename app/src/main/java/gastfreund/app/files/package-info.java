/**
 * The house as files: the whole of it, its offers and its promo codes, out and in again. What comes in is shown as what it
 * would change, and counts when its host says so.
 *
 * <p>Called by: the list of promo codes. Its door: {@link gastfreund.app.files.FilesController}.
 */
@NullMarked
package gastfreund.app.files;

import org.jspecify.annotations.NullMarked;
