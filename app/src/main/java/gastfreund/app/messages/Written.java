package gastfreund.app.messages;

import org.jspecify.annotations.Nullable;

/**
 * A letter as it goes out.
 *
 * @param text the part for those who read no HTML
 * @param calendar an iCalendar file to go with it; null: none
 */
public record Written(String subject, String text, String html, @Nullable String calendar) {}
