package gastfreund.app.messages;

import gastfreund.app.house.Settings;
import gastfreund.app.house.Tokens;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes messages in the transaction that causes them, and sends them after it, again and again until they are gone. */
@Service
public class Outbox {

    private static final Logger LOG = LoggerFactory.getLogger(Outbox.class);
    private static final Duration FIRST_PAUSE = Duration.ofSeconds(15);
    private static final int LONGEST_DOUBLING = 10;

    private final OutboxStore store;
    private final JavaMailSender mail;
    private final Settings settings;
    private final Tokens tokens;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ReentrantLock sending = new ReentrantLock();

    Outbox(
            OutboxStore store,
            JavaMailSender mail,
            Settings settings,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.mail = mail;
        this.settings = settings;
        this.tokens = tokens;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Takes a message; belongs into the transaction that causes it. */
    public void put(Letter letter) {
        store.insert(tokens.next(), letter, clock.instant());
    }

    /** Sends what is due. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.outbox:1s}")
    public void send() {
        if (!sending.tryLock()) {
            return;
        }
        try {
            store.due(clock.instant()).forEach(this::send);
        } finally {
            sending.unlock();
        }
    }

    private void send(OutboxStore.Waiting waiting) {
        try {
            mail.send(message(waiting));
            transaction.executeWithoutResult(status -> store.sent(waiting.id(), clock.instant()));
        } catch (MailException | MessagingException e) {
            LOG.warn("message {} to {} will be tried again: {}", waiting.id(), waiting.letter().recipient(), e.getMessage());
            Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(waiting.tries(), LONGEST_DOUBLING));
            Instant next = clock.instant().plus(pause);
            transaction.executeWithoutResult(status -> store.failed(waiting.id(), next, String.valueOf(e.getMessage())));
        }
    }

    private MimeMessage message(OutboxStore.Waiting waiting) throws MessagingException {
        Letter letter = waiting.letter();
        MimeMessage message = new Identified(mail.createMimeMessage(), waiting.id(), settings.mailFrom());
        MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
        helper.setFrom(settings.mailFrom());
        helper.setTo(letter.recipient());
        helper.setSubject(letter.subject());
        helper.setText(letter.text(), letter.html());
        if (letter.calendar() != null) {
            helper.addAttachment(
                    "booking.ics",
                    new ByteArrayResource(letter.calendar().getBytes(StandardCharsets.UTF_8)),
                    "text/calendar; charset=UTF-8; method=PUBLISH");
        }
        return message;
    }

    /** Keeps one Message-ID over all tries, so that a mail server that saw a message before can tell. */
    private static final class Identified extends MimeMessage {

        private final String id;

        Identified(MimeMessage template, String id, String from) {
            super(template.getSession());
            this.id = "<" + id + from.substring(from.indexOf('@')) + ">";
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
        }
    }
}
