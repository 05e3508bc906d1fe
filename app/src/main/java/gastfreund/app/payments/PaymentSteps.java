package gastfreund.app.payments;

import gastfreund.app.house.Tokens;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is to be done with payments that have been made: captures, releases and refunds. Each is decided and written in
 * the transaction that causes it, carried out after, and may be carried out again without harm, since it has its own key.
 */
@Service
public class PaymentSteps {

    private static final Logger LOG = LoggerFactory.getLogger(PaymentSteps.class);

    /** After so many tries in vain somebody is told. */
    private static final int PATIENCE = 4;

    private final PaymentStore store;
    private final Gateways gateways;
    private final PrepaidService prepaid;
    private final Tokens tokens;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Clock clock;

    PaymentSteps(
            PaymentStore store,
            Gateways gateways,
            PrepaidService prepaid,
            Tokens tokens,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.gateways = gateways;
        this.prepaid = prepaid;
        this.tokens = tokens;
        this.events = events;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Decides to give back a part of what was paid with a payment. */
    public void refund(Payment payment, Money amount, String why) {
        if (payment.isVoucher()) {
            account(payment, Step.Kind.REFUND, amount);
            prepaid.giveBack(payment.prepaid(), payment.order(), amount, why);
            return;
        }
        step(payment, Step.Kind.REFUND, null, amount, why);
    }

    /** Decides to take what was authorised for a booking. */
    public void capture(Payment payment, BookingId booking, Money amount) {
        step(payment, Step.Kind.CAPTURE, booking, amount, "");
    }

    /** Decides to let go what was authorised. */
    public void release(Payment payment, Money amount, String why) {
        step(payment, Step.Kind.RELEASE, null, amount, why);
    }

    private void step(Payment payment, Step.Kind kind, BookingId booking, Money amount, String why) {
        store.insertStep(new Step(tokens.next(), payment.id(), kind, booking, amount), why, clock.instant());
    }

    /**
     * Decides to give back an amount of what was paid for an order, from its payments in the order in which they came:
     * first those through a gateway, then those from vouchers, then those that are handed back by hand.
     *
     * @return what goes back by itself; the rest is handed back by hand
     * @throws IllegalArgumentException where more is to go back than was paid
     */
    public Money refundOrder(long order, Money amount, String why) {
        Money left = amount;
        Money through = Money.ZERO;
        List<Payment> all = store.ofOrder(order);
        for (Payment payment : all.stream().sorted(Comparator.comparing(PaymentSteps::turn)).toList()) {
            Money part = left.atMost(refundable(payment));
            if (part.isPositive()) {
                if (payment.isByHand()) {
                    account(payment, Step.Kind.REFUND, part);
                } else {
                    refund(payment, part, why);
                    through = through.plus(part);
                }
                left = left.minus(part);
            }
        }
        if (left.isPositive()) {
            throw new IllegalArgumentException("more is to go back than was paid");
        }
        return through;
    }

    /** Gateways give back first, then vouchers, then hands. */
    private static int turn(Payment payment) {
        return payment.isByHand() ? 2 : payment.isVoucher() ? 1 : 0;
    }

    /** Puts an amount of what vouchers paid for an order back onto them. */
    public void refundVouchers(long order, Money amount, String why) {
        Money left = amount;
        for (Payment payment : store.ofOrder(order).stream().filter(Payment::isVoucher).toList()) {
            Money part = left.atMost(refundable(payment));
            if (part.isPositive()) {
                refund(payment, part, why);
                left = left.minus(part);
            }
        }
        if (left.isPositive()) {
            throw new IllegalArgumentException("more is to go back than vouchers paid");
        }
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
    void carryOutSteps() {
        for (Step step : store.stepsToDo(clock.instant())) {
            Payment payment = store.find(step.payment()).orElseThrow();
            try {
                String key = step.kind().code() + "-" + step.id();
                Gateway gateway = gateways.byName(payment.gateway());
                switch (step.kind()) {
                    case CAPTURE -> gateway.capture(key, payment.reference(), step.amount());
                    case RELEASE -> gateway.release(key, payment.reference(), step.amount());
                    case REFUND -> gateway.refund(key, payment.reference(), step.amount());
                }
                transaction.executeWithoutResult(status -> carriedOut(step, "gateway"));
            } catch (GatewayException e) {
                LOG.warn("{} {} will be tried again: {}", step.kind().code(), step.id(), e.getMessage());
                transaction.executeWithoutResult(status -> store.failed(step, clock.instant()));
            }
        }
    }

    private boolean carriedOut(Step step, String who) {
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

    /** What a gateway has refused so often that somebody should look at it; it is still tried, with growing pauses. */
    public List<Stuck> stuck() {
        return store.stuck(PATIENCE);
    }

    /** Refunds of transfers that the host has not yet sent. */
    public List<HandBack> toHandBack() {
        return store.toHandBack();
    }

    /** Notes that the host has sent a refund; false where that was noted before. */
    public boolean handedBack(String step, String host) {
        return Boolean.TRUE.equals(transaction.execute(status -> store.step(step).map(s -> carriedOut(s, host)).orElse(false)));
    }
}
