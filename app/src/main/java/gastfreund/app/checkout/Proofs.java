package gastfreund.app.checkout;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.ProofKeys;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.paying.Outcomes;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Guests who show that a mail address is theirs, by a link in a letter. Nobody keeps places with addresses that they
 * invented: an order of which nothing is paid now is booked only then, and a place that waits for a transfer is kept until
 * the transfer's date only then.
 */
@Service
class Proofs {

    private final BookingStore bookings;
    private final OrderStore store;
    private final BookingJournal journal;
    private final Outcomes outcomes;
    private final PaymentService payments;
    private final ProofKeys keys;
    private final Clock clock;

    Proofs(
            OrderStore store,
            BookingJournal journal,
            Outcomes outcomes,
            PaymentService payments,
            ProofKeys keys,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.store = store;
        this.journal = journal;
        this.outcomes = outcomes;
        this.payments = payments;
        this.keys = keys;
        this.clock = clock;
    }

    boolean fits(Order order, String key) {
        return keys.fits(order, key);
    }

    /** Takes in that the guest has opened the link; a second time changes nothing. */
    @Transactional
    public void give(Order order) {
        Order current = store.byId(order.id()).orElseThrow();
        if (!current.isToBeProven()) {
            return;
        }
        store.setProof(order.id(), Order.Proof.GIVEN);
        journal.noteOrder(current, Actor.GUEST, Cause.ADDRESS_CONFIRMED.code(), clock.instant());
        Optional<Payment> transfer = payments.ofOrder(order.id()).stream()
                .filter(Payment::isTransfer)
                .findFirst();
        if (transfer.isEmpty()) {
            outcomes.proven(current);
        } else if (transfer.get().state().isOpen() && current.status() == OrderStatus.WAITING) {
            bookings.extendHolds(order.id(), transfer.get().awaitedUntil());
        }
    }
}
