package gastfreund.app.payments;

import gastfreund.app.journal.Actor;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.till.Hand;
import gastfreund.app.till.Till;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is to be done with payments that have been made: captures, releases and refunds. Each is decided and written in
 * the transaction that causes it, carried out after, and may be carried out again without harm, since it has its own key.
 */
@Service
public class PaymentSteps {

    private final PaymentStore store;
    private final Gateways gateways;
    private final PrepaidService prepaid;
    private final Rounds rounds;
    private final Tokens tokens;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Till till;
    private final Clock clock;

    PaymentSteps(
            PaymentStore store,
            Gateways gateways,
            PrepaidService prepaid,
            Rounds rounds,
            Tokens tokens,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            Till till,
            Clock clock) {
        this.store = store;
        this.gateways = gateways;
        this.prepaid = prepaid;
        this.rounds = rounds;
        this.tokens = tokens;
        this.events = events;
        this.transaction = transaction;
        this.till = till;
        this.clock = clock;
    }

    /** Decides to give back a part of what was paid with a payment. */
    public void refund(Payment payment, Money amount, String why) {
        if (payment.isVoucher()) {
            account(payment, Step.Kind.REFUND, amount);
            prepaid.giveBack(payment.voucher(), payment.order(), amount, why);
            return;
        }
        step(payment, Step.Kind.REFUND, null, amount, why);
    }

    /** Decides to take what was authorised for a booking. */
    public void capture(Payment payment, @Nullable BookingId booking, Money amount) {
        step(payment, Step.Kind.CAPTURE, booking, amount, "");
    }

    /** Decides to let go what was authorised. */
    public void release(Payment payment, Money amount, String why) {
        step(payment, Step.Kind.RELEASE, null, amount, why);
    }

    private void step(Payment payment, Step.Kind kind, @Nullable BookingId booking, Money amount, String why) {
        store.insertStep(new Step(tokens.next(), payment.id(), kind, booking, amount), why, clock.instant());
    }

    /**
     * Decides to give back an amount of what was paid for a booking, or for a voucher or pass that was bought. It goes the
     * way it came: through the gateways at most what they paid of it, then onto the vouchers what they paid of it, and by
     * hand last ({@code docs/money.md}, "Vouchers and passes").
     *
     * @param subject the booking, or what was bought
     * @return what goes back by itself; the rest is handed back by hand
     * @throws IllegalArgumentException where more is to go back than was paid
     */
    public Money refund(long order, String subject, Money amount, String why) {
        Map<String, Payment> payments = new LinkedHashMap<>();
        store.ofOrder(order).stream()
                .sorted(Comparator.comparing(PaymentSteps::turn))
                .forEach(p -> payments.put(p.id(), p));
        Map<String, PaymentStore.Part> parts = new HashMap<>();
        store.partsOf(subject).forEach(p -> parts.put(p.payment(), p));
        Money left = amount;
        Money through = Money.ZERO;
        for (Payment payment : payments.values()) {
            PaymentStore.Part part = parts.get(payment.id());
            Money piece = part == null ? Money.ZERO : left.atMost(part.left()).atMost(refundable(payment));
            if (part != null && piece.isPositive()) {
                store.refundPart(part, piece);
                through = through.plus(giveBack(payment, piece, why));
                left = left.minus(piece);
            }
        }
        // What was paid before it was written down which payment paid for what.
        for (Payment payment : payments.values()) {
            Money piece = left.atMost(unwritten(store.find(payment.id()).orElseThrow()));
            if (piece.isPositive()) {
                through = through.plus(giveBack(payment, piece, why));
                left = left.minus(piece);
            }
        }
        if (left.isPositive()) {
            throw new IllegalArgumentException("more is to go back than was paid");
        }
        return through;
    }

    /** @return what of it goes back by itself */
    private Money giveBack(Payment payment, Money amount, String why) {
        Payment current = store.find(payment.id()).orElseThrow();
        if (current.isByHand()) {
            account(current, Step.Kind.REFUND, amount);
            Hand.find(current.gateway()).ifPresent(hand -> till.gave(hand, amount, current.order()));
            return Money.ZERO;
        }
        refund(current, amount, why);
        return amount;
    }

    /** Gateways give back first, then vouchers, then hands. */
    private static int turn(Payment payment) {
        return payment.isByHand() ? 2 : payment.isVoucher() ? 1 : 0;
    }

    private Money unwritten(Payment payment) {
        Money written = Money.sum(store.partsOfPayment(payment.id()).stream()
                .map(PaymentStore.Part::left)
                .toList());
        return refundable(payment).minus(written).notBelowZero();
    }

    /**
     * What the house has of a payment, or has decided to capture, and has not yet decided to give back. Steps are carried
     * out in the order in which they were decided, so that a capture comes before the refund of what it takes.
     */
    private Money refundable(Payment payment) {
        if (payment.isByHand() || payment.isVoucher()) {
            return payment.kept();
        }
        Money taken = payment.captureLater() ? decided(payment, Step.Kind.CAPTURE) : payment.captured();
        return taken.minus(decided(payment, Step.Kind.REFUND)).notBelowZero();
    }

    private Money decided(Payment payment, Step.Kind kind) {
        return Money.sum(store.stepsOf(payment.id()).stream()
                .filter(s -> s.kind() == kind)
                .map(Step::amount)
                .toList());
    }

    /** What is authorised of a payment and not decided to be captured or let go. */
    public Money undecided(Payment payment) {
        if (!payment.authorised().isPositive()) {
            return Money.ZERO;
        }
        return payment.amount()
                .minus(decided(payment, Step.Kind.CAPTURE))
                .minus(decided(payment, Step.Kind.RELEASE))
                .notBelowZero();
    }

    /** Carries out what was decided. */
    void carryOut() {
        rounds.each(
                Kind.STEP,
                store.stepsToDo(clock.instant()).stream()
                        .map(step -> new Entry(step.id(), () -> carryOut(step)))
                        .toList());
    }

    private void carryOut(Step step) {
        Payment payment = store.find(step.payment()).orElseThrow();
        String key = step.kind().code() + "-" + step.id();
        Gateway gateway = gateways.byName(payment.gateway());
        switch (step.kind()) {
            case CAPTURE -> gateway.capture(key, payment.atGateway(), step.amount());
            case RELEASE -> gateway.release(key, payment.atGateway(), step.amount());
            case REFUND -> gateway.refund(key, payment.atGateway(), step.amount());
        }
        transaction.executeWithoutResult(status -> carriedOut(step, Actor.GATEWAY));
    }

    private boolean carriedOut(Step step, Actor who) {
        boolean done = store.done(step, clock.instant());
        if (done) {
            Payment before = store.find(step.payment()).orElseThrow();
            account(before, step.kind(), step.amount());
            events.publishEvent(new PaymentMoved(store.find(step.payment()).orElseThrow(), before.state(), who));
        }
        return done;
    }

    private void account(Payment payment, Step.Kind kind, Money amount) {
        Money captured = kind == Step.Kind.CAPTURE ? payment.captured().plus(amount) : payment.captured();
        Money released = kind == Step.Kind.RELEASE ? payment.released().plus(amount) : payment.released();
        Money refunded = kind == Step.Kind.REFUND ? payment.refunded().plus(amount) : payment.refunded();
        PaymentState state = PaymentState.after(payment.amount(), captured, released, refunded);
        store.amounts(payment.id(), captured, released, refunded, state);
    }

    /** Refunds of transfers that the host has not yet sent. */
    public List<HandBack> toHandBack() {
        return store.toHandBack();
    }

    /** Notes that the host has sent a refund of a transfer; false where that was noted before, or a gateway sends it. */
    public boolean handedBack(String step, Actor host) {
        return Boolean.TRUE.equals(transaction.execute(status -> store.step(step)
                .filter(s -> s.kind() == Step.Kind.REFUND)
                .filter(s -> store.find(s.payment()).orElseThrow().isTransfer())
                .map(s -> carriedOut(s, host))
                .orElse(false)));
    }
}
