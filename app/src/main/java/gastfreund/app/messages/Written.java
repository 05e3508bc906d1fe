package gastfreund.app.messages;

import org.jspecify.annotations.Nullable;

/**
 * A letter as it goes out.
 *
 * @param text the part for those who read no HTML
 * @param reply where answers go; empty: where the house has said
 * @param unsubscribe the address to which a mail program posts where its reader wants no more of these (RFC 8058); empty: none
 * @param calendar an iCalendar file to go with it; null: none
 */
public record Written(
        String subject, String text, String html, @Nullable String calendar, String unsubscribe, String reply) {

    /** One of which there is nothing to unsubscribe. */
    public Written(String subject, String text, String html, @Nullable String calendar) {
        this(subject, text, html, calendar, "");
    }

    public Written(String subject, String text, String html, @Nullable String calendar, String unsubscribe) {
        this(subject, text, html, calendar, unsubscribe, "");
    }

    /** The same, answered elsewhere. */
    public Written answeredAt(String address) {
        return new Written(subject, text, html, calendar, unsubscribe, address);
    }
}
