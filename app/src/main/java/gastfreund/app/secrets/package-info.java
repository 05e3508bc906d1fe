/**
 * What cannot be guessed, and what cannot be read without the key.
 *
 * <p>Called by: whoever keeps or gives out a secret. Its door: {@link gastfreund.app.secrets.Secrets}.
 */
@NullMarked
package gastfreund.app.secrets;

import org.jspecify.annotations.NullMarked;
