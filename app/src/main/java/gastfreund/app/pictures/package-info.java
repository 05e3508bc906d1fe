/**
 * Pictures of the house: taken in at several widths without what a camera writes beside them, and served.
 *
 * <p>Called by: editors of whatever has a picture. Its door: {@link gastfreund.app.pictures.Pictures}.
 */
@NullMarked
package gastfreund.app.pictures;

import org.jspecify.annotations.NullMarked;
