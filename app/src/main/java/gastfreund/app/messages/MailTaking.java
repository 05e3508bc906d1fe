package gastfreund.app.messages;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import java.io.IOException;

/** Whoever knows what to do with a mail that comes into the house's mailbox. */
public interface MailTaking {

    /**
     * Takes a mail.
     *
     * @return whether it was theirs; then nobody else is asked
     */
    boolean take(Message mail) throws MessagingException, IOException;
}
