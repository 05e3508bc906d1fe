package gastfreund.app.openings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.springframework.stereotype.Component;

/**
 * What takes time, for whoever asks what can be booked. Guests ask for much the same weeks, so what was read for one is kept for
 * the next until a booking or a busy time changes it; a hold that ends meanwhile ends in what is kept too. What a transaction has
 * written itself is read anew: nobody is promised a place by what is kept.
 */
@Component
public class BookedNow {

    private static final long WEEK = 7 * 1440;

    /** So many bookings are kept together, in as many stretches as that is. */
    private static final long MOST = 100_000;

    private static final int OF_A_STRETCH = 100;
    private static final Duration LONGEST = Duration.ofMinutes(15);

    /**
     * A stretch as it was read.
     *
     * @param version of the bookings
     * @param at when it was read: a hold that had ended then is not in it
     */
    private record Kept(long version, Instant at, Booked booked) {

        boolean holds(long now, Instant asked) {
            return version == now && !asked.isBefore(at);
        }
    }

    private final BookedStore store;
    private final BookingChanges changes;
    private final Reading reading;
    private final Cache<Interval, Kept> kept = Caffeine.newBuilder()
            .maximumWeight(MOST)
            .weigher((Interval stretch, Kept one) ->
                    OF_A_STRETCH + one.booked().bookings().size())
            .expireAfterAccess(LONGEST)
            .build();

    BookedNow(BookedStore store, BookingChanges changes, Reading reading) {
        this.store = store;
        this.changes = changes;
        this.reading = reading;
    }

    /** What takes time in a stretch, and more around it. */
    public Booked touching(Interval reach, Instant now) {
        if (reading.isWriting() || reach.start() == reach.end()) {
            return store.touching(reach, now);
        }
        // Whole weeks, so that many ask for the same.
        Interval weeks = Interval.between(
                Math.floorDiv(reach.start(), WEEK) * WEEK, Math.floorDiv(reach.end() + WEEK - 1, WEEK) * WEEK);
        Kept there = kept.asMap().compute(weeks, (stretch, before) -> {
            // Read before the bookings are: one that comes meanwhile makes it anew.
            long version = changes.version();
            return before != null && before.holds(version, now)
                    ? before
                    : new Kept(version, now, reading.ofNow(() -> store.touching(stretch, now)));
        });
        return Objects.requireNonNull(there).booked();
    }
}
