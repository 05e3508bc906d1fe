package gastfreund.app.board;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.moves.Moves;
import gastfreund.app.orderdesk.Panel;
import gastfreund.app.orderdesk.Panels;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Sight;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.app.pages.SideSheet;
import gastfreund.app.typed.GivenDate;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.House;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The desk's main view. */
@Controller
class BoardController {

    private final BoardService boards;
    private final Rulers rulers;
    private final BoardEvents events;
    private final Moves moves;
    private final CatalogueService catalogues;
    private final Orders orders;
    private final OrderRows pages;
    private final Panels panels;
    private final Sight sight;
    private final Clock clock;

    BoardController(
            BoardService boards,
            Rulers rulers,
            BoardEvents events,
            Moves moves,
            CatalogueService catalogues,
            Orders orders,
            OrderRows pages,
            Sight sight,
            Clock clock,
            Panels panels) {
        this.panels = panels;
        this.rulers = rulers;
        this.events = events;
        this.moves = moves;
        this.catalogues = catalogues;
        this.sight = sight;
        this.clock = clock;
        this.boards = boards;
        this.orders = orders;
        this.pages = pages;
    }

    @Needs(Right.SEE)
    @GetMapping("/desk")
    String board(
            Host host,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String span,
            @RequestParam(required = false) @Nullable String offer,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String place,
            @RequestParam(required = false) @Nullable String state,
            @RequestParam(required = false) @Nullable String booking,
            @RequestParam(required = false) @Nullable BookingId moved,
            @RequestParam(required = false) @Nullable String gone,
            @RequestParam(required = false) @Nullable String changed,
            @RequestParam(required = false) @Nullable String undone,
            @RequestParam(required = false) @Nullable String booked,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        LocalDate today = boards.today();
        LocalDate first = GivenDate.of(day)
                .filter(d -> d.isAfter(today.minusYears(5)) && d.isBefore(today.plusYears(5)))
                .orElse(today);
        BoardView view = new BoardView(
                today,
                first,
                BoardView.SPANS.stream()
                        .filter(s -> Integer.toString(s).equals(span))
                        .findFirst()
                        .orElse(1),
                BoardFilter.of(offer, person, place, state),
                booking == null || booking.isBlank() ? null : booking);
        Formats f = Formats.of(model);
        String version = events.version();
        List<Note> notes = new ArrayList<>(Note.said(said, f.words()).stream().toList());
        if (model.getAttribute("change") instanceof String words) {
            notes.add(Note.done(words));
        }
        if (booked != null) {
            notes.add(Note.done(f.text("board.booked")));
        }
        if (undone != null) {
            notes.add(Note.done(f.text("board.undone")));
        }
        if (gone != null || changed != null) {
            notes.add(Note.warn(f.text(gone != null ? "board.gone" : "board.tooLate")));
        }
        Optional<Order> taken = moved == null || !moves.canBeTakenBack(moved)
                ? Optional.empty()
                : orders.byBooking(moved).filter(o -> sight.sees(host, o));
        if (moved != null) {
            notes.add(Note.done(f.text(taken.isPresent() ? "board.movedFor" : "board.moved")));
        }
        String back = taken.map(o -> "/desk/orders/" + o.number() + "/bookings/" + moved + "/move/back")
                .orElse("");
        Board board = boards.board(view, b -> sight.sees(host, b.offer(), b.staff()), f);
        model.addAttribute(
                "page", page(view, board, host, List.copyOf(notes), back, version, model.getAttribute("typed"), f));
        return "board/board";
    }

    private BoardPage page(
            BoardView view,
            Board board,
            Host host,
            List<Note> notes,
            String back,
            String version,
            @Nullable Object typed,
            Formats f) {
        Optional<Order> chosen = chosen(view, host);
        return new BoardPage(
                board,
                view,
                rulers.of(view.day()),
                view.span() == 1
                        ? f.day(view.day())
                        : f.text("board.days", f.shortDay(view.day()), f.shortDay(view.last())),
                view.on(view.day().minusDays(view.span())).address(),
                view.on(view.day().plusDays(view.span())).address(),
                view.on(view.today()).address(),
                f.time(clock.instant()),
                BoardView.SPANS.stream()
                        .map(s -> new BoardPage.Choosable(
                                f.text("board.span", s), view.over(s).address(), s == view.span()))
                        .toList(),
                filters(view.filter(), f),
                view.selected() == null ? null : side(view.selected(), chosen, board, f),
                chosen.map(o -> panel(view, o, host, typed, f)).orElse(null),
                notes,
                back,
                version);
    }

    private List<Field> filters(BoardFilter filter, Formats f) {
        House house = catalogues.catalogue().house();
        return List.of(
                filter(
                        "offer",
                        f.text("board.filter.offer"),
                        f.text("board.all.offer"),
                        filter.offer(),
                        house.offers().stream()
                                .filter(o -> !house.retired().offers().contains(o.id()))
                                .map(o -> Field.Option.of(o.id().value(), o.title()))),
                filter(
                        "person",
                        f.text("board.filter.person"),
                        f.text("board.all.person"),
                        filter.person(),
                        house.staff().stream().map(s -> Field.Option.of(s.id().value(), s.name()))),
                filter(
                        "place",
                        f.text("board.filter.place"),
                        f.text("board.all.place"),
                        filter.place(),
                        house.places().stream().map(p -> Field.Option.of(p.id().value(), p.name()))),
                filter(
                        "state",
                        f.text("board.filter.state"),
                        f.text("board.all.state"),
                        filter.state() == null ? null : filter.state().code(),
                        Arrays.stream(BoardFilter.State.values())
                                .map(s -> Field.Option.of(s.code(), f.text("board.state." + s.code())))));
    }

    private static Field filter(
            String name, String label, String everything, @Nullable String value, Stream<Field.Option> options) {
        Field field = Field.select(
                name,
                label,
                Stream.concat(Stream.of(Field.Option.of("", everything)), options)
                        .toList());
        return value == null ? field : field.value(value);
    }

    /** The order of the booking that is selected, where the host sees it. */
    private Optional<Order> chosen(BoardView view, Host host) {
        return Optional.ofNullable(view.selected())
                .flatMap(b -> orders.byBooking(new BookingId(b)))
                .filter(o -> sight.sees(host, o));
    }

    private @Nullable SideSheet side(String booking, Optional<Order> order, Board board, Formats f) {
        Optional<BoardBooking> drawn = drawn(booking, board);
        if (order.isPresent()) {
            return side(order.get(), booking, drawn, clash(booking, board), f);
        }
        return drawn.filter(b -> b.expires() != null)
                .map(b -> new SideSheet(
                        "",
                        f.text("board.kept"),
                        f.text("board.keptHelp", f.time(Objects.requireNonNull(b.expires()))),
                        "",
                        List.of(),
                        List.of()))
                .orElse(null);
    }

    private Panel panel(BoardView view, Order order, Host host, @Nullable Object typed, Formats f) {
        BookingId booking = new BookingId(Objects.requireNonNull(view.selected()));
        return panels.of(order, order.lineAsked(booking), host, view.address(), typed, f);
    }

    private SideSheet side(Order order, String booking, Optional<BoardBooking> drawn, String clash, Formats f) {
        OrderLine line = order.lineAsked(new BookingId(booking));
        OrderRows.Row row = pages.rows(List.of(line), f).get(0);
        List<String> facts = new ArrayList<>();
        facts.add(f.text("offer.people", line.party()));
        facts.add(f.duration(line.time().length()));
        facts.addAll(row.staff());
        if (!clash.isEmpty()) {
            facts.add(f.text("board.clashes", clash));
        }
        List<Rung> sum = new ArrayList<>();
        sum.add(Rung.of(f.text("booking.price"), f.money(line.total()), Rung.Look.DUE));
        drawn.ifPresent(b -> sum.add(Rung.of(f.text("booking.paid"), f.money(b.paid()), Rung.Look.DUE)));
        if (line.balance().isPositive()) {
            sum.add(Rung.of(
                    f.text("ladder.dueOn", f.shortDay(Objects.requireNonNull(line.balanceDue()))),
                    f.money(line.balance())));
        }
        String number = Long.toString(order.number());
        return new SideSheet(
                f.text("booking.number", number) + " · " + f.times(line.time()),
                order.contact().name(),
                row.title(),
                String.join(" · ", facts),
                sum,
                ways("/desk/orders/" + number, session(line), f));
    }

    /** Why a booking no longer fits; empty: it does. */
    private static String clash(String booking, Board board) {
        return board.clashes().stream()
                .filter(c -> c.booking().equals(booking))
                .map(Board.Clashing::why)
                .findFirst()
                .orElse("");
    }

    /** Where those stand who come to the same session; empty where nobody else can. */
    private String session(OrderLine line) {
        boolean shared = catalogues.catalogue().offer(line.offer()).sharing().shared();
        return shared
                ? "/desk/bookings/day?day="
                        + catalogues.catalogue().zone().dateOf(line.time().start()) + "&offer=" + line.offer() + "&at="
                        + line.time().start()
                : "";
    }

    /** @param session empty where it is none that is shared */
    private static List<SideSheet.Way> ways(String order, String session, Formats f) {
        List<SideSheet.Way> ways = new ArrayList<>();
        ways.add(new SideSheet.Way(order, f.text("board.openOrder"), true));
        if (!session.isEmpty()) {
            ways.add(new SideSheet.Way(session, f.text("lists.session"), false));
        }
        return ways;
    }

    private static Optional<BoardBooking> drawn(String booking, Board board) {
        return board.lanes().stream()
                .flatMap(l -> l.blocks().stream())
                .map(Board.Block::booking)
                .filter(b -> b.id().equals(booking))
                .findFirst();
    }
}
