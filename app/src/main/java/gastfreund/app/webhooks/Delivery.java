package gastfreund.app.webhooks;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A message on its way to somebody, or there.
 *
 * @param message the id of the message, which stays the same however often it is sent
 * @param tries how often it was sent
 * @param next when it is sent again; null: it is not
 * @param state {@code waiting}, {@code there} or {@code lost}
 * @param answer what came back the last time: a status, or why none came
 * @param last when it was sent last; null: never
 */
record Delivery(
        long id,
        String webhook,
        String address,
        String message,
        String type,
        String body,
        int tries,
        @Nullable Instant next,
        String state,
        String answer,
        @Nullable Instant last) {}
