package gastfreund.app.letters;

import gastfreund.app.orders.Order;
import java.time.Clock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who wants no letters after bookings any more; all others concern what was booked, and go. */
@Service
public class Unsubscribing {

    private final UnsubscribedStore store;
    private final Clock clock;

    Unsubscribing(UnsubscribedStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** Whether the guest of an order wants none. */
    public boolean has(Order order) {
        return store.has(order.contact().email());
    }

    /** The guest of an order wants none from now on, or some again. */
    @Transactional
    public void set(Order order, boolean none) {
        if (none) {
            store.add(order.contact().email(), clock.instant());
        } else {
            store.remove(order.contact().email());
        }
    }
}
