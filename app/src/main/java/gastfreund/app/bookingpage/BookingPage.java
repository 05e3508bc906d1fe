package gastfreund.app.bookingpage;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.documents.Documents;
import gastfreund.app.languages.Formats;
import gastfreund.app.moves.Moves;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.Slot;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.Orders;
import gastfreund.app.paying.Balances;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the page of an order shows, to its guest and, without anything to press, at the desk. */
@Component
public class BookingPage {

    private final OpeningsService openings;
    private final CatalogueService catalogues;
    private final Orders orders;
    private final OrderPayments paying;
    private final Balances balances;
    private final Moves moves;
    private final Documents documents;
    private final Gateways gateways;
    private final OrderRows pages;
    private final PaymentService payments;
    private final Clock clock;

    BookingPage(
            Orders orders,
            OrderPayments paying,
            Balances balances,
            Moves moves,
            Documents documents,
            Gateways gateways,
            OrderRows pages,
            PaymentService payments,
            Clock clock,
            CatalogueService catalogues,
            OpeningsService openings) {
        this.openings = openings;
        this.catalogues = catalogues;
        this.orders = orders;
        this.paying = paying;
        this.balances = balances;
        this.moves = moves;
        this.documents = documents;
        this.gateways = gateways;
        this.pages = pages;
        this.payments = payments;
        this.clock = clock;
    }

    /** @param unreachable whether the gateway has just not answered */
    public void show(Order order, boolean unreachable, Model model) {
        Formats f = Formats.of(model);
        List<Payment> all = payments.ofOrder(order.id());
        Payment last = all.isEmpty() ? null : all.get(all.size() - 1);
        boolean odd = all.stream().anyMatch(Payment::isOdd);
        boolean refused = last != null && last.state() == PaymentState.FAILED && !odd;
        boolean proving = order.isToBeProven() && order.status() == OrderStatus.WAITING;
        model.addAttribute("order", order);
        model.addAttribute("rows", pages.rows(order.standing(), f));
        model.addAttribute("goods", pages.goods(order));
        model.addAttribute("lost", pages.rows(order.lost(), f));
        model.addAttribute("paid", orders.paid(order));
        model.addAttribute("balances", balances);
        model.addAttribute("moves", moves);
        model.addAttribute("documents", documents.ofOrder(order));
        model.addAttribute("now", clock.instant());
        model.addAttribute(
                "authorised", Money.sum(all.stream().map(Payment::authorised).toList()));
        model.addAttribute("later", order.later());
        model.addAttribute("unpaid", paying.unpaid(order));
        model.addAttribute(
                "asks",
                !order.standing().isEmpty()
                        && order.standing().stream().allMatch(l -> l.status() == BookingStatus.REQUESTED));
        Optional<Payment> transfer = all.stream()
                .filter(p -> p.isTransfer() && p.state().isOpen() && p.reference() != null)
                .findFirst();
        model.addAttribute("transfer", transfer.orElse(null));
        model.addAttribute("account", transfer.map(gateways::accountOf).orElse(null));
        model.addAttribute("ways", paying.ways(order));
        model.addAttribute("refused", refused);
        model.addAttribute("odd", odd);
        model.addAttribute("unreachable", unreachable);
        model.addAttribute("proving", proving);
        model.addAttribute(
                "asking",
                order.status() == OrderStatus.WAITING
                        && !refused
                        && !odd
                        && !unreachable
                        && !proving
                        && transfer.isEmpty());
        model.addAttribute("keptUntil", keptUntil(order));
        boolean calledOff = order.lines().stream().anyMatch(l -> l.status() == BookingStatus.CANCELLED);
        model.addAttribute("calledOff", calledOff);
        if (order.status() == OrderStatus.LAPSED && !order.lines().isEmpty() && !calledOff) {
            model.addAttribute("nearest", nearest(order.lines().get(0)));
            model.addAttribute("keepAddress", keepAddress(order.lines().get(0)));
            model.addAttribute(
                    "cameTooLate",
                    all.stream().anyMatch(Payment::isPaid)
                            || all.stream().anyMatch(p -> p.state() == PaymentState.REFUNDED));
        }
    }

    private static @Nullable Instant keptUntil(Order order) {
        return order.lines().stream()
                .filter(l -> l.status() == BookingStatus.HELD)
                .map(OrderLine::expires)
                .min(Instant::compareTo)
                .orElse(null);
    }

    /** The openings nearest to a line whose place went back. */
    private List<Slot> nearest(OrderLine line) {
        Catalogue catalogue = catalogues.catalogue();
        Query query = line.reserved().query(catalogue.zone(), clock.instant());
        return openings.nearest(query, line.time().start(), 3).stream()
                .map(e -> Slot.of(e, catalogue.house()))
                .toList();
    }

    /** Where a place like the line's is kept. */
    private String keepAddress(OrderLine line) {
        Offer offer = catalogues.catalogue().offer(line.offer());
        return Choice.again(offer, line.party(), line.length(), line.units(), line.addOns(), line.place())
                .keepAddress(null);
    }
}
