package gastfreund.standins.mail;

import com.icegreen.greenmail.configuration.GreenMailConfiguration;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import gastfreund.standins.StandinsSettings;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Takes in mail for everybody over SMTP and keeps it in memory. */
@Component
public class MailServer implements DisposableBean {

    private static final String UTF_8 = StandardCharsets.UTF_8.name();

    private final GreenMail server;
    private final Map<String, Integer> numbers = new HashMap<>();

    private final Porter porter;

    MailServer(StandinsSettings settings, Manners manners) {
        server = new GreenMail(new ServerSetup[] {
            new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP),
            new ServerSetup(settings.imapPort(), "127.0.0.1", ServerSetup.PROTOCOL_IMAP)
        });
        server.withConfiguration(GreenMailConfiguration.aConfig().withDisabledAuthentication());
        server.start();
        porter = new Porter(settings.smtpPort(), server.getSmtp().getPort(), manners, this::sendBack);
    }

    /** The port at which mail is taken in. */
    public int port() {
        return porter.port();
    }

    /** The port at which mailboxes are read; name and password of each are its address. */
    public int imapPort() {
        return server.getImap().getPort();
    }

    /** Tells a sender that a mail could not be delivered (RFC 3464). */
    private void sendBack(String sender, String mail) {
        try {
            Session session = Session.getInstance(new Properties());
            MimeMessage report = new MimeMessage(session);
            report.setFrom("MAILER-DAEMON@post.example");
            report.setRecipients(Message.RecipientType.TO, sender);
            report.setSubject("Undelivered mail");
            MimeMultipart parts = new MimeMultipart("report; report-type=delivery-status");
            MimeBodyPart words = new MimeBodyPart();
            words.setText("Your mail could not be delivered.");
            parts.addBodyPart(words);
            parts.addBodyPart(part(
                    "message/delivery-status",
                    "Reporting-MTA: dns; post.example\r\n\r\nAction: failed\r\nStatus: 5.1.1\r\n"
                            + "Diagnostic-Code: smtp; 550 5.1.1 The mailbox is gone\r\n"));
            int end = mail.indexOf("\r\n\r\n");
            parts.addBodyPart(part("text/rfc822-headers", end < 0 ? mail : mail.substring(0, end + 2)));
            report.setContent(parts);
            report.saveChanges();
            GreenMailUser user = server.setUser(sender, sender, sender);
            user.deliver(report);
        } catch (MessagingException e) {
            throw new IllegalStateException("a report cannot be written", e);
        }
    }

    /** Sends what somebody answers to a letter, through the same door as all mail. */
    void answer(Letter letter, String words) {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", Integer.toString(port()));
        try {
            MimeMessage answer = new MimeMessage(Session.getInstance(properties));
            answer.setFrom(letter.to());
            answer.setRecipients(Message.RecipientType.TO, letter.answerTo());
            answer.setSubject("Re: " + letter.subject(), UTF_8);
            String quoted = letter.text().lines().map(l -> "> " + l).collect(Collectors.joining("\n"));
            answer.setText(words + "\n\n" + letter.from() + " wrote:\n" + quoted, UTF_8);
            Transport.send(answer);
        } catch (MessagingException e) {
            throw new IllegalStateException("the answer cannot be sent", e);
        }
    }

    private static MimeBodyPart part(String type, String text) throws MessagingException {
        InternetHeaders headers = new InternetHeaders();
        headers.addHeader("Content-Type", type);
        return new MimeBodyPart(headers, text.getBytes(StandardCharsets.US_ASCII));
    }

    /**
     * All messages, the last one first. A message has its number, from 1, from when it was first seen here, and keeps it. One that
     * comes again with the Message-ID of an earlier one is the earlier one, as for any mail program.
     */
    synchronized List<Letter> letters() {
        MimeMessage[] messages = server.getReceivedMessages();
        Map<Integer, Letter> letters = new TreeMap<>(Comparator.reverseOrder());
        for (int i = 0; i < messages.length; i++) {
            MimeMessage message = messages[i];
            int number = numbers.computeIfAbsent(idOf(message, i), id -> numbers.size() + 1);
            letters.computeIfAbsent(number, n -> Letter.of(n, message));
        }
        return List.copyOf(letters.values());
    }

    private static String idOf(MimeMessage message, int number) {
        try {
            return message.getMessageID() == null ? "number " + number : message.getMessageID();
        } catch (MessagingException e) {
            return "number " + number;
        }
    }

    @Override
    public void destroy() throws IOException {
        porter.close();
        server.stop();
    }
}
