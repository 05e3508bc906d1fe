package gastfreund.app.messages;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.secrets.Tokens;
import jakarta.activation.DataHandler;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Date;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.stereotype.Component;

/**
 * Makes mails of letters: a text and an HTML part, a calendar file, and, where that changes events that somebody has already, the
 * change as a third part for programs that take it in by themselves (RFC 6047).
 */
@Component
class Mails {

    private static final Pattern METHOD = Pattern.compile("(?m)^METHOD:([A-Z]++)");
    private static final String UTF_8 = StandardCharsets.UTF_8.name();

    private final JavaMailSender sender;
    private final MailSettings settings;
    private final CatalogueService catalogues;
    private final Tokens tokens;
    private final Clock clock;

    Mails(JavaMailSender sender, MailSettings settings, CatalogueService catalogues, Tokens tokens, Clock clock) {
        this.sender = sender;
        this.settings = settings;
        this.catalogues = catalogues;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** @param id of the letter, which its mail keeps over all tries */
    void send(String id, String recipient, Written written) throws MessagingException {
        sender.send(message(id, recipient, written));
    }

    /** Sends what is no letter of the outbox. */
    void send(String recipient, Written written) throws MessagingException {
        send(tokens.next(), recipient, written);
    }

    private MimeMessage message(String id, String recipient, Written written) throws MessagingException {
        Session session = sender.createMimeMessage().getSession();
        MimeMessage message = new Identified(session, id, settings.mailFrom());
        Optional<Catalogue> house = catalogues.find();
        message.setFrom(from(house.map(Mails::sender).orElse("")));
        message.setRecipient(MimeMessage.RecipientType.TO, new InternetAddress(recipient, true));
        String reply = written.reply().isEmpty() ? house.map(Mails::reply).orElse("") : written.reply();
        if (!reply.isEmpty() && !reply.equalsIgnoreCase(settings.mailFrom())) {
            message.setReplyTo(new InternetAddress[] {new InternetAddress(reply, true)});
        }
        if (!written.unsubscribe().isEmpty()) {
            message.setHeader("List-Unsubscribe", "<" + written.unsubscribe() + ">");
            message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
        }
        message.setSubject(written.subject(), UTF_8);
        message.setSentDate(Date.from(clock.instant()));
        if (written.html().isEmpty()) {
            message.setText(written.text(), UTF_8);
            return message;
        }
        MimeMultipart ways = new MimeMultipart("alternative");
        ways.addBodyPart(part(written.text() + foot(house), "text/plain; charset=UTF-8"));
        ways.addBodyPart(part(written.html(), "text/html; charset=UTF-8"));
        String calendar = written.calendar();
        if (calendar == null) {
            message.setContent(ways);
            return message;
        }
        String type = "text/calendar; charset=UTF-8; method=" + method(calendar);
        if (!type.endsWith("PUBLISH")) {
            ways.addBodyPart(part(calendar, type));
        }
        MimeBodyPart first = new MimeBodyPart();
        first.setContent(ways);
        MimeBodyPart file = part(calendar, type);
        file.setFileName("booking.ics");
        file.setDisposition(MimeBodyPart.ATTACHMENT);
        MimeMultipart all = new MimeMultipart("mixed");
        all.addBodyPart(first);
        all.addBodyPart(file);
        message.setContent(all);
        return message;
    }

    private static String sender(Catalogue house) {
        String own = house.extras().mailing().sender();
        return own.isEmpty() ? house.house().name() : own;
    }

    private static String reply(Catalogue house) {
        String own = house.extras().mailing().reply();
        return own.isEmpty() ? house.extras().about().email() : own;
    }

    private static String foot(Optional<Catalogue> house) {
        String foot = house.map(c -> c.extras().mailing().foot()).orElse("");
        return foot.isEmpty() ? "" : "\n-- \n" + foot + "\n";
    }

    private InternetAddress from(String house) throws MessagingException {
        try {
            return new InternetAddress(settings.mailFrom(), house, UTF_8);
        } catch (UnsupportedEncodingException e) {
            throw new MessagingException("the house's name cannot be written", e);
        }
    }

    private static MimeBodyPart part(String content, String type) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setDataHandler(new DataHandler(new ByteArrayDataSource(content.getBytes(StandardCharsets.UTF_8), type)));
        return part;
    }

    private static String method(String calendar) {
        Matcher matcher = METHOD.matcher(calendar);
        return matcher.find() ? matcher.group(1) : "PUBLISH";
    }

    /** The id of the letter that a Message-ID is of; null where it is none of ours. */
    static @Nullable String letterOf(String messageId) {
        String plain = messageId.strip();
        int at = plain.indexOf('@');
        return plain.startsWith("<") && at > 1 ? plain.substring(1, at) : null;
    }

    /** Keeps one Message-ID over all tries, so that a mail server that saw a message before can tell. */
    private static final class Identified extends MimeMessage {

        private final String id;

        Identified(Session session, String id, String from) {
            super(session);
            this.id = "<" + id + from.substring(from.indexOf('@')) + ">";
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
        }
    }
}
