package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingStatus;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the page of an order shows, to its guest and, without anything to press, at the desk. */
@Component
class BookingPage {

    private final OrderService orders;
    private final OrderPayments paying;
    private final Balances balances;
    private final Moves moves;
    private final Documents documents;
    private final Gateways gateways;
    private final OrderPages pages;
    private final PaymentService payments;
    private final Clock clock;

    BookingPage(
            OrderService orders,
            OrderPayments paying,
            Balances balances,
            Moves moves,
            Documents documents,
            Gateways gateways,
            OrderPages pages,
            PaymentService payments,
            Clock clock) {
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
    void show(Order order, boolean unreachable, Model model) {
        Formats f = (Formats) model.getAttribute("f");
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
        model.addAttribute("authorised", Money.sum(all.stream().map(Payment::authorised).toList()));
        model.addAttribute("later", order.later());
        model.addAttribute("unpaid", paying.unpaid(order));
        model.addAttribute("asks", !order.standing().isEmpty()
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
        model.addAttribute("asking", order.status() == OrderStatus.WAITING
                && !refused && !odd && !unreachable && !proving && transfer.isEmpty());
        model.addAttribute("keptUntil", keptUntil(order));
        boolean calledOff = order.lines().stream().anyMatch(l -> l.status() == BookingStatus.CANCELLED);
        model.addAttribute("calledOff", calledOff);
        if (order.status() == OrderStatus.LAPSED && !order.lines().isEmpty() && !calledOff) {
            model.addAttribute("nearest", pages.nearest(order.lines().get(0)));
            model.addAttribute("keepAddress", pages.keepAddress(order.lines().get(0)));
            model.addAttribute("cameTooLate", all.stream().anyMatch(Payment::isPaid)
                    || all.stream().anyMatch(p -> p.state() == PaymentState.REFUNDED));
        }
    }

    private static Instant keptUntil(Order order) {
        return order.lines().stream()
                .filter(l -> l.status() == BookingStatus.HELD)
                .map(OrderLine::expires)
                .min(Instant::compareTo)
                .orElse(null);
    }
}
