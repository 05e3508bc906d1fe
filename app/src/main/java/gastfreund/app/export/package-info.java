/**
 * All that a house has, as open files ({@code docs/running.md}).
 *
 * <p>Called by: the command {@code export}. Its door: {@link gastfreund.app.export.HouseExport}.
 */
@NullMarked
package gastfreund.app.export;

import org.jspecify.annotations.NullMarked;
