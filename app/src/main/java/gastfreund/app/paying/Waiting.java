package gastfreund.app.paying;

import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.orders.Outcome;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.rounds.Entry;
import gastfreund.core.bookings.BookingStatus;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Orders that wait for their money: the gateway is asked about them, and they end in vain or are called off. */
@Service
public class Waiting {

    private static final Logger LOG = LoggerFactory.getLogger(Waiting.class);

    private final OrderStore store;
    private final WaitingStore waiting;
    private final BookingJournal journal;
    private final Outcomes outcomes;
    private final PaymentService payments;
    private final OrderLetters letters;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Waiting(
            OrderStore store,
            WaitingStore waiting,
            BookingJournal journal,
            Outcomes outcomes,
            PaymentService payments,
            OrderLetters letters,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.waiting = waiting;
        this.journal = journal;
        this.outcomes = outcomes;
        this.payments = payments;
        this.letters = letters;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Orders that have waited a while: the gateway is asked about them, since a notification may never come. */
    List<Entry> toAskAbout(Instant since) {
        return asks(waiting.waitingSince(since, clock.instant()));
    }

    /** Orders with balances that guests went to pay: the gateway is asked about them. */
    List<Entry> balancesToAskAbout() {
        return asks(payments.ordersPayingBalances());
    }

    private List<Entry> asks(List<Long> orders) {
        return orders.stream()
                .map(id -> new Entry(Long.toString(id), () -> payments.ask(id)))
                .toList();
    }

    /** Orders whose places are no longer kept: they end once the gateway has said that no money comes any more. */
    List<Entry> inVain() {
        return waiting.waitingInVain(clock.instant()).stream()
                .map(id -> new Entry(Long.toString(id), () -> endInVain(id)))
                .toList();
    }

    private void endInVain(long id) {
        if (!payments.giveUp(id)) {
            throw new GatewayException("the gateway does not give the payment up");
        }
        transaction.executeWithoutResult(status -> lapse(id));
    }

    private void lapse(long id) {
        Order order = store.byId(id).orElseThrow();
        if (order.status() == OrderStatus.WAITING) {
            end(order, BookingStatus.LAPSED, Actor.HOUSE, Cause.NOT_PAID_IN_TIME.code());
            if (payments.ofOrder(id).stream().anyMatch(Payment::isTransfer)) {
                letters.transferMissed(store.byId(id).orElseThrow());
            }
        }
    }

    /**
     * Calls an order off that waits for its money: its places are free at once.
     *
     * @return {@code CHANGED} where it waits no longer, or the gateway cannot be asked whether money has come
     */
    public Outcome callOff(Order order, Actor who) {
        if (order.status() != OrderStatus.WAITING || !isGivenUp(order)) {
            return Outcome.CHANGED;
        }
        return transaction.execute(status -> {
            Order current = store.byId(order.id()).orElseThrow();
            if (current.status() != OrderStatus.WAITING) {
                return Outcome.CHANGED;
            }
            end(current, BookingStatus.CANCELLED, who, Cause.CALLED_OFF.code());
            letters.calledOff(store.byId(order.id()).orElseThrow());
            return Outcome.DONE;
        });
    }

    private boolean isGivenUp(Order order) {
        try {
            return payments.giveUp(order.id());
        } catch (GatewayException e) {
            LOG.warn("order {} cannot be called off yet: {}", order.number(), e.getMessage());
            return false;
        }
    }

    private void end(Order order, BookingStatus to, Actor who, String why) {
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
