package gastfreund.app.baskets;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Hold;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.CatalogueService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Holds places while a host writes down for whom they are. Whether a place may be held is asked by whoever calls. */
@Service
public class DeskHolds {

    private final BookingStore bookings;
    private final BasketStore store;
    private final CatalogueService catalogues;
    private final Clock clock;

    DeskHolds(BookingStore bookings, BasketStore store, CatalogueService catalogues, Clock clock) {
        this.bookings = bookings;
        this.store = store;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** What a host holds; empty where it is over, or was none. */
    public Optional<BasketLine> held(String basket) {
        Instant now = clock.instant();
        List<BasketLine> lines = basket.isEmpty() ? List.of() : store.lines(basket);
        return lines.stream().filter(l -> l.isHeld(now)).findFirst();
    }

    /**
     * Holds a place instead of the one that was held before; belongs into the transaction in which it was found to be free.
     *
     * @param basket made here where it is only a name yet
     * @param who the mark of whoever holds it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(String basket, Reserved reserved, String who) {
        release(basket);
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        if (!store.exists(basket)) {
            store.insert(basket, "", now);
        }
        Duration time = Duration.ofMinutes(catalogues.catalogue().holdMinutes());
        bookings.insertHold(basket, reserved, Hold.from(now, now.plus(time)), who);
    }

    /** All that is held, the first one first. */
    public List<BasketLine> all(String basket) {
        Instant now = clock.instant();
        return store.lines(basket).stream()
                .filter(l -> l.isHeld(now))
                .sorted(Comparator.comparing(l -> l.time().start()))
                .toList();
    }

    /** Holds a place beside what is held; belongs into the transaction in which all of it is booked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void holdMore(String basket, Reserved reserved, String who) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Duration time = Duration.ofMinutes(catalogues.catalogue().holdMinutes());
        bookings.insertHold(basket, reserved, Hold.from(now, now.plus(time)), who);
    }

    /** Gives back what is held. */
    @Transactional
    public void release(String basket) {
        held(basket).ifPresent(line -> bookings.release(basket, line.id()));
    }

    /** Notes how its guest came. */
    @Transactional
    public void cameBy(String basket, String source) {
        store.setSource(basket, source);
    }
}
