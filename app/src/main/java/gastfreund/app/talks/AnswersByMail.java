package gastfreund.app.talks;

import gastfreund.app.messages.MailTaking;
import gastfreund.app.messages.MailboxSettings;
import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.ContentType;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Takes guests' answers to letters from the desk. They are known by the address at which they come, and by nothing else; of
 * their parts the text counts, HTML is reduced to text, and files are not taken.
 */
@Component
@Order(2)
class AnswersByMail implements MailTaking {

    private static final int MOST_BYTES = 256 * 1024;
    private static final int MOST_DEPTH = 8;

    private final MailboxSettings mailbox;
    private final Talks talks;

    AnswersByMail(MailboxSettings mailbox, Talks talks) {
        this.mailbox = mailbox;
        this.talks = talks;
    }

    /** What the parts of a mail say. */
    private static final class Parts {
        private String text = "";
        private String html = "";
        private int files;
    }

    @Override
    public boolean take(Message mail) throws MessagingException, IOException {
        List<String> keys = recipients(mail)
                .map(mailbox::keyOf)
                .filter(k -> !k.isEmpty())
                .distinct()
                .toList();
        if (keys.isEmpty()) {
            return false;
        }
        Parts parts = new Parts();
        read(mail, parts, 0);
        String words = MailWords.own(parts.text.isBlank() ? MailWords.ofHtml(parts.html) : parts.text);
        String id = mail instanceof MimeMessage m && m.getMessageID() != null
                ? m.getMessageID()
                : UUID.randomUUID().toString();
        String[] automatic = mail.getHeader("Auto-Submitted");
        boolean byItself = automatic != null && !automatic[0].strip().equalsIgnoreCase("no");
        for (String key : keys) {
            talks.fromMail(key, new Talks.Answer(from(mail), words, parts.files, key + " " + id, byItself));
        }
        return true;
    }

    /** To whom it was sent, and to whom it was delivered. */
    private static Stream<String> recipients(Message mail) throws MessagingException {
        List<String> all = new ArrayList<>();
        Address[] named = mail.getAllRecipients();
        if (named != null) {
            Arrays.stream(named)
                    .filter(InternetAddress.class::isInstance)
                    .map(a -> ((InternetAddress) a).getAddress())
                    .forEach(all::add);
        }
        for (String header : List.of("Delivered-To", "X-Original-To", "Envelope-To")) {
            String[] values = mail.getHeader(header);
            if (values != null) {
                Arrays.stream(values).map(String::strip).forEach(all::add);
            }
        }
        return all.stream().filter(Objects::nonNull);
    }

    private static String from(Message mail) throws MessagingException {
        Address[] from = mail.getFrom();
        return from != null && from.length > 0 && from[0] instanceof InternetAddress a && a.getAddress() != null
                ? a.getAddress()
                : "";
    }

    private static void read(Part part, Parts parts, int depth) throws MessagingException, IOException {
        boolean file = part.getFileName() != null || Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition());
        boolean several = !file && depth < MOST_DEPTH && part.isMimeType("multipart/*");
        if (several && part.getContent() instanceof Multipart all) {
            for (int i = 0; i < all.getCount(); i++) {
                read(all.getBodyPart(i), parts, depth + 1);
            }
        } else if (!file && part.isMimeType("text/plain")) {
            parts.text = parts.text.isEmpty() ? text(part) : parts.text + "\n" + text(part);
        } else if (!file && part.isMimeType("text/html")) {
            parts.html = parts.html + text(part);
        } else {
            parts.files++;
        }
    }

    private static String text(Part part) throws MessagingException, IOException {
        try (InputStream in = part.getInputStream()) {
            return new String(in.readNBytes(MOST_BYTES), charset(part.getContentType()));
        }
    }

    private static Charset charset(@Nullable String type) {
        try {
            String name = type == null ? null : new ContentType(type).getParameter("charset");
            return name == null ? StandardCharsets.UTF_8 : Charset.forName(name);
        } catch (MessagingException | IllegalCharsetNameException | UnsupportedCharsetException e) {
            return StandardCharsets.UTF_8;
        }
    }
}
