package gastfreund.app.board;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Sight;
import gastfreund.app.pages.Rung;
import gastfreund.app.pages.SideSheet;
import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
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
    private final Orders orders;
    private final OrderRows pages;
    private final Sight sight;
    private final Clock clock;

    BoardController(BoardService boards, Orders orders, OrderRows pages, Sight sight, Clock clock) {
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
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String booking,
            Model model) {
        LocalDate today = boards.today();
        LocalDate shown = parse(day)
                .filter(d -> d.isAfter(today.minusYears(5)) && d.isBefore(today.plusYears(5)))
                .orElse(today);
        Formats f = Formats.of(model);
        Board board = boards.board(shown, booking, b -> sight.sees(host, b.offer(), b.staff()), f);
        model.addAttribute(
                "page",
                new BoardPage(
                        board,
                        boards.ruler(shown),
                        shown.minusDays(1),
                        shown.plusDays(1),
                        f.time(clock.instant()),
                        booking == null || booking.isBlank() ? null : side(booking, host, board, f)));
        return "board/board";
    }

    private @Nullable SideSheet side(String booking, Host host, Board board, Formats f) {
        Optional<BoardBooking> drawn = drawn(booking, board);
        Optional<Order> order = orders.byBooking(new BookingId(booking)).filter(o -> sight.sees(host, o));
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
                ways("/desk/orders/" + number, order.contact().mailto(), f));
    }

    /** Why a booking no longer fits; empty: it does. */
    private static String clash(String booking, Board board) {
        return Stream.concat(
                        board.staff().stream()
                                .flatMap(l -> l.blocks().stream())
                                .filter(b -> b.booking().id().equals(booking))
                                .map(Board.Block::clash),
                        board.resources().stream()
                                .flatMap(r -> r.cells().stream())
                                .filter(c -> c.booking().id().equals(booking))
                                .map(Board.Cell::clash))
                .findFirst()
                .orElse("");
    }

    /** @param mail empty where the guest has no address */
    private static List<SideSheet.Way> ways(String order, String mail, Formats f) {
        SideSheet.Way open = new SideSheet.Way(order, f.text("board.openOrder"), true);
        return mail.isEmpty() ? List.of(open) : List.of(open, new SideSheet.Way(mail, f.text("board.write"), false));
    }

    private static Optional<BoardBooking> drawn(String booking, Board board) {
        return Stream.concat(
                        board.staff().stream().flatMap(l -> l.blocks().stream()).map(Board.Block::booking),
                        board.resources().stream()
                                .flatMap(r -> r.cells().stream())
                                .map(Board.Cell::booking))
                .filter(b -> b.id().equals(booking))
                .findFirst();
    }

    private static Optional<LocalDate> parse(String day) {
        try {
            return Optional.ofNullable(day).map(LocalDate::parse);
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
