package gastfreund.app.payments;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.pages.Address;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.till.Hand;
import gastfreund.app.till.Till;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
    private final Gateways gateways;
    private final CatalogueService catalogues;
    private final Address address;
    private final Tokens tokens;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Till till;
    private final Clock clock;

    PaymentService(
            PaymentStore store,
            Gateways gateways,
            CatalogueService catalogues,
            Address address,
            Tokens tokens,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            Till till,
            Clock clock) {
        this.store = store;
        this.gateways = gateways;
        this.catalogues = catalogues;
        this.address = address;
        this.tokens = tokens;
        this.events = events;
        this.transaction = transaction;
        this.till = till;
        this.clock = clock;
    }

    /** The payments of an order, the first one first. */
    public List<Payment> ofOrder(long order) {
        return store.ofOrder(order);
    }

    public Optional<Payment> find(String id) {
        return store.find(id);
    }

    /** Writes down that a payment is wanted; belongs into the transaction that wants it. */
    public String want(long order, Gateway gateway, Money amount, boolean captureLater) {
        return insert(order, null, gateway.name(), amount, captureLater);
    }

    /** Writes down that a booking's balance is to be paid. */
    public String wantBalance(long order, Gateway gateway, BookingId booking, Money amount) {
        return insert(order, booking, gateway.name(), amount, false);
    }

    private String insert(long order, @Nullable BookingId booking, String at, Money amount, boolean captureLater) {
        String id = tokens.next();
        store.insert(id, order, booking, at, amount, captureLater, clock.instant());
        return id;
    }

    /** Writes down a payment that was made elsewhere before, as captured. */
    public void recordElsewhere(long order, BookingId booking, Money amount, Instant when) {
        String id = tokens.next();
        store.insert(id, order, booking, Payment.ELSEWHERE, amount, false, when);
        store.move(id, PaymentState.CAPTURED, "");
        store.addPart(id, booking.value(), amount);
    }

    /** Writes down money that was paid on the spot for a booking. */
    public void recordOnTheSpot(long order, BookingId booking, Hand hand, Money amount, Actor who) {
        String id = insert(order, booking, hand.code(), amount, false);
        till.took(hand, amount, order, who);
        store.move(id, PaymentState.CAPTURED, "");
        store.addPart(id, booking.value(), amount);
    }

    /**
     * Writes down money that a voucher pays.
     *
     * @param booking the booking whose balance it pays; null where it pays what is due with the order
     * @param parts how much it pays for each booking; nothing where it is nothing
     */
    public void recordVoucher(long order, @Nullable BookingId booking, String voucher, Map<BookingId, Money> parts) {
        Money amount = Money.sum(parts.values());
        if (!amount.isPositive()) {
            return;
        }
        String id = insert(order, booking, Payment.VOUCHER, amount, false);
        store.madeWith(id, voucher);
        store.move(id, PaymentState.CAPTURED, "");
        parts.forEach((paid, part) -> {
            if (part.isPositive()) {
                store.addPart(id, paid.value(), part);
            }
        });
    }

    /** Writes down that a payment, which has come or is captured now, pays so much of something. */
    public void pays(Payment payment, String subject, Money amount) {
        store.addPart(payment.id(), subject, amount);
    }

    /**
     * Makes a wanted payment at the gateway.
     *
     * @param label the order's number
     * @param returnPath where the guest comes back to
     * @return the payment, with where the guest pays
     * @throws GatewayException where the gateway cannot be reached
     */
    public Payment create(String id, String currency, String description, String label, String returnPath) {
        Payment payment = store.find(id).orElseThrow();
        Gateway gateway = gateways.byName(payment.gateway());
        Gateway.Told told = gateway.create(new Gateway.Wish(
                id,
                payment.amount(),
                payment.captureLater(),
                currency,
                description,
                label,
                address.here(returnPath),
                address.of("/payments/" + gateway.name() + "/notifications")));
        boolean odd = Boolean.TRUE.equals(transaction.execute(status -> {
            store.answered(id, told);
            return isOdd(store.find(id).orElseThrow(), told);
        }));
        if (odd) {
            throw new GatewayException("the gateway speaks of another sum than was asked for");
        }
        return store.find(id).orElseThrow();
    }

    /** A payment whose guest types a token, as long as it is open; empty where there is none. */
    public Optional<Payment> openForToken(String id) {
        return store.find(id)
                .filter(p -> p.state().isOpen() && p.reference() != null)
                .filter(p -> gateways.byName(p.gateway()).takesTokens());
    }

    /**
     * Pays a payment with a guest's token.
     *
     * @return why the gateway does not take the token; empty: it does, or will say so later
     * @throws GatewayException where it cannot be reached
     */
    public String pay(Payment payment, String token) {
        String reference = Objects.requireNonNull(payment.reference(), "not made at the gateway yet");
        Gateway gateway = gateways.byName(payment.gateway());
        // Each token is a wish of its own: another one after one that was refused is not the same again.
        Gateway.Told told = gateway.pay("token-" + payment.id() + "-" + tokens.next(), reference, token);
        apply(gateway.name(), told);
        return told.reason();
    }

    /** Takes a notification; false where it speaks of a payment we do not have. */
    boolean notified(String name, String time, String signature, String body) {
        return apply(name, gateways.byName(name).read(time, signature, body)).isPresent();
    }

    /** Orders with a balance whose payment is begun and open. */
    public List<Long> ordersPayingBalances() {
        return store.ordersPayingBalances(clock.instant());
    }

    /** Asks the gateway about every payment of an order whose outcome is open; where it does not answer, nothing changes. */
    public void askAbout(long order) {
        try {
            ask(order);
        } catch (GatewayException e) {
            LOG.warn("order {}: {}", order, e.getMessage());
        }
    }

    /**
     * Asks the gateway about every payment of an order whose outcome is open.
     *
     * @throws GatewayException where it does not answer, or the answer makes no sense
     */
    public void ask(long order) {
        for (Payment payment : store.ofOrder(order)) {
            if (payment.state().isOpen() && payment.reference() != null && !payment.isTransfer()) {
                apply(payment.gateway(), gateways.byName(payment.gateway()).ask(payment.reference()));
            }
        }
    }

    /**
     * Gives up every payment of an order whose outcome is open, so that no money can come any more.
     *
     * @return whether none is open any more
     * @throws GatewayException where the gateway does not answer, or the answer makes no sense
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
            transaction.executeWithoutResult(status -> move(payment, PaymentState.EXPIRED, "", Actor.HOUSE));
            return true;
        }
        Gateway gateway = gateways.byName(payment.gateway());
        if (!payment.isTransfer()) {
            apply(gateway.name(), gateway.ask(payment.reference()));
        }
        if (store.find(payment.id()).orElseThrow().state().isOpen()) {
            apply(gateway.name(), gateway.cancel("void-" + payment.id(), payment.reference()));
        }
        return !store.find(payment.id()).orElseThrow().state().isOpen();
    }

    /**
     * Takes in what the gateway says; the same twice, or something older, changes nothing. Refunds, and captures of
     * what was authorised, are our own doing and are written down when they are carried out.
     */
    private Optional<Payment> apply(String gateway, Gateway.Told told) {
        return transaction.execute(status -> {
            Optional<Payment> found = store.byReference(gateway, told.reference());
            found.ifPresent(payment -> {
                if (isOdd(payment, told)) {
                    return;
                }
                boolean ours = told.state() == PaymentState.PARTLY_REFUNDED
                        || told.state() == PaymentState.REFUNDED
                        || payment.captureLater() && told.state() == PaymentState.CAPTURED;
                if (!ours && payment.state() != told.state() && payment.state().allows(told.state())) {
                    move(payment, told.state(), told.reason(), Actor.GATEWAY);
                }
            });
            return found;
        });
    }

    /**
     * Whether the gateway speaks of another sum than was asked for. The payment then counts as not made, and stands in
     * the host's list; so it does where it was given up before.
     */
    private boolean isOdd(Payment payment, Gateway.Told told) {
        String currency = catalogues.catalogue().house().currency().getCurrencyCode();
        if (told.isFor(new Gateway.Sum(payment.amount(), currency))) {
            return false;
        }
        store.odd(payment.id(), told.sum() + ", " + told.state().code());
        if (payment.state().allows(PaymentState.FAILED)) {
            move(payment, PaymentState.FAILED, "", Actor.GATEWAY);
        }
        return true;
    }

    /** The payments of which a gateway said something odd, until a host has seen to them. */
    public List<Payment> odd() {
        return store.odd();
    }

    /** A host has seen to something odd. */
    public void seenTo(Payment payment) {
        transaction.executeWithoutResult(status -> store.odd(payment.id(), ""));
    }

    private void move(Payment payment, PaymentState to, String reason, Actor who) {
        store.move(payment.id(), to, reason == null ? "" : reason);
        events.publishEvent(new PaymentMoved(store.find(payment.id()).orElseThrow(), payment.state(), who));
    }

    /** Waits no longer for transfers for an order that has been paid. */
    public void dropTransfers(long order) {
        store.ofOrder(order).stream()
                .filter(p -> p.isTransfer() && p.state().isOpen())
                .forEach(p -> move(p, PaymentState.EXPIRED, Cause.PAID_OTHERWISE.code(), Actor.HOUSE));
    }

    /** Transfers that are waited for, the one that runs out first being the first. */
    public List<Payment> transfersAwaited() {
        return store.transfersAwaited();
    }

    /** Transfers that were begun since an instant and have not come, the newest first; also those that were given up. */
    public List<Payment> transfersNotCome(Instant since) {
        return store.transfersNotCome(since);
    }

    /**
     * Takes in that a transfer has come, also when it was given up before.
     *
     * @return false where it has been taken in before
     */
    public boolean received(Payment transfer, Actor host) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            Payment current = store.find(transfer.id()).orElseThrow();
            boolean waits = current.isTransfer() && current.state().allows(PaymentState.CAPTURED);
            if (waits) {
                move(current, PaymentState.CAPTURED, "", host);
            }
            return waits;
        }));
    }
}
