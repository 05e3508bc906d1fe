package gastfreund.app.companions;

import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Who comes along to bookings. */
@Service
public class Companions {

    public static final int MOST_NAME = 80;

    private final CompanionStore store;
    private final Clock clock;

    Companions(CompanionStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** Those of a booking, in the order in which they were invited. */
    public List<Companion> of(BookingId booking) {
        return store.of(booking);
    }

    /**
     * Adds somebody; belongs into the transaction that writes to them.
     *
     * @param most how many can come along
     * @return empty where that many do already, or this address does
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Companion> add(BookingId booking, String name, String email, int most) {
        String address = email.toLowerCase(Locale.ROOT);
        if (store.of(booking).size() >= most || !store.insert(booking, name, address, clock.instant())) {
            return Optional.empty();
        }
        return store.of(booking).stream().filter(c -> c.email().equals(address)).findFirst();
    }

    /** Takes somebody off; belongs into the transaction that writes to them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Companion> remove(BookingId booking, long id) {
        Optional<Companion> one =
                store.of(booking).stream().filter(c -> c.id() == id).findFirst();
        one.ifPresent(c -> store.delete(booking, id));
        return one;
    }

    /** Forgets those of an order. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(long order) {
        store.forget(order);
    }
}
