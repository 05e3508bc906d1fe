package gastfreund.app.sharing;

import gastfreund.app.hosts.Host;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.typed.MailAddress;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;

/** Sends the lines to whoever makes a website. */
@Service
class LinesByMail {

    private final Outbox outbox;

    LinesByMail(Outbox outbox) {
        this.outbox = outbox;
    }

    /**
     * @param to whoever gets them
     * @param title of what they show
     * @return false where the address is none
     */
    @Transactional
    boolean send(Host host, String to, String title, String lines, Locale language) {
        String recipient = to.strip();
        if (!MailAddress.isOne(recipient)) {
            return false;
        }
        String facts = JsonNodeFactory.instance
                .objectNode()
                .put("by", host.email())
                .put("title", title)
                .put("lines", lines)
                .toString();
        outbox.putForGuest(new Letter(null, LinesLetters.KIND, recipient, language, facts));
        return true;
    }
}
