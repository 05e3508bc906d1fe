/**
 * What the application keeps of a house beside what the core knows: the words, pictures and rules in the members {@code extra}
 * of a house file ({@code docs/house-format.md}), read and checked.
 *
 * <p>Called by: the catalogue, and whoever shows or follows them. Its door: {@link gastfreund.app.extras.Extras}.
 */
@NullMarked
package gastfreund.app.extras;

import org.jspecify.annotations.NullMarked;
