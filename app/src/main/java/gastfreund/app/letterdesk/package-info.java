/**
 * The letters of the house at the desk: all that go out along the life of a booking, their words, and how a guest gets them.
 *
 * <p>Called by: nobody. Its door: {@link gastfreund.app.letterdesk.LettersPage}.
 */
@NullMarked
package gastfreund.app.letterdesk;

import org.jspecify.annotations.NullMarked;
