package gastfreund.app.paying;

import gastfreund.app.documents.Documents;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.openings.Promises;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentMoved;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.orders.BookingSteps;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** What becomes of an order when money comes, comes too late, or does not come. */
@Component
public class Outcomes {

    private final JournalStore written;
    private final Promises promises;
    private final OrderStore store;
    private final BookingJournal journal;
    private final PaymentService payments;
    private final PaymentSteps steps;
    private final OrderLetters letters;
    private final Documents documents;
    private final PrepaidService prepaid;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Outcomes(
            OrderStore store,
            BookingJournal journal,
            PaymentService payments,
            PaymentSteps steps,
            OrderLetters letters,
            Documents documents,
            PrepaidService prepaid,
            TransactionTemplate transaction,
            Clock clock,
            Promises promises,
            JournalStore written) {
        this.written = written;
        this.promises = promises;
        this.store = store;
        this.journal = journal;
        this.payments = payments;
        this.steps = steps;
        this.letters = letters;
        this.documents = documents;
        this.prepaid = prepaid;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Runs inside the transaction in which the payment moved: both happen, or neither. */
    @EventListener
    void moved(PaymentMoved moved) {
        Payment payment = moved.payment();
        Order order = store.byId(payment.order()).orElseThrow();
        written.write(
                new JournalEntry(
                        order.id(),
                        "payment",
                        payment.id(),
                        moved.from().code(),
                        payment.state().code(),
                        moved.who(),
                        payment.reason(),
                        clock.instant()),
                clock.instant());
        boolean arrived = moved.from() == PaymentState.CREATED || moved.from() == PaymentState.EXPIRED;
        if (arrived && (payment.state() == PaymentState.CAPTURED || payment.state() == PaymentState.AUTHORISED)) {
            if (payment.booking() == null) {
                secured(order, payment);
            } else {
                balancePaid(order, payment);
            }
        }
    }

    /** What was due with the order has been paid, or authorised where something waits for the host's yes. */
    private void secured(Order order, Payment payment) {
        Money others = Money.sum(payments.ofOrder(order.id()).stream()
                .filter(p -> p.booking() == null && !p.id().equals(payment.id()))
                .map(Payment::secured)
                .toList());
        if (others.compareTo(order.dueNow()) >= 0) {
            giveBack(payment, payment.amount(), Cause.PAID_TWICE.code());
            return;
        }
        payments.dropTransfers(order.id());
        Instant now = clock.instant();
        Money left = payment.amount();
        for (OrderLine line : order.lines()) {
            Money owed = line.open();
            if (waits(line) && owed.compareTo(left) <= 0 && isToBeHad(line, now)) {
                BookingStatus to = BookingSteps.whenSecured(line.sold().confirm());
                move(order, line, to, Cause.PAID.code(), now);
                if (to == BookingStatus.CONFIRMED) {
                    take(payment, line, owed);
                }
                left = left.minus(owed);
            } else if (line.status() == BookingStatus.HELD) {
                lose(order, line, Cause.PLACE_GONE_WHEN_PAID.code(), now);
            } else if (line.status() == BookingStatus.CONFIRMED) {
                Money part = owed.atMost(left);
                take(payment, line, part);
                left = left.minus(part);
            }
        }
        List<Prepaid> issued = new ArrayList<>();
        List<Goods> wares = new ArrayList<>();
        for (Goods goods : prepaid.goodsOfOrder(order.id())) {
            boolean lapsed = order.status() == OrderStatus.LAPSED;
            if (!goods.isIssued() && goods.price().compareTo(left) <= 0 && prepaid.isToBeHad(goods, lapsed)) {
                if (payment.captureLater()) {
                    steps.capture(payment, null, goods.price());
                }
                payments.pays(payment, goods.id(), goods.price());
                if (goods.isWare()) {
                    prepaid.sell(goods);
                    wares.add(goods);
                } else {
                    issued.add(prepaid.issue(goods));
                }
                left = left.minus(goods.price());
            }
        }
        // Whatever nothing has use for goes back: places that were gone, and what was cancelled meanwhile.
        if (left.isPositive()) {
            giveBack(payment, left, Cause.PLACE_GONE_WHEN_PAID.code());
        }
        tell(order, issued, wares, left, now);
    }

    /** The guest has shown that the mail address is theirs, and nothing is due now: what is still to be had is booked. */
    public void proven(Order order) {
        Instant now = clock.instant();
        for (OrderLine line : order.lines()) {
            if (waits(line) && isToBeHad(line, now)) {
                BookingStatus to = BookingSteps.whenPlaced(line.sold().confirm(), true);
                journal.move(order, line, to, Actor.GUEST, Cause.ADDRESS_CONFIRMED.code(), now);
            } else if (line.status() == BookingStatus.HELD) {
                lose(order, line, Cause.PLACE_GONE_WHEN_CONFIRMED.code(), now);
            }
        }
        boolean stands = !store.byId(order.id()).orElseThrow().standing().isEmpty();
        moveOrder(order, stands ? OrderStatus.PLACED : OrderStatus.LAPSED, now);
        if (stands) {
            Order placed = store.byId(order.id()).orElseThrow();
            documents.receipt(placed, placed.booked(), List.of());
            letters.placed(placed);
        }
    }

    private void tell(Order order, List<Prepaid> issued, List<Goods> wares, Money back, Instant now) {
        Order after = store.byId(order.id()).orElseThrow();
        boolean bought = !issued.isEmpty() || !wares.isEmpty();
        boolean stands = !after.standing().isEmpty() || bought;
        boolean told = order.status() == OrderStatus.PLACED;
        moveOrder(after, stands || told ? OrderStatus.PLACED : OrderStatus.LAPSED, now);
        Order placed = store.byId(order.id()).orElseThrow();
        if (!stands) {
            letters.tooLate(placed, back);
            return;
        }
        List<OrderLine> news = told ? List.of() : placed.booked();
        documents.receipt(placed, news, bought ? paidFor(order) : List.of());
        if (!told && !placed.standing().isEmpty()) {
            letters.placed(placed);
        }
        if (bought) {
            letters.issued(placed, issued, wares);
        }
    }

    private List<Goods> paidFor(Order order) {
        return prepaid.goodsOfOrder(order.id()).stream().filter(Goods::isIssued).toList();
    }

    /** A line that waits for money, or did; one that a pass paid for has given its visits back when it lapsed. */
    private static boolean waits(OrderLine line) {
        return line.status() == BookingStatus.HELD
                || line.status() == BookingStatus.LAPSED && !line.covered().isPositive();
    }

    private void lose(Order order, OrderLine line, String why, Instant now) {
        lose(order, line, BookingStatus.LAPSED, Actor.HOUSE, why, now);
    }

    /** A place goes back, and with it what vouchers and passes had paid. */
    void lose(Order order, OrderLine line, BookingStatus to, Actor who, String why, Instant now) {
        journal.move(order, line, to, who, why, now);
        if (line.paid().isPositive()) {
            steps.refund(order.id(), line.booking().value(), line.paid(), why);
            store.addPaid(line.booking(), Money.ZERO.minus(line.paid()));
        }
        prepaid.giveVisitsBack(line.booking(), order.id(), why);
    }

    /** Takes an amount for a line: it has been captured with the payment, or is captured now. */
    private void take(Payment payment, OrderLine line, Money amount) {
        if (amount.isPositive()) {
            if (payment.captureLater()) {
                steps.capture(payment, line.booking(), amount);
            }
            payments.pays(payment, line.booking().value(), amount);
            store.addPaid(line.booking(), amount);
        }
    }

    private void giveBack(Payment payment, Money amount, String why) {
        if (payment.captureLater()) {
            steps.release(payment, amount, why);
        } else {
            steps.refund(payment, amount, why);
        }
    }

    /** A balance has been paid; what is too much, or for a booking that no longer stands, goes back. */
    private void balancePaid(Order order, Payment payment) {
        OrderLine line = order.line(payment.booking()).orElseThrow();
        Money wanted = line.unpaid().atMost(payment.amount());
        if (wanted.isPositive()) {
            payments.pays(payment, line.booking().value(), wanted);
            store.addPaid(line.booking(), wanted);
        }
        Money back = payment.amount().minus(wanted);
        if (back.isPositive()) {
            steps.refund(payment, back, Cause.MORE_THAN_WAS_LEFT.code());
        }
    }

    private boolean isToBeHad(OrderLine line, Instant now) {
        boolean held = line.isHeld(now);
        return held || line.time().startInstant().isAfter(now) && promises.isToBeHad(line.reserved(), line.sold(), now);
    }

    private void move(Order order, OrderLine line, BookingStatus to, String why, Instant now) {
        journal.move(order, line, to, Actor.HOUSE, why, now);
    }

    private void moveOrder(Order order, OrderStatus to, Instant now) {
        journal.moveOrder(order, to, Actor.HOUSE, now);
    }
}
