package gastfreund.app.messages;

import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.search.FlagTerm;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Reads what comes into the house's mailbox, and hands it to those who know what to do with it. */
@Component
public class Mailbox {

    private static final Logger LOG = LoggerFactory.getLogger(Mailbox.class);
    private static final int MOST = 100;
    private static final String PATIENCE = "10000";

    private final MailboxSettings settings;
    private final List<MailTaking> takers;

    Mailbox(MailboxSettings settings, List<MailTaking> takers) {
        this.settings = settings;
        this.takers = takers;
    }

    /** Reads what has come since the last time. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.mailbox:1m}")
    public synchronized void read() {
        if (!settings.isRead()) {
            return;
        }
        String protocol = settings.secure() ? "imaps" : "imap";
        Properties properties = new Properties();
        properties.put(String.join(".", "mail", protocol, "connectiontimeout"), PATIENCE);
        properties.put(String.join(".", "mail", protocol, "timeout"), PATIENCE);
        try (Store store = Session.getInstance(properties).getStore(protocol)) {
            store.connect(settings.host(), settings.port(), settings.user(), settings.password());
            try (Folder inbox = store.getFolder("INBOX")) {
                inbox.open(Folder.READ_WRITE);
                Message[] fresh = inbox.search(new FlagTerm(new Flags(Flags.Flag.SEEN), false));
                for (Message message : Arrays.copyOf(fresh, Math.min(fresh.length, MOST))) {
                    takeOrLeave(message);
                }
            }
        } catch (MessagingException e) {
            LOG.warn("the mailbox cannot be read: {}", e.getMessage());
        }
    }

    /** What cannot be kept just now stays for the next time, and is in nobody's way. */
    private void takeOrLeave(Message message) throws MessagingException {
        try {
            take(message);
        } catch (RuntimeException e) {
            LOG.error("a mail in the mailbox cannot be taken in", e);
        }
    }

    /** What nobody knows is left alone, but not asked about again. */
    private void take(Message message) throws MessagingException {
        try {
            for (MailTaking taker : takers) {
                if (taker.take(message)) {
                    break;
                }
            }
        } catch (IOException | MessagingException e) {
            LOG.warn("a mail in the mailbox cannot be read: {}", e.getMessage());
        }
        message.setFlag(Flags.Flag.SEEN, true);
    }
}
