package gastfreund.app.orders;

import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.openings.BookingStatus;
import java.time.Clock;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Orders that wait for their money: the gateway is asked about them, and they end in vain or are called off. */
@Service
class Waiting {

    private static final Logger LOG = LoggerFactory.getLogger(Waiting.class);

    private final OrderStore store;
    private final DueStore due;
    private final BookingJournal journal;
    private final Outcomes outcomes;
    private final PaymentService payments;
    private final OrderLetters letters;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Waiting(
            OrderStore store,
            DueStore due,
            BookingJournal journal,
            Outcomes outcomes,
            PaymentService payments,
            OrderLetters letters,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.due = due;
        this.journal = journal;
        this.outcomes = outcomes;
        this.payments = payments;
        this.letters = letters;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Asks the gateway about orders that have waited a while, since a notification may never come. */
    void askAbout(Instant since) {
        due.waitingSince(since).forEach(payments::askAbout);
    }

    /** Asks the gateway about balances that guests went to pay. */
    void askAboutBalances() {
        payments.ordersPayingBalances().forEach(payments::askAbout);
    }

    /**
     * Ends orders whose places are no longer kept, once the gateway has said that no money comes any more. One that fails
     * does not keep the others waiting.
     */
    void endInVain() {
        for (long id : due.waitingInVain(clock.instant())) {
            try {
                if (payments.giveUp(id)) {
                    transaction.executeWithoutResult(status -> lapse(id));
                }
            } catch (RuntimeException e) {
                LOG.error("order {} will be looked at again", id, e);
            }
        }
    }

    private void lapse(long id) {
        Order order = store.byId(id).orElseThrow();
        if (order.status() == OrderStatus.WAITING) {
            end(order, BookingStatus.LAPSED, "house", "not paid in time");
            if (payments.ofOrder(id).stream().anyMatch(Payment::isTransfer)) {
                letters.transferMissed(store.byId(id).orElseThrow());
            }
        }
    }

    /**
     * Calls an order off that waits for its money: its places are free at once.
     *
     * @param who {@code guest}, or the host
     * @return {@code CHANGED} where it waits no longer, or the gateway cannot be asked whether money has come
     */
    Endings.Outcome callOff(Order order, String who) {
        if (order.status() != OrderStatus.WAITING || !payments.giveUp(order.id())) {
            return Endings.Outcome.CHANGED;
        }
        return transaction.execute(status -> {
            Order current = store.byId(order.id()).orElseThrow();
            if (current.status() != OrderStatus.WAITING) {
                return Endings.Outcome.CHANGED;
            }
            end(current, BookingStatus.CANCELLED, who, "called off");
            letters.calledOff(store.byId(order.id()).orElseThrow());
            return Endings.Outcome.DONE;
        });
    }

    private void end(Order order, BookingStatus to, String who, String why) {
        Instant now = clock.instant();
        for (OrderLine line : order.lines()) {
            if (line.status() == BookingStatus.HELD) {
                outcomes.lose(order, line, to, who, why, now);
            }
        }
        boolean stands = !store.byId(order.id()).orElseThrow().standing().isEmpty();
        journal.moveOrder(order, stands ? OrderStatus.PLACED : OrderStatus.LAPSED, who, now);
    }
}
