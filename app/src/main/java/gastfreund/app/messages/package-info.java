/**
 * Letters that wait to go out, and how they are written and sent.
 *
 * <p>Called by: whoever has something to tell. Its door: {@link gastfreund.app.messages.Outbox}.
 */
@NullMarked
package gastfreund.app.messages;

import org.jspecify.annotations.NullMarked;
