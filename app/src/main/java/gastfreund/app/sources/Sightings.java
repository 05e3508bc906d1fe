package gastfreund.app.sources;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Counts who looks and who keeps, by where they came from. It counts in memory and writes now and then, so that no look waits
 * for the write lock; what a crash loses are some looks.
 */
@Component
public class Sightings {

    /** For how long the desk tells what came of a source. */
    public static final int DAYS = 90;

    private static final int KEPT_DAYS = 400;

    /** So many sources are told apart between two writings; what is more is not counted. */
    private static final int MOST_SOURCES = 500;

    private final SightingStore store;
    private final TransactionTemplate transaction;
    private final Clock clock;

    private final Map<String, int[]> counts = new HashMap<>();
    private final DayMarks marks = new DayMarks();
    private LocalDate day = LocalDate.EPOCH;

    Sightings(SightingStore store, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Somebody looks at what is offered; each visitor counts once a day for a source, the empty one included; no mark is nobody's. */
    public synchronized void looked(String source, String visitor) {
        today();
        if (!visitor.isEmpty() && marks.isNew(day, source + " " + visitor)) {
            count(source, 0);
        }
    }

    /** Somebody who came from a source has begun a basket. */
    public synchronized void kept(String source) {
        today();
        count(source, 1);
    }

    /** Takes in what was counted elsewhere on a day. */
    public void takeIn(LocalDate date, String source, int looked, int kept) {
        store.add(date, source, looked, kept);
    }

    private void count(String source, int which) {
        if (counts.size() < MOST_SOURCES || counts.containsKey(source)) {
            counts.computeIfAbsent(source, s -> new int[2])[which]++;
        }
    }

    /** What came of each source in the last days, the most booked first. */
    public List<Came> lately() {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
        LocalDate from = today.minusDays(DAYS);
        Instant start = from.atStartOfDay(ZoneOffset.UTC).toInstant();
        return store.between(from, today, start, now.plusSeconds(1)).stream()
                .filter(c -> !c.source().equals(Source.NONE))
                .toList();
    }

    /**
     * What came of each source between two instants, the most booked first; whoever came from nowhere that is known, too. Who
     * looked is counted by whole dates (UTC).
     */
    public List<Came> between(Instant from, Instant to) {
        return store.between(
                LocalDate.ofInstant(from, ZoneOffset.UTC),
                LocalDate.ofInstant(to.minusSeconds(1), ZoneOffset.UTC),
                from,
                to);
    }

    /** A new day begins: what was counted belongs to the one before. */
    private void today() {
        LocalDate now = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        if (!now.equals(day)) {
            write();
            day = now;
        }
    }

    /** Writes down what was counted since the last time. */
    @PreDestroy
    @Scheduled(
            fixedDelayString = "${gastfreund.jobs.sightings:20s}",
            initialDelayString = "${gastfreund.jobs.sightings:20s}")
    public synchronized void write() {
        if (!counts.isEmpty()) {
            transaction.executeWithoutResult(t -> {
                counts.forEach((source, count) -> store.add(day, source, count[0], count[1]));
                store.forgetBefore(day.minusDays(KEPT_DAYS));
            });
            counts.clear();
        }
    }
}
