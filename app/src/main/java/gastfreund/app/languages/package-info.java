/**
 * The languages that are spoken, and how amounts, times and durations are said in them.
 *
 * <p>Called by: everybody. Its door: {@link gastfreund.app.languages.Formats}.
 */
@NullMarked
package gastfreund.app.languages;

import org.jspecify.annotations.NullMarked;
