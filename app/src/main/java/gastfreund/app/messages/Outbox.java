package gastfreund.app.messages;

import gastfreund.app.pages.Address;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.secrets.Tokens;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.core.NestedExceptionUtils;
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

    /** What the kinds of letters begin with that somebody has asked for who may not be their reader. */
    public static final String ASKED = "asked.";

    private static final Duration DAY = Duration.ofDays(1);

    private final OutboxStore store;
    private final JavaMailSender mail;
    private final List<LetterWriting> writings;
    private final MailSettings mailed;
    private final Address address;
    private final Rounds rounds;
    private final Tokens tokens;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ReentrantLock sending = new ReentrantLock();

    Outbox(
            OutboxStore store,
            JavaMailSender mail,
            List<LetterWriting> writings,
            MailSettings mailed,
            Address address,
            Rounds rounds,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.mail = mail;
        this.writings = writings;
        this.mailed = mailed;
        this.address = address;
        this.rounds = rounds;
        this.tokens = tokens;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Takes a message to the house; belongs into the transaction that causes it. */
    public void put(Letter letter) {
        Instant now = clock.instant();
        store.insert(tokens.next(), letter, now, now);
    }

    /**
     * Takes a message to a guest; belongs into the transaction that causes it. An address gets so many letters in a day
     * and no more, since anybody can write anybody's address into a form: what is beyond waits for the next days.
     */
    public void putForGuest(Letter letter) {
        Instant now = clock.instant();
        int ahead = store.countSince(letter.recipient(), now.minus(DAY));
        store.insert(
                tokens.next(),
                letter,
                now,
                now.plus(DAY.multipliedBy(ahead / mailed.limits().letters())));
    }

    /**
     * Takes a message that somebody has asked for, who may not be its reader, unless a like one went to the same address
     * lately. Its kind begins with {@link #ASKED}: it does not count among the letters that an address gets in a day, or
     * whoever asks again and again would keep the others waiting.
     *
     * @param lately for how long that is
     */
    public void putUnlessLately(Letter letter, Duration lately) {
        Instant now = clock.instant();
        if (!store.hasSince(letter.recipient(), letter.kind(), now.minus(lately))) {
            store.insert(tokens.next(), letter, now, now);
        }
    }

    /** Whether letters can go out: a sender and the house's own address must have been set. */
    public boolean canSend() {
        return !mailed.mailFrom().isBlank() && address.canBeWritten();
    }

    /**
     * A letter of an order, as it was written or would be now.
     *
     * @param letter to whom
     */
    public record Shown(Letter letter, Written written) {}

    /** The letters of an order, the first one first. */
    public List<Shown> written(long order) {
        return store.ofOrder(order).stream()
                .map(w -> new Shown(w.letter(), w.written() == null ? written(w.letter()) : completed(w.written())))
                .toList();
    }

    /**
     * Sends a few words to somebody at once, past all letters.
     *
     * @return why it could not be sent, as the mail server says it; empty: it was taken
     */
    public String trySending(String recipient, String subject, String words) {
        return trySending(recipient, new Written(subject, words, "", null));
    }

    /** The same with a letter as it would go out. */
    public String trySending(String recipient, Written letter) {
        if (mailed.mailFrom().isBlank()) {
            return "GASTFREUND_MAIL_FROM";
        }
        try {
            MimeMessage message = mail.createMimeMessage();
            MimeMessageHelper helper =
                    new MimeMessageHelper(message, !letter.html().isEmpty(), StandardCharsets.UTF_8.name());
            helper.setFrom(mailed.mailFrom());
            helper.setTo(recipient);
            helper.setSubject(letter.subject());
            if (letter.html().isEmpty()) {
                helper.setText(letter.text());
            } else {
                helper.setText(letter.text(), letter.html());
            }
            mail.send(message);
            return "";
        } catch (MessagingException | MailException e) {
            return String.valueOf(NestedExceptionUtils.getMostSpecificCause(e).getMessage());
        }
    }

    /** How many letters wait. */
    public int waiting() {
        return store.countWaiting();
    }

    /** Sends what is due. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.outbox:1s}")
    public void send() {
        if (!canSend() || !sending.tryLock()) {
            return;
        }
        try {
            rounds.each(
                    Kind.LETTER,
                    store.due(clock.instant()).stream()
                            .map(waiting -> new Entry(waiting.id(), () -> send(waiting)))
                            .toList());
        } finally {
            sending.unlock();
        }
    }

    private void send(OutboxStore.Waiting waiting) {
        Written written = waiting.written() == null ? written(waiting.letter()) : completed(waiting.written());
        try {
            mail.send(message(waiting, written));
        } catch (MessagingException e) {
            throw new IllegalStateException("the letter cannot be written as a mail", e);
        }
        transaction.executeWithoutResult(status -> store.sent(waiting.id(), written, clock.instant()));
    }

    private Written written(Letter letter) {
        return writings.stream()
                .filter(w -> w.writes(letter.kind()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("nobody writes letters of the kind " + letter.kind()))
                .write(letter);
    }

    /** What was written before the address was known. */
    private Written completed(Written written) {
        String calendar = written.calendar();
        return new Written(
                written.subject(),
                address.completed(written.text()),
                address.completed(written.html()),
                calendar == null ? null : address.completed(calendar));
    }

    private MimeMessage message(OutboxStore.Waiting waiting, Written written) throws MessagingException {
        MimeMessage message = new Identified(mail.createMimeMessage(), waiting.id(), mailed.mailFrom());
        MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
        helper.setFrom(mailed.mailFrom());
        helper.setTo(waiting.letter().recipient());
        helper.setSubject(written.subject());
        helper.setText(written.text(), written.html());
        if (written.calendar() != null) {
            helper.addAttachment(
                    "booking.ics",
                    new ByteArrayResource(written.calendar().getBytes(StandardCharsets.UTF_8)),
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
