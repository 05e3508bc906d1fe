package gastfreund.app.messages;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Reads what mail servers say later of mails that they could not deliver (RFC 3464), and notes it at the letters. */
@Component
@Order(1)
class Bounces implements MailTaking {

    private static final int MOST_BYTES = 64 * 1024;
    private static final Pattern FAILED = Pattern.compile("(?im)^Action:[ \\t]*+failed\\b");
    private static final Pattern WHY = Pattern.compile("(?im)^Diagnostic-Code:[ \\t]*+(.*)$");
    private static final Pattern MESSAGE = Pattern.compile("(?im)^Message-ID:[ \\t]*+(<[^>\\s]++>)");

    private final Outbox outbox;

    Bounces(Outbox outbox) {
        this.outbox = outbox;
    }

    /** What the parts of a report say. */
    private static final class Report {
        private boolean failed;
        private String why = "";
        private @Nullable String message;
    }

    @Override
    public boolean take(Message mail) throws MessagingException, IOException {
        if (!mail.isMimeType("multipart/report")) {
            return false;
        }
        Report report = new Report();
        read(mail, report);
        String letter = report.message == null ? null : Mails.letterOf(report.message);
        if (report.failed && letter != null) {
            outbox.bounced(letter, report.why);
        }
        return true;
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
