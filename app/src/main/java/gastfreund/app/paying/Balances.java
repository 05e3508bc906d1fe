package gastfreund.app.paying;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.payments.Gateway;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.rounds.Entry;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is left to pay before the day, and what should have been paid with the order: asked for by mail when it is due,
 * reminded of once, and paid by a link.
 */
@Service
public class Balances {

    /** How long after an order its payment is asked for, if it has not come. */
    private static final Duration ASKED_AFTER = Duration.ofHours(1);

    /** How long after the first mail the second one goes. */
    private static final Duration REMINDED_AFTER = Duration.ofHours(20);

    private final OrderPayments paying;
    private final OrderStore store;
    private final OwedStore owed;
    private final CatalogueService catalogues;
    private final PaymentService payments;
    private final Gateways gateways;
    private final OrderLetters letters;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Balances(
            OrderPayments paying,
            OrderStore store,
            OwedStore owed,
            CatalogueService catalogues,
            PaymentService payments,
            Gateways gateways,
            OrderLetters letters,
            TransactionTemplate transaction,
            Clock clock) {
        this.paying = paying;
        this.store = store;
        this.owed = owed;
        this.catalogues = catalogues;
        this.payments = payments;
        this.gateways = gateways;
        this.letters = letters;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Whether a guest can pay what is left of a line, beside what was due with the order, through the gateway. */
    public boolean canBePaid(OrderLine line) {
        return isAhead(line) && line.unpaid().isPositive() && line.balance().isPositive();
    }

    private boolean isAhead(OrderLine line) {
        return line.status() == BookingStatus.CONFIRMED
                && line.time().startInstant().isAfter(clock.instant());
    }

    /** Bookings for which money has fallen due: it is asked for, or reminded of. */
    List<Entry> toAsk() {
        Instant now = clock.instant();
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        return owed.toAskFor(now, today, now.minus(ASKED_AFTER), now.minus(REMINDED_AFTER)).stream()
                .map(b -> new Entry(
                        b.value(),
                        () -> transaction.executeWithoutResult(status -> {
                            // What was asked for with another of its order is not asked for once more.
                            if (owed.isToBeAsked(b, now.minus(REMINDED_AFTER))) {
                                ask(b);
                            }
                        })))
                .toList();
    }

    /**
     * Asks for what should have been paid with the order, for all of it in one letter, or for a balance where the rest is to
     * be paid before the day; or reminds of it.
     */
    private void ask(BookingId booking) {
        Order order = store.byBooking(booking.value()).orElseThrow();
        OrderLine line = order.line(booking).orElseThrow();
        boolean beforeTheDay = line.sold().payment().balanceDaysBefore().isPresent();
        if (line.open().isPositive() && isAhead(line)) {
            boolean asked = owed.wasAsked(booking);
            List<OrderLine> alike = order.lines().stream()
                    .filter(l -> l.open().isPositive() && isAhead(l))
                    .filter(l -> owed.wasAsked(l.booking()) == asked)
                    .toList();
            letters.balance(order, alike, asked("unpaid", alike));
        } else if (beforeTheDay && canBePaid(line)) {
            letters.balance(order, List.of(line), asked("balance", List.of(line)));
        }
    }

    /** Asks at once for what is to be paid with an order that was made without its guest. */
    @Transactional
    public void askNow(BookingId booking) {
        ask(booking);
    }

    private String asked(String kind, List<OrderLine> lines) {
        boolean first = false;
        for (OrderLine line : lines) {
            first |= owed.noteAsked(line.booking(), clock.instant());
        }
        return first ? kind : kind + "-again";
    }

    /** The orders with money that was asked for and not paid, those that start the soonest first. */
    public List<Order> owing() {
        return owed.owing().stream().flatMap(id -> store.byId(id).stream()).toList();
    }

    /**
     * Where the guest pays what is left of a booking.
     *
     * @return empty where nothing is left to pay
     * @throws GatewayException where the gateway cannot be reached
     */
    public Optional<String> payAddress(Order order, BookingId booking) {
        payments.askAbout(order.id());
        OrderLine line = store.byId(order.id()).orElseThrow().line(booking).orElseThrow();
        if (!canBePaid(line)) {
            return Optional.empty();
        }
        String payment = payments.ofOrder(order.id()).stream()
                .filter(p -> booking.equals(p.booking())
                        && p.state().isOpen()
                        && p.amount().equals(line.unpaid()))
                .map(Payment::id)
                .findFirst()
                .orElseGet(() -> wanted(order, line));
        return Optional.of(paying.atGateway(order, payment).payAddress());
    }

    private String wanted(Order order, OrderLine line) {
        Gateway gateway = gateways.fitting(false, line.time().startInstant()).stream()
                .filter(Gateway::authorises)
                .findFirst()
                .orElseThrow(() -> new GatewayException("the house has switched on no card gateway"));
        return transaction.execute(s -> payments.wantBalance(order.id(), gateway, line.booking(), line.unpaid()));
    }
}
