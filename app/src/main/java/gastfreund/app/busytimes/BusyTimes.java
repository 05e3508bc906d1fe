package gastfreund.app.busytimes;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.calendars.BusyFile;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.StaffId;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads other calendars of those who serve, every few minutes. What was read takes openings away as bookings do; what could be
 * read last stays while an address fails.
 */
@Service
public class BusyTimes {

    private static final Logger LOG = LoggerFactory.getLogger(BusyTimes.class);

    /** How far ahead busy times are worked out. */
    private static final Duration AHEAD = Duration.ofDays(430);

    /** After how long somebody is told that one cannot be read. */
    private static final Duration TOLD_AFTER = Duration.ofHours(6);

    private static final Duration BACK = Duration.ofDays(2);

    private final BusySourceStore store;
    private final CalendarFetch fetch;
    private final BookingStore bookings;
    private final CatalogueService catalogues;
    private final BusySettings settings;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ReentrantLock reading = new ReentrantLock();

    BusyTimes(
            BusySourceStore store,
            CalendarFetch fetch,
            BookingStore bookings,
            CatalogueService catalogues,
            BusySettings settings,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.fetch = fetch;
        this.bookings = bookings;
        this.catalogues = catalogues;
        this.settings = settings;
        this.transaction = transaction;
        this.clock = clock;
    }

    public List<Source> of(StaffId staff) {
        return store.of(staff);
    }

    Optional<Source> find(long id) {
        return store.find(id);
    }

    /** Follows an address from now on, and reads it at once. */
    @Transactional(propagation = Propagation.NEVER)
    public Source follow(StaffId staff, String address, String name) {
        long id = added(staff, address, name);
        read(store.find(id).orElseThrow());
        return store.find(id).orElseThrow();
    }

    /**
     * Takes a file in.
     *
     * @return why it is not taken, as a code; empty: it is
     */
    @Transactional(propagation = Propagation.NEVER)
    public String take(StaffId staff, String name, String text) {
        try {
            BusyFile.Read read = read(text);
            transaction.executeWithoutResult(t -> {
                Instant now = clock.instant();
                long id = store.add(staff, "", name, now);
                store.content(id, text, "", "");
                keep(id, staff, read, now);
            });
            return "";
        } catch (BusyFile.Refused e) {
            return code(e);
        }
    }

    private long added(StaffId staff, String address, String name) {
        Long id = transaction.execute(t -> store.add(staff, address, name, clock.instant()));
        return id == null ? 0 : id;
    }

    /** Forgets a source with all that was read of it. */
    @Transactional
    public void remove(Source source) {
        bookings.replaceBusy(source.id(), source.staff(), List.of());
        store.remove(source.id());
    }

    /**
     * Those that could not be read for six hours and of which nobody was told, each once for each time that it fails; belongs
     * into the transaction in which somebody is told.
     */
    @Transactional
    public List<Source> failing() {
        Instant now = clock.instant();
        List<Source> failing = store.failingSince(now.minus(TOLD_AFTER));
        failing.forEach(s -> store.told(s.id(), now));
        return failing;
    }

    /** Reads what is to be read; the last good state of each stays until there is a better one. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.busy:15s}")
    public void readDue() {
        if (catalogues.find().isEmpty() || !reading.tryLock()) {
            return;
        }
        try {
            for (Source source : store.due(clock.instant())) {
                try {
                    read(source);
                } catch (RuntimeException e) {
                    LOG.warn("the calendar {} could not be taken in", source.id(), e);
                    failed(source, "fault");
                }
            }
        } finally {
            reading.unlock();
        }
    }

    /** Reads one at once. */
    @Transactional(propagation = Propagation.NEVER)
    public void read(Source source) {
        CalendarFetch.Fetched fetched = source.isFile()
                ? new CalendarFetch.Unchanged()
                : fetch.fetch(source.address(), source.etag(), source.modified());
        if (fetched instanceof CalendarFetch.Failed failed) {
            failed(source, failed.error());
            return;
        }
        CalendarFetch.@Nullable Content fresh = fetched instanceof CalendarFetch.Content content ? content : null;
        String text = fresh == null ? store.content(source.id()) : fresh.text();
        try {
            BusyFile.Read read = read(text == null ? "" : text);
            transaction.executeWithoutResult(t -> {
                // It may have been removed while it was fetched.
                if (store.find(source.id()).isPresent()) {
                    if (fresh != null) {
                        store.content(source.id(), fresh.text(), fresh.etag(), fresh.modified());
                    }
                    keep(source.id(), source.staff(), read, clock.instant());
                }
            });
        } catch (BusyFile.Refused e) {
            failed(source, code(e));
        }
    }

    private BusyFile.Read read(String text) throws BusyFile.Refused {
        Instant now = clock.instant();
        return BusyFile.read(text, catalogues.catalogue().zone().id(), now.minus(BACK), now.plus(AHEAD));
    }

    private void keep(long id, StaffId staff, BusyFile.Read read, Instant now) {
        bookings.replaceBusy(id, staff, read.busy());
        store.read(
                id,
                read.occurrences(),
                read.unread(),
                String.join(", ", read.zones()),
                now,
                now.plus(settings.every()));
    }

    private void failed(Source source, String error) {
        Instant now = clock.instant();
        transaction.executeWithoutResult(t -> store.failed(source.id(), error, now, now.plus(settings.every())));
    }

    private static String code(BusyFile.Refused refused) {
        return refused.why() == BusyFile.Refused.Why.TOO_MANY ? "too-many" : "no-calendar";
    }
}
