package gastfreund.app.lookedfor;

import gastfreund.app.sources.DayMarks;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Counts what guests look for and do not find, each guest once a day for each thing. It counts in memory and writes now and
 * then, so that no look waits for the write lock; what a crash loses are some looks.
 */
@Component
public class LookedFor {

    /** For how many days it is kept. */
    public static final int DAYS = 90;

    /** So many things are told apart between two writings; what is more is not counted. */
    private static final int MOST = 2_000;

    private final LookedForStore store;
    private final TransactionTemplate transaction;
    private final DayMarks marks = new DayMarks();
    private final Clock clock;
    private final Map<Key, Counted> counts = new LinkedHashMap<>();

    LookedFor(LookedForStore store, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.transaction = transaction;
        this.clock = clock;
    }

    private record Key(LocalDate on, InVain alike) {}

    /**
     * Somebody sees that something cannot be had.
     *
     * @param on the date on which they ask, by the house's clock
     * @param visitor their mark; where it is empty nobody has asked
     */
    public synchronized void inVain(InVain asked, LocalDate on, String visitor) {
        Key key = new Key(on, asked.alike());
        if (!visitor.isEmpty()
                && (counts.size() < MOST || counts.containsKey(key))
                && marks.isNew(on, key + " " + visitor)) {
            counts.merge(
                    key,
                    new Counted(asked, on, 1),
                    (old, more) -> new Counted(old.asked(), on, old.guests() + more.guests()));
        }
    }

    /** Takes in what was counted elsewhere. */
    public void takeIn(Counted one) {
        transaction.executeWithoutResult(t -> store.add(one));
    }

    /** What was asked for from a date on, the earliest first. */
    public List<Counted> since(LocalDate from) {
        return store.since(from);
    }

    /** Writes down what was counted since the last time. */
    @PreDestroy
    @Scheduled(
            fixedDelayString = "${gastfreund.jobs.sightings:20s}",
            initialDelayString = "${gastfreund.jobs.sightings:20s}")
    public synchronized void write() {
        if (!counts.isEmpty()) {
            transaction.executeWithoutResult(t -> {
                counts.values().forEach(store::add);
                store.forgetBefore(
                        LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(DAYS + 1L));
            });
            counts.clear();
        }
    }
}
