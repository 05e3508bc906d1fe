package gastfreund.app.payments;

import gastfreund.app.house.Address;
import gastfreund.app.house.Tokens;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Payments and what becomes of them. The gateway is never called inside a transaction: what is to happen there is
 * written first, carried out after, and may be carried out again without harm, since every call has its own key.
 */
@Service
public class PaymentService {

    private static final Logger LOG = LoggerFactory.getLogger(PaymentService.class);

    private final PaymentStore store;
    private final Gateway gateway;
    private final Address address;
    private final Tokens tokens;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Clock clock;

    PaymentService(
            PaymentStore store,
            Gateway gateway,
            Address address,
            Tokens tokens,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.gateway = gateway;
        this.address = address;
        this.tokens = tokens;
        this.events = events;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** The payments of an order, the first one first. */
    public List<Payment> ofOrder(long order) {
        return store.ofOrder(order);
    }

    /** Writes down that a payment is wanted; belongs into the transaction that wants it. */
    public String want(long order, Money amount, boolean captureLater) {
        return insert(order, null, gateway.name(), amount, captureLater);
    }

    /** Writes down that a booking's balance is to be paid. */
    public String wantBalance(long order, BookingId booking, Money amount) {
        return insert(order, booking, gateway.name(), amount, false);
    }

    private String insert(long order, BookingId booking, String at, Money amount, boolean captureLater) {
        String id = tokens.next();
        store.insert(id, order, booking, at, amount, captureLater, clock.instant());
        return id;
    }

    /** Writes down a payment that was made elsewhere before, as captured. */
    public void recordElsewhere(long order, BookingId booking, Money amount, Instant when) {
        String id = tokens.next();
        store.insert(id, order, booking, Payment.ELSEWHERE, amount, false, when);
        store.move(id, PaymentState.CAPTURED, "");
    }

    /** Writes down money that was paid on the spot for a booking. */
    public void recordOnTheSpot(long order, BookingId booking, Money amount) {
        String id = insert(order, booking, Payment.ON_THE_SPOT, amount, false);
        store.move(id, PaymentState.CAPTURED, "");
    }

    /**
     * Makes a wanted payment at the gateway.
     *
     * @param returnPath where the guest comes back to
     * @return the payment, with where the guest pays
     * @throws GatewayException where the gateway cannot be reached
     */
    public Payment create(String id, String currency, String description, String returnPath) {
        Payment payment = store.find(id).orElseThrow();
        Gateway.Told told = gateway.create(new Gateway.Wish(
                id,
                payment.amount(),
                payment.captureLater(),
                currency,
                description,
                address.of(returnPath),
                address.of("/payments/" + gateway.name() + "/notifications")));
        transaction.executeWithoutResult(status -> store.answered(id, told));
        return store.find(id).orElseThrow();
    }

    /** Takes a notification; false where it speaks of a payment we do not have. */
    boolean notified(String time, String signature, String body) {
        Gateway.Told told = gateway.read(time, signature, body);
        return apply(told).isPresent();
    }

    /** Orders with a balance whose payment is begun and open. */
    public List<Long> ordersPayingBalances() {
        return store.ordersPayingBalances();
    }

    /** Asks the gateway about every payment of an order whose outcome is open. */
    public void askAbout(long order) {
        for (Payment payment : store.ofOrder(order)) {
            if (payment.state().isOpen() && payment.reference() != null) {
                try {
                    apply(gateway.ask(payment.reference()));
                } catch (GatewayException e) {
                    LOG.warn("payment {}: {}", payment.id(), e.getMessage());
                }
            }
        }
    }

    /**
     * Gives up every payment of an order whose outcome is open, so that no money can come any more.
     *
     * @return whether none is open any more
     */
    public boolean giveUp(long order) {
        boolean done = true;
        for (Payment payment : store.ofOrder(order)) {
            if (payment.state().isOpen()) {
                done &= giveUp(payment);
            }
        }
        return done;
    }

    private boolean giveUp(Payment payment) {
        if (payment.reference() == null) {
            // Nobody was sent to pay it, since nobody was told where: the guest only goes where the answer said.
            transaction.executeWithoutResult(status -> move(payment, PaymentState.EXPIRED, ""));
            return true;
        }
        try {
            apply(gateway.ask(payment.reference()));
            Payment now = store.find(payment.id()).orElseThrow();
            if (now.state().isOpen()) {
                apply(gateway.cancel("void-" + payment.id(), payment.reference()));
            }
            return !store.find(payment.id()).orElseThrow().state().isOpen();
        } catch (GatewayException e) {
            LOG.warn("payment {} cannot be given up yet: {}", payment.id(), e.getMessage());
            return false;
        }
    }

    /**
     * Takes in what the gateway says; the same twice, or something older, changes nothing. Refunds, and captures of
     * what was authorised, are our own doing and are written down when they are carried out.
     */
    private Optional<Payment> apply(Gateway.Told told) {
        return transaction.execute(status -> {
            Optional<Payment> found = store.byReference(gateway.name(), told.reference());
            found.ifPresent(payment -> {
                boolean ours = told.state() == PaymentState.PARTLY_REFUNDED
                        || told.state() == PaymentState.REFUNDED
                        || payment.captureLater() && told.state() == PaymentState.CAPTURED;
                if (!ours && payment.state() != told.state() && payment.state().allows(told.state())) {
                    move(payment, told.state(), told.reason());
                }
            });
            return found;
        });
    }

    private void move(Payment payment, PaymentState to, String reason) {
        store.move(payment.id(), to, reason == null ? "" : reason);
        events.publishEvent(new PaymentMoved(store.find(payment.id()).orElseThrow(), payment.state()));
    }

    /** Decides to give back all that was paid with a payment, to be carried out after the transaction that decides it. */
    public void refund(Payment payment, Money amount, String why) {
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
     * first those through a gateway, then those that are handed back by hand.
     *
     * @return what goes back through gateways; the rest is handed back by hand
     * @throws IllegalArgumentException where more is to go back than was paid
     */
    public Money refundOrder(long order, Money amount, String why) {
        Money left = amount;
        Money through = Money.ZERO;
        List<Payment> all = store.ofOrder(order);
        for (Payment payment : all.stream().sorted(Comparator.comparing(Payment::isByHand)).toList()) {
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

    /**
     * What the house has of a payment, or has decided to capture, and has not yet decided to give back. Steps are carried
     * out in the order in which they were decided, so that a capture comes before the refund of what it takes.
     */
    private Money refundable(Payment payment) {
        if (payment.isByHand()) {
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
                switch (step.kind()) {
                    case CAPTURE -> gateway.capture(key, payment.reference(), step.amount());
                    case RELEASE -> gateway.release(key, payment.reference(), step.amount());
                    case REFUND -> gateway.refund(key, payment.reference(), step.amount());
                }
                transaction.executeWithoutResult(status -> carriedOut(step));
            } catch (GatewayException e) {
                LOG.warn("{} {} will be tried again: {}", step.kind().code(), step.id(), e.getMessage());
                transaction.executeWithoutResult(status -> store.failed(step, clock.instant()));
            }
        }
    }

    private void carriedOut(Step step) {
        if (store.done(step, clock.instant())) {
            Payment before = store.find(step.payment()).orElseThrow();
            account(before, step.kind(), step.amount());
            events.publishEvent(new PaymentMoved(store.find(step.payment()).orElseThrow(), before.state()));
        }
    }

    private void account(Payment payment, Step.Kind kind, Money amount) {
        Money captured = kind == Step.Kind.CAPTURE ? payment.captured().plus(amount) : payment.captured();
        Money released = kind == Step.Kind.RELEASE ? payment.released().plus(amount) : payment.released();
        Money refunded = kind == Step.Kind.REFUND ? payment.refunded().plus(amount) : payment.refunded();
        PaymentState state = PaymentState.after(payment.amount(), captured, released, refunded);
        store.amounts(payment.id(), captured, released, refunded, state);
    }
}
