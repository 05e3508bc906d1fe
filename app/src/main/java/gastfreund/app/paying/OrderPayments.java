package gastfreund.app.paying;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.payments.Gateway;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Leads guests to where their orders are paid. */
@Service
public class OrderPayments {

    /** How many places of one mail address, or of one visitor, may wait for transfers. */
    private static final int MOST_AWAITING_TRANSFER = 2;

    /** How long a place waits for a transfer whose guest has not shown that the mail address is theirs. */
    private static final Duration UNPROVEN = Duration.ofHours(48);

    private final WaitingStore waiting;
    private final BookingStore bookings;
    private final OrderStore store;
    private final CatalogueService catalogues;
    private final PaymentService payments;
    private final Gateways gateways;
    private final PrepaidService prepaid;
    private final OrderLetters letters;
    private final VisitorMarks marks;
    private final TransactionTemplate transaction;
    private final Clock clock;

    OrderPayments(
            OrderStore store,
            CatalogueService catalogues,
            PaymentService payments,
            Gateways gateways,
            PrepaidService prepaid,
            OrderLetters letters,
            VisitorMarks marks,
            TransactionTemplate transaction,
            Clock clock,
            BookingStore bookings,
            WaitingStore waiting) {
        this.waiting = waiting;
        this.bookings = bookings;
        this.store = store;
        this.catalogues = catalogues;
        this.payments = payments;
        this.gateways = gateways;
        this.prepaid = prepaid;
        this.letters = letters;
        this.marks = marks;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * Writes down that an order is to be paid; belongs into the transaction that places it.
     *
     * @param way the gateway that the guest chose; null: what the house proposes
     * @return the payment
     * @throws GatewayException where the house has switched on no way to pay
     */
    public String want(Order order, @Nullable String way, Money amount) {
        return payments.want(order.id(), chosen(ways(order), way), amount, isAuthorisedFirst(order));
    }

    /** Where what is due now of a basket can be paid, the first one being proposed. */
    public List<Gateway> ways(List<BasketLine> lines, Bill bill) {
        Catalogue catalogue = catalogues.catalogue();
        List<BasketLine> due = IntStream.range(0, lines.size())
                .filter(i -> bill.dueNow(i).isPositive())
                .mapToObj(lines::get)
                .toList();
        boolean byHand = due.stream()
                .anyMatch(l -> BasketService.priced(l, catalogue).offer().confirm() == Offer.Confirm.BY_HAND);
        return gateways.fitting(byHand, first(due.stream().map(BasketLine::time).toList())).stream()
                .filter(g -> !g.isTransfer() || lines.size() <= MOST_AWAITING_TRANSFER)
                .toList();
    }

    /** Whether so many places more would wait for a transfer that one guest cannot let wait. */
    public boolean isTooMany(@Nullable String way, String email, String visitor, int places) {
        boolean transfer = gateways.offered().stream().anyMatch(g -> g.name().equals(way) && g.isTransfer());
        return transfer && places > 0 && isTooMany(email, visitor, places, 0);
    }

    private boolean isTooMany(String email, String visitor, int places, long except) {
        return waiting.placesAwaitingTransfer(email.strip(), visitor, except) + places > MOST_AWAITING_TRANSFER;
    }

    /** Where an order can be paid, the first one being proposed. */
    public List<Gateway> ways(Order order) {
        List<Interval> times = order.standing().stream()
                .filter(l -> l.open().isPositive())
                .map(OrderLine::time)
                .toList();
        return gateways.fitting(isAuthorisedFirst(order), first(times));
    }

    private static Instant first(List<Interval> times) {
        return times.stream()
                .map(Interval::startInstant)
                .min(Instant::compareTo)
                .orElse(Instant.MAX);
    }

    /** @throws GatewayException where nothing can be chosen */
    private static Gateway chosen(List<Gateway> ways, @Nullable String name) {
        return ways.stream()
                .filter(g -> g.name().equals(name))
                .findFirst()
                .or(() -> ways.stream().findFirst())
                .orElseThrow(() -> new GatewayException("the house has switched on no way to pay"));
    }

    /** Whether something in the order waits for the host's yes, so that the money is only authorised at first. */
    private boolean isAuthorisedFirst(Order order) {
        return order.lines().stream()
                .anyMatch(l -> l.open().isPositive() && l.sold().confirm() == Offer.Confirm.BY_HAND);
    }

    /**
     * Where the guest of an order pays: at the gateway, with a payment that is open there or a new one. Their places are
     * kept as long as the gateway waits.
     *
     * @param way the gateway that they chose; null: the one they chose before, or that the house proposes
     * @param visitor whoever wants to pay
     * @return empty where nothing is to be paid, or the places are no longer kept
     * @throws GatewayException where the gateway cannot be reached
     */
    public Optional<String> payAddress(Order order, @Nullable String way, Visitor visitor) {
        payments.askAbout(order.id());
        Order current = store.byId(order.id()).orElseThrow();
        Instant now = clock.instant();
        boolean kept = current.lines().stream().allMatch(l -> l.status() != BookingStatus.HELD || l.isHeld(now));
        if (!kept || current.status() == OrderStatus.LAPSED || !unpaid(current).isPositive()) {
            return Optional.empty();
        }
        long held = current.lines().stream()
                .filter(l -> l.status() == BookingStatus.HELD)
                .count();
        boolean tooMany = gateways.offered().stream().anyMatch(g -> g.name().equals(way) && g.isTransfer())
                && held > 0
                && isTooMany(current.contact().email(), marks.of(visitor), (int) held, current.id());
        if (tooMany || current.isToBeProven() && current.dueNow().isZero()) {
            return Optional.empty();
        }
        List<Payment> all = payments.ofOrder(order.id());
        Payment wanted = all.stream()
                .filter(p -> p.state().isOpen() && (way == null || p.gateway().equals(way)))
                .findFirst()
                .orElseGet(() -> wanted(current, way));
        return Optional.of(goTo(current, wanted).payAddress());
    }

    private Payment wanted(Order order, @Nullable String way) {
        return payments.find(transaction.execute(s -> want(order, way, unpaid(order))))
                .orElseThrow();
    }

    private Payment goTo(Order order, Payment wanted) {
        Payment created = atGateway(order, wanted.id());
        // Once for each way to pay: nobody keeps a place by having one card after the other refused.
        boolean first = payments.ofOrder(order.id()).stream()
                .noneMatch(p ->
                        p.gateway().equals(created.gateway()) && !p.id().equals(created.id()) && p.reference() != null);
        transaction.executeWithoutResult(s -> {
            if (created.isTransfer() && order.proof() == Order.Proof.NONE) {
                store.setProof(order.id(), Order.Proof.WANTED);
            }
            if (first) {
                bookings.extendHolds(order.id(), keptUntil(order, created));
            }
            if (created.isTransfer() && wanted.reference() == null) {
                letters.transfer(store.byId(order.id()).orElseThrow(), created, gateways.accountOf(created));
            }
        });
        return created;
    }

    private Instant keptUntil(Order order, Payment payment) {
        Instant first = clock.instant().plus(UNPROVEN);
        boolean waits = payment.isTransfer() && order.proof() != Order.Proof.GIVEN;
        return waits && first.isBefore(payment.awaitedUntil()) ? first : payment.awaitedUntil();
    }

    /**
     * Makes a wanted payment of an order at the gateway.
     *
     * @throws GatewayException where the gateway cannot be reached
     */
    Payment atGateway(Order order, String payment) {
        Catalogue catalogue = catalogues.catalogue();
        return payments.create(
                payment,
                catalogue.house().currency().getCurrencyCode(),
                catalogue.house().name() + " · " + order.number(),
                Long.toString(order.number()),
                "/bookings/" + order.token() + "/paid");
    }

    /** What is due now and neither paid nor authorised. */
    public Money unpaid(Order order) {
        Money lines = Money.sum(order.standing().stream().map(OrderLine::open).toList());
        Money goods = Money.sum(prepaid.goodsOfOrder(order.id()).stream()
                .filter(g -> !g.isIssued())
                .map(Goods::price)
                .toList());
        Money authorised = Money.sum(
                payments.ofOrder(order.id()).stream().map(Payment::authorised).toList());
        return lines.plus(goods).minus(authorised).notBelowZero();
    }
}
