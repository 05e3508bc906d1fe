package gastfreund.standins.mail;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import gastfreund.standins.StandinsSettings;
import jakarta.mail.internet.MimeMessage;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
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

    /** All messages, the last one first; a message's number is its place in the order in which they came, from 1. */
    List<Letter> letters() {
        MimeMessage[] messages = server.getReceivedMessages();
        List<Letter> letters = Arrays.asList(new Letter[messages.length]);
        for (int i = 0; i < messages.length; i++) {
            letters.set(i, Letter.of(i + 1, messages[i]));
        }
        Collections.reverse(letters);
        return letters;
    }

    @Override
    public void destroy() {
        server.stop();
    }
}
