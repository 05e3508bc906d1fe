/** When letters are due, before and after a booking, and the hours in which none goes out ({@code docs/letters.md}). */
@NullMarked
package gastfreund.core.letters;

import org.jspecify.annotations.NullMarked;
