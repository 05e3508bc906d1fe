package gastfreund.app.waits;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Endings;
import gastfreund.app.endings.Rivals;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Sent;
import gastfreund.app.orderdesk.Decisions;
import gastfreund.app.orderdesk.Typed;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Sight;
import gastfreund.app.pages.Note;
import gastfreund.app.paying.Balances;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.talks.Talk;
import gastfreund.app.talks.Talks;
import gastfreund.app.wishes.Wishes;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of what waits for somebody at the desk. */
@Controller
public class WaitsController {

    /** What lapses within so long is pressing. */
    private static final Duration SOON = Duration.ofHours(6);

    private static final Duration LOST = Duration.ofDays(14);

    private final Endings endings;
    private final Rivals rivals;
    private final Orders orders;
    private final OrderRows rows;
    private final Decisions decisions;
    private final Talks talks;
    private final Outbox outbox;
    private final Balances balances;
    private final Wishes wishes;
    private final PaymentService payments;
    private final CatalogueService catalogues;
    private final Sight sight;
    private final Clock clock;

    WaitsController(
            Endings endings,
            Rivals rivals,
            Orders orders,
            OrderRows rows,
            Decisions decisions,
            Talks talks,
            Outbox outbox,
            Balances balances,
            Wishes wishes,
            PaymentService payments,
            CatalogueService catalogues,
            Sight sight,
            Clock clock) {
        this.endings = endings;
        this.rivals = rivals;
        this.orders = orders;
        this.rows = rows;
        this.decisions = decisions;
        this.talks = talks;
        this.outbox = outbox;
        this.balances = balances;
        this.wishes = wishes;
        this.payments = payments;
        this.catalogues = catalogues;
        this.sight = sight;
        this.clock = clock;
    }

    /** A request with when it lapses, and whoever wants its time. */
    private record Asking(Order order, OrderLine line, Instant until, Rivals.Found others) {}

    @Needs(Right.SEE)
    @GetMapping("/desk/waits")
    String waits(@RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Formats f = Formats.of(model);
        Typed typed = model.getAttribute("typed") instanceof Typed wrong ? wrong : Typed.nothing();
        model.addAttribute(
                "page",
                new WaitsPage(
                        Note.said(said, f.words()).stream().toList(),
                        contests(host).stream()
                                .map(c -> new WaitsPage.Contest(c.stream()
                                        .map(a -> request(a, host, typed, f))
                                        .toList()))
                                .toList(),
                        talks(host, f),
                        lost(host, f),
                        owing(host, f),
                        overdue(host, f),
                        host.may(Right.SEE_ALL) ? f.text("waits.wishes", wishes.count()) : "",
                        host.may(Right.WRITE)));
        return "waits/waits";
    }

    /** Requests that want the same time together, those that lapse the soonest first. */
    private List<List<Asking>> contests(Host host) {
        Duration patience = Duration.ofHours(catalogues.catalogue().answerHours());
        List<Asking> all = endings.asking().stream()
                .filter(o -> sight.sees(host, o))
                .flatMap(o -> o.lines().stream()
                        .filter(l -> l.status() == BookingStatus.REQUESTED)
                        .map(l -> new Asking(o, l, until(o, l, patience), rivals.of(l))))
                .sorted(Comparator.comparing(Asking::until))
                .toList();
        Map<BookingId, Asking> byBooking =
                all.stream().collect(Collectors.toMap(a -> a.line().booking(), Function.identity()));
        Set<BookingId> seen = new HashSet<>();
        List<List<Asking>> contests = new ArrayList<>();
        for (Asking asking : all) {
            List<Asking> contest = new ArrayList<>();
            gather(asking, byBooking, seen, contest);
            if (!contest.isEmpty()) {
                contest.sort(Comparator.comparing(a -> a.order().placed()));
                contests.add(contest);
            }
        }
        return contests;
    }

    private static Instant until(Order order, OrderLine line, Duration patience) {
        Instant answered = order.placed().plus(patience);
        return answered.isBefore(line.time().startInstant())
                ? answered
                : line.time().startInstant();
    }

    private static void gather(
            @Nullable Asking asking, Map<BookingId, Asking> all, Set<BookingId> seen, List<Asking> contest) {
        if (asking != null && seen.add(asking.line().booking())) {
            contest.add(asking);
            asking.others().asking().forEach(r -> gather(all.get(r.line().booking()), all, seen, contest));
        }
    }

    private WaitsPage.Request request(Asking asking, Host host, Typed typed, Formats f) {
        OrderLine line = asking.line();
        OrderRows.Row row = rows.rows(List.of(line), f).get(0);
        List<String> facts = new ArrayList<>();
        facts.add(f.text("offer.people", line.party()));
        facts.addAll(row.staff());
        if (!row.place().isEmpty()) {
            facts.add(row.place());
        }
        facts.add(f.money(line.total()));
        String day = f.zone().dateOf(line.time().start()).toString();
        return new WaitsPage.Request(
                "/desk/orders/" + asking.order().number(),
                asking.order().contact().name(),
                row.title(),
                f.dayAndTimes(line.time()),
                "/desk?day=" + day + "&booking=" + line.booking(),
                String.join(" · ", facts),
                asking.order().contact().notes(),
                f.text("waits.until", f.moment(asking.until())),
                asking.until().isBefore(clock.instant().plus(SOON)),
                asking.others().standing().stream()
                        .map(r -> r.order().contact().name() + ", "
                                + f.dayAndTimes(r.line().time()))
                        .collect(Collectors.joining("; ")),
                decisions.about(asking.order(), line, host, typed, f).stream()
                        .filter(d -> d.act().startsWith("accept")
                                || d.act().equals("decline")
                                || d.act().equals("write"))
                        .map(d -> d.on("/desk/waits"))
                        .toList());
    }

    private List<WaitsPage.Said> talks(Host host, Formats f) {
        return talks.unseen().stream()
                .map(t -> said(orders.byId(t.order()), t, host, f))
                .filter(Objects::nonNull)
                .toList();
    }

    private WaitsPage.@Nullable Said said(Order order, Talk talk, Host host, Formats f) {
        return sight.sees(host, order)
                ? new WaitsPage.Said(
                        "/desk/orders/" + order.number(),
                        Long.toString(order.number()),
                        order.contact().name(),
                        f.moment(talk.at()),
                        talk.words(),
                        talk.files() == 0 ? "" : f.text("desk.filesLeft", talk.files()))
                : null;
    }

    private List<WaitsPage.Line> lost(Host host, Formats f) {
        List<WaitsPage.Line> lines = new ArrayList<>();
        for (Sent letter : outbox.lostSince(clock.instant().minus(LOST))) {
            Long id = letter.order();
            if (id == null) {
                continue;
            }
            Order order = orders.byId(id);
            if (sight.sees(host, order)) {
                lines.add(new WaitsPage.Line(
                        "/desk/orders/" + order.number(),
                        order.contact().name(),
                        f.text("order.letter." + letter.lost(), letter.recipient(), letter.why())));
            }
        }
        return lines;
    }

    private List<WaitsPage.Line> owing(Host host, Formats f) {
        return balances.owing().stream()
                .filter(o -> sight.sees(host, o))
                .map(o -> new WaitsPage.Line(
                        "/desk/orders/" + o.number(), o.contact().name(), f.money(o.balance())))
                .toList();
    }

    private List<WaitsPage.Line> overdue(Host host, Formats f) {
        if (!host.may(Right.SETTLE)) {
            return List.of();
        }
        return payments.transfersAwaited().stream()
                .filter(p -> p.awaitedUntil().isBefore(clock.instant()))
                .map(p -> {
                    Order order = orders.byId(p.order());
                    return new WaitsPage.Line(
                            "/desk/orders/" + order.number(),
                            order.contact().name(),
                            f.money(p.amount()) + ", " + p.atGateway());
                })
                .toList();
    }
}
