package gastfreund.app.messages;

import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.search.FlagTerm;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Reads what mail servers say later of mails that they could not deliver (RFC 3464), and notes it at the letters. */
@Component
public class Bounces {

    private static final Logger LOG = LoggerFactory.getLogger(Bounces.class);
    private static final int MOST = 100;
    private static final int MOST_BYTES = 64 * 1024;
    private static final String PATIENCE = "10000";
    private static final Pattern FAILED = Pattern.compile("(?im)^Action:[ \\t]*+failed\\b");
    private static final Pattern WHY = Pattern.compile("(?im)^Diagnostic-Code:[ \\t]*+(.*)$");
    private static final Pattern MESSAGE = Pattern.compile("(?im)^Message-ID:[ \\t]*+(<[^>\\s]++>)");

    private final BounceSettings settings;
    private final Outbox outbox;

    Bounces(BounceSettings settings, Outbox outbox) {
        this.settings = settings;
        this.outbox = outbox;
    }

    /** What the parts of a report say. */
    private static final class Report {
        private boolean failed;
        private String why = "";
        private @Nullable String message;
    }

    /** Reads what has come since the last time. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.bounces:1m}")
    public void read() {
        if (settings.host().isBlank()) {
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
                    take(message);
                }
            }
        } catch (MessagingException e) {
            LOG.warn("the mailbox for what comes back cannot be read: {}", e.getMessage());
        }
    }

    private void take(Message message) throws MessagingException {
        try {
            if (message.isMimeType("multipart/report")) {
                Report report = new Report();
                read(message, report);
                String letter = report.message == null ? null : Mails.letterOf(report.message);
                if (report.failed && letter != null) {
                    outbox.bounced(letter, report.why);
                }
            }
        } catch (IOException e) {
            LOG.warn("a mail that came back cannot be read: {}", e.getMessage());
        }
        message.setFlag(Flags.Flag.SEEN, true);
    }

    private static void read(Part part, Report report) throws MessagingException, IOException {
        if (part.getContent() instanceof Multipart parts) {
            for (int i = 0; i < parts.getCount(); i++) {
                read(parts.getBodyPart(i), report);
            }
        } else if (part.isMimeType("message/delivery-status")) {
            String status = text(part);
            report.failed = FAILED.matcher(status).find();
            Matcher why = WHY.matcher(status);
            report.why = why.find() ? why.group(1).strip() : "";
        } else if (part.isMimeType("message/rfc822") || part.isMimeType("text/rfc822-headers")) {
            Matcher id = MESSAGE.matcher(text(part));
            report.message = id.find() ? id.group(1) : null;
        }
    }

    private static String text(Part part) throws MessagingException, IOException {
        return new String(part.getInputStream().readNBytes(MOST_BYTES), StandardCharsets.UTF_8);
    }
}
