package gastfreund.app.bookingpage;

import gastfreund.app.accounts.Accounts;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.companions.Companion;
import gastfreund.app.companions.Companions;
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
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.paying.Balances;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.TransferCode;
import gastfreund.app.talks.Talks;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import gastfreund.core.orders.PaymentState;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
    private final Talks talks;
    private final Companions companions;
    private final Accounts accounts;
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
            OpeningsService openings,
            Talks talks,
            Companions companions,
            Accounts accounts) {
        this.accounts = accounts;
        this.companions = companions;
        this.talks = talks;
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

    /**
     * Shows an order.
     *
     * @param own whether its guest looks at it, and not the desk
     * @param said what the address says of what was just done
     */
    public void show(Order order, boolean own, Set<String> said, Model model) {
        show(order, own, said, null, model);
    }

    /** @param typed an invitation that cannot go out so; null: there is none */
    void show(Order order, boolean own, Set<String> said, @Nullable Invite typed, Model model) {
        Formats f = Formats.of(model);
        List<Payment> all = payments.ofOrder(order.id());
        boolean waits = order.status() == OrderStatus.WAITING;
        boolean proving = order.isToBeProven() && waits;
        Optional<Payment> transfer = all.stream()
                .filter(p -> p.isTransfer() && p.state().isOpen() && p.reference() != null)
                .findFirst();
        boolean calledOff = order.lines().stream().anyMatch(l -> l.status() == BookingStatus.CANCELLED);
        boolean lapsed = order.status() == OrderStatus.LAPSED && !order.lines().isEmpty() && !calledOff;
        boolean came = all.stream().anyMatch(p -> p.isPaid() || p.state() == PaymentState.REFUNDED);
        boolean asks = !order.standing().isEmpty()
                && order.standing().stream().allMatch(l -> l.status() == BookingStatus.REQUESTED);
        BookingView.Paying pay =
                paying(order, all, waits && !proving && transfer.isEmpty(), said.contains("unreachable"));
        model.addAttribute(
                "page",
                new BookingView(
                        order,
                        own,
                        notes(said, f),
                        heading(order, asks, calledOff, transfer.isPresent(), pay, f),
                        intro(order, asks, pay, f),
                        order.status() != OrderStatus.LAPSED
                                ? ""
                                : f.text(
                                        calledOff
                                                ? "booking.calledOff"
                                                : came && lapsed ? "booking.tooLate" : "booking.lapsedHelp"),
                        pages.rows(order.standing(), f).stream()
                                .map(row -> line(order, row, typed, f))
                                .toList(),
                        pages.rows(order.lost(), f),
                        pages.goods(order),
                        asks,
                        proving,
                        keptUntil(order),
                        transfer.orElse(null),
                        transfer.map(gateways::accountOf).orElse(null),
                        pay,
                        documents.ofOrder(order),
                        lapsed ? nearest(order.lines().get(0)) : List.of(),
                        lapsed ? keepAddress(order.lines().get(0)) : "",
                        orders.agreements(order),
                        talks.of(order),
                        Field.text("words", f.text("booking.writeWords"), Talks.MOST_WORDS)
                                .required(),
                        own && accounts.areOffered() && !order.contact().email().isEmpty(),
                        transfer.flatMap(t -> code(t, f)).orElse("")));
    }

    private Optional<String> code(Payment transfer, Formats f) {
        GatewayAccount account = gateways.accountOf(transfer);
        return TransferCode.svg(
                f.currencyCode(),
                account.key("holder"),
                account.key("iban"),
                f.decimal(transfer.amount()),
                transfer.atGateway());
    }

    private static List<Note> notes(Set<String> said, Formats f) {
        List<Note> notes = new ArrayList<>();
        if (said.contains("cancelled")) {
            notes.add(Note.done(f.text("booking.cancelled")));
        }
        if (said.contains("moved")) {
            notes.add(Note.done(f.text("booking.moved")));
        }
        if (said.contains("written")) {
            notes.add(Note.done(f.text("booking.written")));
        }
        if (said.contains("not-written")) {
            notes.add(Note.bad(f.text("booking.notWritten")));
        }
        if (said.contains("invited")) {
            notes.add(Note.done(f.text("along.invited")));
        }
        if (said.contains("not-invited")) {
            notes.add(Note.bad(f.text("along.wrong.twice")));
        }
        if (said.contains("changed")) {
            notes.add(Note.done(f.text("booking.detailsChanged")));
        }
        return List.copyOf(notes);
    }

    private String heading(
            Order order, boolean asks, boolean calledOff, boolean transfer, BookingView.Paying pay, Formats f) {
        String name = order.contact().name();
        return switch (order.status()) {
            case PLACED -> !order.standing().isEmpty()
                    ? f.text(asks ? "booking.asked" : "booking.placed", name)
                    : pages.goods(order).isEmpty() ? f.text("booking.over") : f.text("booking.thanks", name);
            case WAITING -> pay.odd()
                    ? f.text("booking.odd")
                    : transfer
                            ? f.text("booking.waitingTransfer")
                            : order.isToBeProven()
                                    ? f.text("booking.proving", name)
                                    : f.text(pay.refused() ? "booking.refused" : "booking.waiting");
            case LAPSED -> f.text(calledOff ? "booking.over" : "booking.lapsed");
        };
    }

    private String intro(Order order, boolean asks, BookingView.Paying pay, Formats f) {
        if (order.status() != OrderStatus.PLACED || order.standing().isEmpty()) {
            return "";
        }
        String email = order.contact().email();
        if (asks) {
            return f.text("booking.askedHelp", catalogues.catalogue().answerHours(), email);
        }
        return pay.unpaid().isPositive() ? "" : f.text("booking.mailed", email);
    }

    private BookingView.Line line(Order order, OrderRows.Row row, @Nullable Invite typed, Formats f) {
        OrderLine line = row.line();
        boolean placed = order.status() == OrderStatus.PLACED;
        boolean cancellable =
                placed && line.canBeCancelled() && line.time().startInstant().isAfter(clock.instant());
        List<Companion> along = companions.of(line.booking());
        boolean ahead = placed && line.time().startInstant().isAfter(clock.instant());
        boolean more = ahead && along.size() < line.party() - 1;
        return new BookingView.Line(
                row,
                placed && balances.canBePaid(line),
                cancellable && moves.mayMove(line),
                cancellable,
                along,
                more ? invite(line, typed, f) : List.of());
    }

    private static List<Field> invite(OrderLine line, @Nullable Invite typed, Formats f) {
        boolean here = typed != null && typed.booking().equals(line.booking());
        String id = "along-" + line.booking() + "-";
        Field name = Field.line("name", f.text("along.name"), Companions.MOST_NAME)
                .id(id + "name")
                .required();
        Field email =
                Field.email("email", f.text("along.email")).id(id + "email").required();
        return here && typed != null
                ? List.of(
                        name.value(typed.name()).wrong(typed.name().isEmpty() ? f.text("along.wrong.name") : ""),
                        email.value(typed.email()).wrong(typed.address() ? "" : f.text("along.wrong.email")))
                : List.of(name, email);
    }

    /** Where the same is booked again; where it is sold no more, what else there is. */
    String again(OrderLine line) {
        return catalogues
                .catalogue()
                .openOffer(line.offer().value())
                .map(offer -> Choice.again(
                                offer, line.party(), line.length(), line.units(), line.addOns(), line.place())
                        .address(null))
                .orElse("/");
    }

    private BookingView.Paying paying(Order order, List<Payment> all, boolean waits, boolean unreachable) {
        Payment last = all.isEmpty() ? null : all.get(all.size() - 1);
        boolean odd = all.stream().anyMatch(Payment::isOdd);
        boolean refused = last != null && last.state() == PaymentState.FAILED && !odd;
        return new BookingView.Paying(
                orders.paid(order),
                Money.sum(all.stream().map(Payment::authorised).toList()),
                paying.unpaid(order),
                order.later(),
                paying.ways(order),
                refused,
                odd,
                unreachable,
                waits && !refused && !odd && !unreachable);
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
