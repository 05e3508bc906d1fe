package gastfreund.app.effects;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Comparison;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Everything that is booked from today on. Whoever drags an edge asks what it does many times in a minute, so what was read is
 * kept until a booking, the catalogue or the minute changes it.
 */
@Component
public class Ahead {

    private record Kept(House house, long version, long minute, Booked booked) {}

    private final BookedStore store;
    private final BookingChanges changes;
    private final Reading reading;
    private volatile @Nullable Kept kept;

    Ahead(BookedStore store, BookingChanges changes, Reading reading) {
        this.store = store;
        this.changes = changes;
        this.reading = reading;
    }

    /** @param house as it is in the catalogue */
    public Booked of(House house, Instant now) {
        long minute = now.getEpochSecond() / 60;
        // Read before the bookings are: a booking that comes meanwhile makes it anew.
        long version = changes.version();
        Kept current = kept;
        if (current == null || current.house() != house || current.version() != version || current.minute() != minute) {
            LocalDate today = house.zone().dateOf(now);
            Interval ahead = Interval.between(
                    house.zone().startOf(today.minusDays(2)),
                    house.zone().startOf(today.plusDays(Comparison.MOST_DAYS)));
            current = new Kept(house, version, minute, reading.ofNow(() -> store.touching(ahead, now)));
            kept = current;
        }
        return current.booked();
    }
}
