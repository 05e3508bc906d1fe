package gastfreund.app.rounds;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Goes through entries one by one. One that throws keeps no other waiting: it is noted with the reason, rests for a pause
 * that grows with each try, and is shown to hosts once it was tried often enough in vain.
 */
@Service
public class Rounds implements Attention, Part {

    private static final Logger LOG = LoggerFactory.getLogger(Rounds.class);
    private static final Duration FIRST_PAUSE = Duration.ofSeconds(5);
    private static final Duration LONGEST_PAUSE = Duration.ofHours(1);
    private static final Duration NOTED = Duration.ofHours(1);
    private static final int MOST_DOUBLINGS = 10;

    /** After so many tries in vain somebody is told. */
    private static final int PATIENCE = 4;

    /** After so long it does not come by itself any more. */
    private static final Duration STUCK = Duration.ofDays(1);

    private static final int MOST_ERROR = 300;

    private final WorkStore store;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Rounds(WorkStore store, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Does each entry that does not rest; the statement that found them has left out those that do. */
    public void each(Kind kind, List<Entry> entries) {
        for (Entry entry : entries) {
            try {
                entry.work().run();
                if (store.tries(kind, entry.subject()) > 0) {
                    transaction.executeWithoutResult(status -> store.done(kind, entry.subject()));
                }
            } catch (RuntimeException e) {
                failed(kind, entry, e);
            }
        }
    }

    /** Since when a kind of work may not have been gone through: at most an hour more than it is. */
    public Instant since(Kind kind) {
        Instant now = clock.instant();
        return store.last(kind).filter(last -> last.isBefore(now)).orElse(now);
    }

    /** Notes that a kind of work was gone through, once an hour. */
    public void wentThrough(Kind kind) {
        Instant now = clock.instant();
        if (store.last(kind).filter(last -> last.plus(NOTED).isAfter(now)).isEmpty()) {
            transaction.executeWithoutResult(status -> store.note(kind, now));
        }
    }

    private void failed(Kind kind, Entry entry, RuntimeException e) {
        LOG.debug("why", e);
        try {
            Instant now = clock.instant();
            Instant next = now.plus(pause(store.tries(kind, entry.subject())));
            String error = said(e);
            LOG.warn(
                    "{} {} will be tried again at {}: {}",
                    kind.code(),
                    entry.subject(),
                    next,
                    e.getClass().getSimpleName());
            transaction.executeWithoutResult(status -> store.failed(kind, entry.subject(), error, now, next));
        } catch (RuntimeException again) {
            LOG.error("that {} {} failed could not be noted", kind.code(), entry.subject(), again);
        }
    }

    /** The pause after so many tries before: doubled each time, up to an hour. */
    static Duration pause(int triesBefore) {
        Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(triesBefore, MOST_DOUBLINGS));
        return pause.compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : pause;
    }

    private static String said(RuntimeException e) {
        Throwable root = e;
        while (root.getCause() != null && root.getCause() != root) {
            root = root.getCause();
        }
        String message = e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
        String cause = root == e || root.getMessage() == null ? "" : ": " + root.getMessage();
        String whole = message.contains(cause) ? message : message + cause;
        return whole.length() > MOST_ERROR ? whole.substring(0, MOST_ERROR) : whole;
    }

    /** What was tried so often in vain that somebody should look at it. */
    public List<Stuck> stuck() {
        return store.stuck(PATIENCE);
    }

    @Override
    public int waiting() {
        return store.countStuck(PATIENCE);
    }

    @Override
    public String code() {
        return "rounds";
    }

    @Override
    public Condition condition() {
        Backlog stuck = store.backlog(PATIENCE);
        return Condition.waiting(stuck.count(), stuck.oldest(), clock.instant(), Duration.ZERO, STUCK);
    }

    /** Lets everything that is stuck be tried at once. */
    public void tryNow() {
        transaction.executeWithoutResult(status -> store.tryNow(PATIENCE, clock.instant()));
    }
}
