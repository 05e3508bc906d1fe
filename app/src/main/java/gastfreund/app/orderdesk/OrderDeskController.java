package gastfreund.app.orderdesk;

import gastfreund.app.bookingpage.BookingPage;
import gastfreund.app.documents.DocumentFiles;
import gastfreund.app.documents.Documents;
import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Sent;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Outcome;
import gastfreund.app.orders.Sight;
import gastfreund.app.pages.Note;
import gastfreund.app.paying.Balances;
import gastfreund.app.paying.Waiting;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.sources.Source;
import gastfreund.app.talks.Talks;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.orders.PaymentState;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Orders at the desk. */
@Controller
class OrderDeskController {

    private static final int MOST = 200;

    private final Decisions decisions;
    private final Outbox outbox;
    private final Orders orders;
    private final OrderRows pages;
    private final PaymentService payments;
    private final Endings endings;
    private final Balances balances;
    private final Waiting waiting;
    private final Documents documents;
    private final BookingPage page;
    private final DocumentFiles files;
    private final Sight sight;
    private final Talks talks;
    private final Conversation conversation;

    OrderDeskController(
            Orders orders,
            Outbox outbox,
            OrderRows pages,
            PaymentService payments,
            Endings endings,
            Balances balances,
            Waiting waiting,
            Documents documents,
            BookingPage page,
            DocumentFiles files,
            Sight sight,
            Decisions decisions,
            Talks talks,
            Conversation conversation) {
        this.talks = talks;
        this.conversation = conversation;
        this.outbox = outbox;
        this.sight = sight;
        this.decisions = decisions;
        this.documents = documents;
        this.page = page;
        this.files = files;
        this.endings = endings;
        this.balances = balances;
        this.waiting = waiting;
        this.orders = orders;
        this.pages = pages;
        this.payments = payments;
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders")
    String list(@RequestParam(defaultValue = "") String from, Host host, Model model) {
        Formats f = Formats.of(model);
        String source = Source.of(from);
        List<Order> newest = (source.isEmpty() ? orders.newest(MOST) : orders.newestFrom(source, MOST))
                .stream().filter(o -> sight.sees(host, o)).toList();
        Map<Long, List<String>> goods = orders.goodsTitles(newest);
        model.addAttribute(
                "page",
                new OrdersPage(
                        source,
                        host.may(Right.SEE_ALL),
                        endings.asking().stream()
                                .filter(o -> sight.sees(host, o))
                                .map(o -> asking(o, f))
                                .toList(),
                        balances.owing().stream()
                                .filter(o -> sight.sees(host, o))
                                .map(o -> waiting(o, f.money(o.balance())))
                                .toList(),
                        newest.stream()
                                .map(o -> row(o, goods.getOrDefault(o.id(), List.of()), f))
                                .toList()));
        return "orderdesk/orders";
    }

    private static OrdersPage.Waiting asking(Order order, Formats f) {
        return waiting(
                order,
                order.lines().stream()
                        .filter(l -> l.status() == BookingStatus.REQUESTED)
                        .map(l -> l.sold().title() + ", " + f.dayAndTimes(l.time()))
                        .collect(Collectors.joining("; ")));
    }

    private static OrdersPage.Waiting waiting(Order order, String what) {
        return new OrdersPage.Waiting(address(order), order.contact().name(), what);
    }

    private static String address(Order order) {
        return "/desk/orders/" + order.number();
    }

    private static OrdersPage.Row row(Order order, List<String> goods, Formats f) {
        return new OrdersPage.Row(
                address(order),
                Long.toString(order.number()),
                order.contact().name(),
                order.source(),
                order.lines().stream().map(l -> line(l, f)).toList(),
                goods,
                f.moment(order.placed()),
                f.money(order.total()));
    }

    private static OrdersPage.Line line(OrderLine line, Formats f) {
        LocalDate date = f.zone().dateOf(line.time().start());
        return new OrdersPage.Line(
                line.status().code(),
                line.sold().title() + ", " + f.shortDay(date) + " " + f.times(line.time()),
                f.text("status." + line.status().code()));
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}")
    String order(
            @PathVariable long number, @RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Order order = orders.byNumberAsked(number);
        Formats f = Formats.of(model);
        Typed typed = model.getAttribute("typed") instanceof Typed wrong ? wrong : Typed.nothing();
        model.addAttribute(
                "page",
                new OrderPage(
                        Stream.of(
                                        Note.said(said, f.words()).stream(),
                                        change(model).stream(),
                                        outbox.lost(order.id()).stream().map(s -> lost(s, f)))
                                .flatMap(s -> s)
                                .toList(),
                        order,
                        orders.paid(order),
                        pages.rows(order.lines(), f).stream()
                                .map(row -> new OrderPage.Line(
                                        row,
                                        decisions.came(row.line(), f),
                                        talks.note(row.line().booking()).orElse(null),
                                        decisions.about(order, row.line(), host, typed, f)))
                                .toList(),
                        pages.goods(order).stream()
                                .map(one -> new OrderPage.Good(one, decisions.about(order, one, host, f)))
                                .toList(),
                        decisions.about(order, host, f),
                        orders.journal(order).stream()
                                .map(entry -> OrderPage.Step.of(entry, f))
                                .toList(),
                        conversation.of(order, f),
                        decisions.write(order, host, f).orElse(null),
                        payments.ofOrder(order.id()).stream()
                                .map(p -> new OrderPage.PaymentRow(p, Cause.said(p.reason(), f), canArrive(p, host)))
                                .toList(),
                        documents.ofOrder(order),
                        host.may(Right.GIVE_MONEY)));
        return "orderdesk/order";
    }

    /** What a guest gets back who paid just now. */
    private static Optional<Note> change(Model model) {
        return model.getAttribute("change") instanceof String words ? Optional.of(Note.done(words)) : Optional.empty();
    }

    /** A letter that did not arrive. */
    private static Note lost(Sent letter, Formats f) {
        return Note.warn(f.text("order.letter." + letter.lost(), letter.recipient(), letter.why()));
    }

    private static boolean canArrive(Payment payment, Host host) {
        return host.may(Right.SETTLE)
                && payment.isTransfer()
                && (payment.state() == PaymentState.CREATED || payment.state() == PaymentState.EXPIRED);
    }

    /** The guest's page as the desk sees it: without the guest's link, and with nothing to press. */
    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}/page")
    String guestsPage(@PathVariable long number, Model model) {
        page.show(orders.byNumberAsked(number), false, Set.of(), model);
        return "bookingpage/booking";
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}/documents/{document}.pdf")
    ResponseEntity<byte[]> document(@PathVariable long number, @PathVariable long document) {
        return files.of(orders.byNumberAsked(number), document);
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}/documents/{document}.xml")
    ResponseEntity<String> invoice(@PathVariable long number, @PathVariable long document) {
        return files.ubl(orders.byNumberAsked(number), document);
    }

    /** Calls an order off that waits for its money. */
    @Needs(Right.GIVE_MONEY)
    @PostMapping("/desk/orders/{number}/release")
    String callOff(@PathVariable long number, Actor host) {
        Order order = orders.byNumberAsked(number);
        boolean done = waiting.callOff(order, host) == Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "called-off" : "changed");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/desk/orders/{number}/goods/{goods}/return")
    String takeBack(@PathVariable long number, @PathVariable String goods, Actor host) {
        Order order = orders.byNumberAsked(number);
        boolean done = endings.takeBack(order, goods, host) == Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "returned" : "changed");
    }
}
