package gastfreund.app.messages;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A letter that is to be sent, before it is written: what it says is decided where it is caused, how it is said when it
 * goes out.
 *
 * @param order what it is about; null where it is about none
 * @param recipient a mail address, or a telephone in the form of E.164
 * @param kind what it is, as {@code confirmation}
 * @param language in which it is to be written
 * @param facts what it says, as JSON in the form of whoever writes it
 */
public record Letter(@Nullable Long order, String kind, String recipient, Locale language, String facts) {

    /** Whether a recipient is a telephone and no mail address. */
    static boolean isTelephone(String recipient) {
        return recipient.startsWith("+") && recipient.indexOf('@') < 0;
    }

    /** Whether it goes as a text message: to a telephone, and not to a mail address. */
    public boolean isText() {
        return isTelephone(recipient);
    }
}
