package gastfreund.standins.mail;

import jakarta.mail.BodyPart;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Date;
import java.util.List;
import java.util.stream.Collectors;

/** A message as the viewer shows it. */
record Letter(
        int number,
        String from,
        String to,
        String answerTo,
        String subject,
        Date sent,
        String text,
        String html,
        List<Attachment> attachments) {

    /** A file that came with a message. */
    record Attachment(String name, String type, byte[] content) {}

    static Letter of(int number, MimeMessage message) {
        try {
            Parts parts = new Parts();
            parts.read(message);
            return new Letter(
                    number,
                    addresses(message.getFrom()),
                    addresses(message.getRecipients(Message.RecipientType.TO)),
                    addresses(message.getReplyTo()),
                    message.getSubject(),
                    message.getSentDate(),
                    parts.text,
                    parts.html,
                    List.copyOf(parts.attachments));
        } catch (MessagingException | IOException e) {
            throw new IllegalStateException("message " + number + " cannot be read", e);
        }
    }

    private static String addresses(jakarta.mail.Address[] addresses) {
        return addresses == null
                ? ""
                : Arrays.stream(addresses)
                        .map(a -> a instanceof InternetAddress i ? i.toUnicodeString() : a.toString())
                        .collect(Collectors.joining(", "));
    }

    /** Walks through the parts of a message. */
    private static final class Parts {

        private String text = "";
        private String html = "";
        private final List<Attachment> attachments = new ArrayList<>();

        void read(Part part) throws MessagingException, IOException {
            if (part.getFileName() != null) {
                byte[] content = part.getInputStream().readAllBytes();
                attachments.add(new Attachment(part.getFileName(), part.getContentType(), content));
            } else if (part.isMimeType("text/plain")) {
                text = part.getContent().toString();
            } else if (part.isMimeType("text/html")) {
                html = part.getContent().toString();
            } else if (part.getContent() instanceof Multipart multipart) {
                for (int i = 0; i < multipart.getCount(); i++) {
                    BodyPart child = multipart.getBodyPart(i);
                    read(child);
                }
            }
        }
    }
}
