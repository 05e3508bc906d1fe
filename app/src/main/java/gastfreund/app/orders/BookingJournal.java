package gastfreund.app.orders;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.orders.BookingSteps;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Takes the steps of bookings, refuses those that are not allowed, and keeps each with who, when and why. */
@Component
public class BookingJournal {

    private final JournalStore steps;
    private final BookingStore bookings;
    private final OrderStore store;

    BookingJournal(OrderStore store, BookingStore bookings, JournalStore steps) {
        this.steps = steps;
        this.bookings = bookings;
        this.store = store;
    }

    /** @throws IllegalStateException where the core does not allow the step */
    public void move(Order order, OrderLine line, BookingStatus to, Actor who, String why, Instant now) {
        if (!BookingSteps.allows(line.status(), to)) {
            throw new IllegalStateException("a booking cannot go from " + line.status() + " to " + to);
        }
        bookings.setStatus(line.booking(), to);
        note(order, line, to, who, why, now);
    }

    /** An order takes a step, unless it is there already. */
    public void moveOrder(Order order, OrderStatus to, Actor who, Instant now) {
        if (order.status() != to) {
            store.moveOrder(order.id(), to);
            String number = Long.toString(order.number());
            steps.write(
                    new JournalEntry(order.id(), "order", number, order.status().code(), to.code(), who, "", now), now);
        }
    }

    /** Notes something about a booking that stays where it is. */
    public void note(Order order, OrderLine line, Actor who, String why, Instant now) {
        note(order, line, line.status(), who, why, now);
    }

    /** Notes something about an order that stays where it is. */
    public void noteOrder(Order order, Actor who, String why, Instant now) {
        String status = order.status().code();
        String number = Long.toString(order.number());
        steps.write(new JournalEntry(order.id(), "order", number, status, status, who, why, now), now);
    }

    private void note(Order order, OrderLine line, BookingStatus to, Actor who, String why, Instant now) {
        steps.write(
                new JournalEntry(
                        order.id(),
                        "booking",
                        line.booking().value(),
                        line.status().code(),
                        to.code(),
                        who,
                        why,
                        now),
                now);
    }
}
