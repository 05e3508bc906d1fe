/**
 * What happens here, told to other programs as it happens: signed, tried again, and written down
 * ({@code docs/webhooks.md}).
 *
 * <p>Called by: nobody below; what is to be told is read from the journal. Its door: {@link gastfreund.app.webhooks.Webhooks}.
 */
@NullMarked
package gastfreund.app.webhooks;

import org.jspecify.annotations.NullMarked;
