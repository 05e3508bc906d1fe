package gastfreund.app.messages;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The house's mailbox, read over IMAP: answers of guests come into it, and what could not be delivered.
 *
 * @param host empty: it is not read
 * @param user its name at the server; its mail address, where none is set
 * @param address the mail address whose mails come into it, also where a word follows its name after a plus sign (RFC 5233)
 * @param secure whether the connection is encrypted
 */
@ConfigurationProperties("gastfreund.mailbox")
public record MailboxSettings(
        @DefaultValue("") String host,
        @DefaultValue("993") int port,
        @DefaultValue("") String user,
        @DefaultValue("") String password,
        @DefaultValue("") String address,
        @DefaultValue("true") boolean secure) {

    /** Whether it is read. */
    public boolean isRead() {
        return !host.isBlank();
    }

    /** The address that brings an answer back with a key; empty where no mailbox is read. */
    public String addressOf(String key) {
        String own = address.isBlank() ? user : address;
        int at = own.lastIndexOf('@');
        return isRead() && at > 0 ? own.substring(0, at) + "+" + key + own.substring(at) : "";
    }

    /** The key in an address of {@link #addressOf}; empty: it is none. */
    public String keyOf(String recipient) {
        String own = address.isBlank() ? user : address;
        int at = own.lastIndexOf('@');
        String before = at > 0 ? own.substring(0, at) + "+" : "";
        String after = at > 0 ? own.substring(at) : "";
        boolean ours = at > 0
                && recipient.length() > before.length() + after.length()
                && recipient.regionMatches(true, 0, before, 0, before.length())
                && recipient.regionMatches(true, recipient.length() - after.length(), after, 0, after.length());
        return ours ? recipient.substring(before.length(), recipient.length() - after.length()) : "";
    }
}
