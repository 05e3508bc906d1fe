package gastfreund.app.messages;

import org.jspecify.annotations.Nullable;

/**
 * A message to be sent.
 *
 * @param order what it is about; null where it is about none
 * @param kind what it is, as {@code confirmation}
 * @param calendar an iCalendar file to go with it; null: none
 */
public record Letter(
        @Nullable Long order,
        String kind,
        String recipient,
        String subject,
        String text,
        String html,
        @Nullable String calendar) {}
