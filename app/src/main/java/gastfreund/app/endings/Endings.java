package gastfreund.app.endings;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.documents.Documents;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.orders.Outcome;
import gastfreund.app.payments.Elsewhere;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.rounds.Entry;
import gastfreund.app.till.Hand;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Answers to requests, cancellations and refunds: how bookings end, and what becomes of the money. */
@Service
public class Endings {

    private final OrderStore store;
    private final EndingStore ends;
    private final BookingJournal journal;
    private final CatalogueService catalogues;
    private final PaymentService payments;
    private final PaymentSteps steps;
    private final OrderLetters letters;
    private final Documents documents;
    private final PrepaidService prepaid;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Endings(
            OrderStore store,
            EndingStore ends,
            BookingJournal journal,
            CatalogueService catalogues,
            PaymentService payments,
            PaymentSteps steps,
            OrderLetters letters,
            Documents documents,
            PrepaidService prepaid,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.ends = ends;
        this.journal = journal;
        this.catalogues = catalogues;
        this.payments = payments;
        this.steps = steps;
        this.letters = letters;
        this.documents = documents;
        this.prepaid = prepaid;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** What a cancellation gives back now ({@code docs/money.md}, "Terms"); a request goes back whole. */
    public Terms.Outcome proposal(OrderLine line, Terms.By by) {
        Terms.By whose = line.status() == BookingStatus.REQUESTED ? Terms.By.HOST : by;
        Terms terms = line.sold().terms();
        return terms.cancel(
                line.total(),
                line.deposit(),
                line.paid(),
                line.time().startInstant(),
                clock.instant(),
                whose,
                line.floor());
    }

    /** What a cancellation by the guest gives back now. */
    public Terms.Outcome byTheTerms(OrderLine line) {
        return proposal(line, Terms.By.GUEST);
    }

    /**
     * Cancels a guest's booking by its terms.
     *
     * @param shown what the guest was told comes back
     */
    @Transactional
    public Outcome cancelByGuest(Order order, BookingId booking, Money shown, String why) {
        return cancelByTheTerms(order, booking, shown, why, Actor.GUEST);
    }

    /**
     * The same for somebody who acts for the guest.
     *
     * @param who the guest, or a program of the house
     */
    @Transactional
    public Outcome cancelByTheTerms(Order order, BookingId booking, Money shown, String why, Actor who) {
        OrderLine line = current(order, booking);
        boolean begun = !line.time().startInstant().isAfter(clock.instant());
        if (!line.canBeCancelled() || begun) {
            return Outcome.CHANGED;
        }
        Money refund = proposal(line, Terms.By.GUEST).refund();
        if (!refund.equals(shown)) {
            return Outcome.CHANGED;
        }
        end(order, line, BookingStatus.CANCELLED, refund, why, who);
        tellEnd(order, booking, "cancelled", refund, "", true);
        return Outcome.DONE;
    }

    /** What of an order its guest can cancel now: all that stands and has not begun. */
    public List<OrderLine> ahead(Order order) {
        Instant now = clock.instant();
        return order.lines().stream()
                .filter(l -> l.canBeCancelled() && l.time().startInstant().isAfter(now))
                .toList();
    }

    /**
     * Cancels all that is ahead of an order by its terms, and says so in one letter.
     *
     * @param shown what the guest was told comes back of all of it
     */
    @Transactional
    public Outcome cancelAheadByGuest(Order order, Money shown, String why) {
        List<OrderLine> ahead = ahead(now(order));
        Money refund = Money.sum(
                ahead.stream().map(l -> proposal(l, Terms.By.GUEST).refund()).toList());
        if (ahead.isEmpty() || !refund.equals(shown)) {
            return Outcome.CHANGED;
        }
        for (OrderLine line : ahead) {
            end(
                    now(order),
                    line,
                    BookingStatus.CANCELLED,
                    proposal(line, Terms.By.GUEST).refund(),
                    why,
                    Actor.GUEST);
        }
        Order after = now(order);
        List<OrderLine> ended =
                ahead.stream().map(l -> after.line(l.booking()).orElseThrow()).toList();
        letters.ended(after, ended, "cancelled", refund, "", true);
        return Outcome.DONE;
    }

    /**
     * Cancels a booking with the host's freedom.
     *
     * @param refund at most what was paid
     * @param tell whether the guest gets a mail
     */
    @Transactional
    public Outcome cancelByHost(Order order, BookingId booking, Money refund, String why, boolean tell, Actor host) {
        OrderLine line = current(order, booking);
        if (!line.canBeCancelled() || refund.compareTo(line.paid()) > 0) {
            return Outcome.CHANGED;
        }
        end(order, line, BookingStatus.CANCELLED, refund, why, host);
        tellEnd(order, booking, "cancelled-by-host", refund, why, tell);
        return Outcome.DONE;
    }

    /**
     * Gives money back and leaves the booking as it is.
     *
     * @param seen what was paid when the host decided it, so that a form that is sent twice gives back once
     */
    @Transactional
    public Outcome refund(Order order, BookingId booking, Money amount, Money seen, String why, Actor host) {
        OrderLine line = current(order, booking);
        if (!amount.isPositive() || !line.paid().equals(seen) || amount.compareTo(seen) > 0) {
            return Outcome.CHANGED;
        }
        giveBack(order, line, amount, why);
        if (line.status() != BookingStatus.REQUESTED) {
            documents.creditNote(order, line, amount, amount);
        }
        store.addWaived(booking, amount);
        String noted = Cause.GIVEN_BACK.with(why);
        journal.note(order, line, host, noted, clock.instant());
        Order after = now(order);
        letters.refunded(after, after.line(booking).orElseThrow(), amount);
        return Outcome.DONE;
    }

    /** Takes back a voucher or a pass of which nothing was used, and gives back what it cost. */
    @Transactional
    public Outcome takeBack(Order order, String id, Actor host) {
        Optional<Goods> found = prepaid.goodsOfOrder(order.id()).stream()
                .filter(g -> g.id().equals(id))
                .findFirst();
        if (found.isEmpty() || !prepaid.takeBack(found.get(), order.id(), Cause.TAKEN_BACK.code())) {
            return Outcome.CHANGED;
        }
        Goods goods = found.get();
        steps.refund(order.id(), goods.id(), goods.price(), Cause.TAKEN_BACK.code());
        documents.creditNote(order, goods);
        journal.noteOrder(order, host, Cause.TAKEN_BACK.with(goods.title()), clock.instant());
        return Outcome.DONE;
    }

    /**
     * Notes that money was paid on the spot.
     *
     * @param hand with what
     * @param seen what was paid before, so that a form that is sent twice counts once
     */
    @Transactional
    public Outcome paidOnTheSpot(Order order, BookingId booking, Hand hand, Money amount, Money seen, Actor host) {
        Runnable recorded = () -> payments.recordOnTheSpot(order.id(), booking, hand, amount, host);
        return paid(order, booking, amount, seen, recorded, host, Cause.PAID_ON_THE_SPOT.code());
    }

    /**
     * Notes that a program took money for a booking.
     *
     * @param seen what was paid before, so that a request that comes twice counts once
     */
    @Transactional
    public Outcome paidElsewhere(Order order, BookingId booking, Elsewhere paid, Money seen, Actor program) {
        Runnable recorded = () -> payments.recordElsewhere(order.id(), booking, paid.amount(), clock.instant());
        return paid(
                order, booking, paid.amount(), seen, recorded, program, Cause.PAID_ELSEWHERE.with(paid.reference()));
    }

    /** Notes money that no gateway took, where there is so much to pay and nothing was paid since somebody looked. */
    private Outcome paid(
            Order order, BookingId booking, Money amount, Money seen, Runnable recorded, Actor who, String why) {
        OrderLine line = current(order, booking);
        if (!amount.isPositive() || !line.paid().equals(seen) || amount.compareTo(line.unpaid()) > 0) {
            return Outcome.CHANGED;
        }
        recorded.run();
        store.addPaid(booking, amount);
        journal.note(order, line, who, why, clock.instant());
        return Outcome.DONE;
    }

    /** The host's yes to a request: what was authorised for it is captured. */
    @Transactional
    public Outcome accept(Order order, BookingId booking, Actor host) {
        return accept(order, booking, "", host);
    }

    /**
     * The same with a line to the guest.
     *
     * @param words what they read in the letter; empty: nothing
     */
    @Transactional
    public Outcome accept(Order order, BookingId booking, String words, Actor host) {
        OrderLine line = current(order, booking);
        if (line.status() != BookingStatus.REQUESTED) {
            return Outcome.CHANGED;
        }
        journal.move(order, line, BookingStatus.CONFIRMED, host, "", clock.instant());
        authorised(order).ifPresent(p -> {
            Money amount = line.open().atMost(steps.undecided(p));
            if (amount.isPositive()) {
                steps.capture(p, booking, amount);
                payments.pays(p, booking.value(), amount);
                store.addPaid(booking, amount);
            }
        });
        releaseRest(order);
        Order after = now(order);
        OrderLine accepted = after.line(booking).orElseThrow();
        documents.receipt(after, List.of(accepted), List.of());
        letters.accepted(after, accepted, words);
        return Outcome.DONE;
    }

    /**
     * The host's yes to a request whose price is agreed: it is named now, the place is kept, and the guest gets a letter that
     * leads to the payment.
     */
    @Transactional
    public Outcome acceptFor(Order order, BookingId booking, Money price, Actor host) {
        OrderLine line = current(order, booking);
        if (line.status() != BookingStatus.REQUESTED
                || !line.total().isZero()
                || !catalogues.catalogue().isAgreed(line.offer())) {
            return Outcome.CHANGED;
        }
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        store.reprice(booking, price, price, today, line.sold());
        Outcome outcome = accept(now(order), booking, host);
        if (outcome == Outcome.DONE && price.isPositive()) {
            Order after = now(order);
            letters.balance(after, List.of(after.line(booking).orElseThrow()), "balance");
        }
        return outcome;
    }

    /** The host's no to a request: what was authorised for it is let go. */
    @Transactional
    public Outcome decline(Order order, BookingId booking, String why, Actor host) {
        OrderLine line = current(order, booking);
        if (line.status() != BookingStatus.REQUESTED) {
            return Outcome.CHANGED;
        }
        end(order, line, BookingStatus.DECLINED, line.paid(), why, host);
        tellEnd(order, booking, "declined", null, why, true);
        return Outcome.DONE;
    }

    /** The orders with a request that waits for the host's answer, those that start the soonest first. */
    public List<Order> asking() {
        return ends.asking().stream().flatMap(id -> store.byId(id).stream()).toList();
    }

    /** How many requests wait for an answer. */
    int countAsking() {
        return ends.countAsking();
    }

    /** Requests that nobody answered in the time that the house has set, or before they start: they lapse. */
    public List<Entry> unanswered() {
        Instant now = clock.instant();
        return ends.unanswered(now.minus(Duration.ofHours(catalogues.catalogue().answerHours())), now).stream()
                .map(b -> new Entry(b.value(), () -> transaction.executeWithoutResult(status -> lapse(b))))
                .toList();
    }

    /** Lets a request lapse that nobody answered. */
    private void lapse(BookingId booking) {
        Order order = store.byBooking(booking.value()).orElseThrow();
        OrderLine line = current(order, booking);
        if (line.status() == BookingStatus.REQUESTED) {
            end(order, line, BookingStatus.LAPSED, line.paid(), Cause.NOBODY_ANSWERED.code(), Actor.HOUSE);
            tellEnd(order, booking, "unanswered", null, "", true);
        }
    }

    /** @param why what the guest is told of it; empty: nothing */
    private void tellEnd(
            Order order, BookingId booking, String kind, @Nullable Money back, String why, boolean tellGuest) {
        Order after = now(order);
        letters.ended(after, List.of(after.line(booking).orElseThrow()), kind, back, why, tellGuest);
    }

    private Order now(Order order) {
        return store.byId(order.id()).orElseThrow();
    }

    private OrderLine current(Order order, BookingId booking) {
        return now(order).line(booking).orElseThrow(() -> new IllegalArgumentException("not of this order"));
    }

    private Optional<Payment> authorised(Order order) {
        return payments.ofOrder(order.id()).stream()
                .filter(p -> steps.undecided(p).isPositive())
                .findFirst();
    }

    /** Once nothing waits for an answer, what is still put aside is of no use to anybody. */
    private void releaseRest(Order order) {
        boolean waits = now(order).lines().stream().anyMatch(l -> l.status() == BookingStatus.REQUESTED);
        for (Payment payment : waits ? List.<Payment>of() : payments.ofOrder(order.id())) {
            Money rest = steps.undecided(payment);
            if (rest.isPositive()) {
                steps.release(payment, rest, Cause.NOT_NEEDED.code());
            }
        }
    }

    private void end(Order order, OrderLine line, BookingStatus to, Money refund, String why, Actor who) {
        journal.move(order, line, to, who, why, clock.instant());
        if (line.status() == BookingStatus.REQUESTED) {
            authorised(order).ifPresent(p -> {
                Money amount = line.open().atMost(steps.undecided(p));
                if (amount.isPositive()) {
                    steps.release(p, amount, to.code());
                }
            });
            releaseRest(order);
        }
        if (line.status() != BookingStatus.REQUESTED) {
            documents.creditNoteOfEnd(order, line, refund);
        }
        if (refund.isPositive()) {
            giveBack(order, line, refund, why);
        }
        if (!who.isGuest() || givesVisitsBack(line)) {
            prepaid.giveVisitsBack(line.booking(), order.id(), to.code());
        }
    }

    /**
     * Whether a guest's cancellation now gives the visits of a pass back: where the terms keep nothing of what they were
     * worth.
     */
    public boolean givesVisitsBack(OrderLine line) {
        Terms.By by = line.status() == BookingStatus.REQUESTED ? Terms.By.HOST : Terms.By.GUEST;
        return line.covered().isPositive()
                && (by == Terms.By.HOST || !line.visitsKept())
                && line.sold()
                        .terms()
                        .cancel(
                                line.covered(),
                                Money.ZERO,
                                line.covered(),
                                line.time().startInstant(),
                                clock.instant(),
                                by)
                        .keep()
                        .isZero();
    }

    /** Decides to give money of a line back; belongs into the transaction that causes it. */
    public void giveBack(Order order, OrderLine line, Money amount, String why) {
        steps.refund(order.id(), line.booking().value(), amount, why);
        store.addPaid(line.booking(), Money.ZERO.minus(amount));
    }
}
