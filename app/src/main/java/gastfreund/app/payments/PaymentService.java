package gastfreund.app.payments;

import gastfreund.app.house.Address;
import gastfreund.app.house.Tokens;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
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
    public String want(long order, Money amount) {
        String id = tokens.next();
        store.insert(id, order, gateway.name(), amount, clock.instant());
        return id;
    }

    /** Writes down a payment that was made elsewhere before, as captured. */
    public void record(long order, Money amount, String reference) {
        String id = want(order, amount);
        store.answered(id, new Gateway.Told(reference, PaymentState.CAPTURED, "", null, clock.instant()));
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
     * Takes in what the gateway says; the same twice, or something older, changes nothing. Refunds are our own doing and
     * are written down when they are carried out.
     */
    private Optional<Payment> apply(Gateway.Told told) {
        return transaction.execute(status -> {
            Optional<Payment> found = store.byReference(gateway.name(), told.reference());
            found.ifPresent(payment -> {
                boolean ours = told.state() == PaymentState.PARTLY_REFUNDED || told.state() == PaymentState.REFUNDED;
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

    /** Decides a refund, to be carried out after the transaction that decides it. */
    public void refund(Payment payment, Money amount, String why) {
        store.insertRefund(tokens.next(), payment.id(), amount, why, clock.instant());
    }

    /** Carries out what was decided. */
    void carryOutRefunds() {
        for (PaymentStore.Refund refund : store.refundsToDo()) {
            Payment payment = store.find(refund.payment()).orElseThrow();
            try {
                gateway.refund("refund-" + refund.id(), payment.reference(), refund.amount());
                transaction.executeWithoutResult(status -> {
                    if (store.refunded(refund, clock.instant())) {
                        events.publishEvent(
                                new PaymentMoved(store.find(payment.id()).orElseThrow(), payment.state()));
                    }
                });
            } catch (GatewayException e) {
                LOG.warn("refund {} will be tried again: {}", refund.id(), e.getMessage());
            }
        }
    }
}
