package gastfreund.standins.mail;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import gastfreund.standins.StandinsSettings;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Takes in mail for everybody over SMTP and keeps it in memory. */
@Component
public class MailServer implements DisposableBean {

    private final GreenMail server;

    MailServer(StandinsSettings settings) {
        ServerSetup setup = new ServerSetup(settings.smtpPort(), "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
        server = new GreenMail(setup);
        server.start();
    }

    /** The port at which mail is taken in. */
    public int port() {
        return server.getSmtp().getPort();
    }

    /**
     * All messages, the last one first; a message's number is its place in the order in which they came, from 1. One that
     * comes again with the Message-ID of an earlier one is the earlier one, as for any mail program.
     */
    List<Letter> letters() {
        MimeMessage[] messages = server.getReceivedMessages();
        Set<String> seen = new HashSet<>();
        List<Letter> letters = new ArrayList<>();
        for (int i = 0; i < messages.length; i++) {
            if (seen.add(idOf(messages[i], i))) {
                letters.add(Letter.of(i + 1, messages[i]));
            }
        }
        Collections.reverse(letters);
        return letters;
    }

    private static String idOf(MimeMessage message, int number) {
        try {
            return message.getMessageID() == null ? "number " + number : message.getMessageID();
        } catch (MessagingException e) {
            return "number " + number;
        }
    }

    @Override
    public void destroy() {
        server.stop();
    }
}
