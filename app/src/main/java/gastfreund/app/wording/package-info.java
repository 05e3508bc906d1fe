/**
 * The letters of a house in its own words: which there are, when they go, and their texts with tags for what is different in
 * each ({@code docs/letters.md}).
 *
 * <p>Called by: {@code extras}, which reads them with the house; whoever writes letters. Its door: {@link gastfreund.app.wording.HouseLetters}.
 */
@NullMarked
package gastfreund.app.wording;

import org.jspecify.annotations.NullMarked;
