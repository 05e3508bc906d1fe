package gastfreund.app.messages;

import gastfreund.app.pages.Address;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.secrets.Tokens;
import jakarta.mail.MessagingException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.mail.MailException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes messages in the transaction that causes them, and sends them after it, again and again until they are gone. */
@Service
public class Outbox {

    /** What the kinds of letters begin with that somebody has asked for who may not be their reader. */
    public static final String ASKED = "asked.";

    private static final Logger LOG = LoggerFactory.getLogger(Outbox.class);
    private static final Duration DAY = Duration.ofDays(1);
    private static final int MOST_WHY = 300;
    private static final Duration LAST = Duration.ofDays(92);

    private final OutboxStore store;
    private final Mails mails;
    private final TextGateway texts;
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
            Mails mails,
            TextGateway texts,
            List<LetterWriting> writings,
            MailSettings mailed,
            Address address,
            Rounds rounds,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.mails = mails;
        this.texts = texts;
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

    /** Lets the letters of some kinds that were put for an order in this second wait for a while. */
    public void wait(long order, List<String> kinds, Duration pause) {
        Instant now = clock.instant();
        store.delay(order, kinds, now, now.plus(pause));
    }

    /** Takes back letters of some kinds that were put for an order from an instant on and have not gone. */
    public void withdraw(long order, List<String> kinds, Instant since) {
        store.withdraw(order, kinds, since);
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
            mails.send(recipient, letter);
            return "";
        } catch (MessagingException | MailException e) {
            return String.valueOf(NestedExceptionUtils.getMostSpecificCause(e).getMessage());
        }
    }

    /** A letter came back, as its reader's mail server says. */
    void bounced(String id, String why) {
        transaction.executeWithoutResult(status -> store.bounced(id, cut(why), clock.instant()));
    }

    private static String cut(String why) {
        return why.length() > MOST_WHY ? why.substring(0, MOST_WHY) : why;
    }

    /** The last letters of a quarter of a year, the last one first. */
    public List<Sent> last(int most) {
        return store.last(clock.instant().minus(LAST), most);
    }

    /**
     * A letter of an order with what came of it.
     *
     * @param text empty where it was not written yet, or is no longer kept
     */
    public record Told(Sent sent, String text) {}

    /** The letters of an order with what came of them, the first one first. */
    public List<Told> told(long order) {
        return store.told(order);
    }

    /** The letters of an order that did not arrive. */
    public List<Sent> lost(long order) {
        return store.lost(order);
    }

    /** What did not arrive since an instant. */
    public List<Sent> lostSince(Instant since) {
        return store.lostSince(since);
    }

    /**
     * Puts a letter again, as if it were another.
     *
     * @return whether there is such a letter
     */
    @Transactional
    public boolean again(String id) {
        return store.again(id, tokens.next(), clock.instant());
    }

    /** How many letters wait. */
    public int waiting() {
        return store.countWaiting();
    }

    /** Sends what is due; whoever asks while that is done waits for it. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.outbox:1s}")
    public void send() {
        if (!canSend()) {
            return;
        }
        sending.lock();
        try {
            rounds.each(
                    Kind.LETTER,
                    store.due(clock.instant()).stream()
                            .filter(waiting -> !waiting.letter().isText() || !texts.isQuiet())
                            .map(waiting -> new Entry(waiting.id(), () -> send(waiting)))
                            .toList());
        } finally {
            sending.unlock();
        }
    }

    private void send(OutboxStore.Waiting waiting) {
        Written written = waiting.written() == null ? written(waiting.letter()) : completed(waiting.written());
        if (waiting.letter().isText()) {
            Optional<String> refused = texts.send(waiting.id(), waiting.letter().recipient(), written.text());
            ended(waiting, written, refused);
            return;
        }
        try {
            mails.send(waiting.id(), waiting.letter().recipient(), written);
        } catch (MessagingException e) {
            throw new IllegalStateException("the letter cannot be written as a mail", e);
        } catch (MailException e) {
            Optional<String> refused = Refusals.forGood(e);
            if (refused.isEmpty()) {
                throw e;
            }
            ended(waiting, written, refused);
            return;
        }
        ended(waiting, written, Optional.empty());
    }

    /** @param refused why it will never be taken; empty: it was */
    private void ended(OutboxStore.Waiting waiting, Written written, Optional<String> refused) {
        Instant now = clock.instant();
        refused.ifPresent(why -> LOG.info("letter {} was refused for good", waiting.id()));
        transaction.executeWithoutResult(status -> refused.ifPresentOrElse(
                why -> store.lost(waiting.id(), "refused", cut(why), written, now),
                () -> store.sent(waiting.id(), written, now)));
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
                calendar == null ? null : address.completed(calendar),
                written.unsubscribe(),
                written.reply());
    }
}
