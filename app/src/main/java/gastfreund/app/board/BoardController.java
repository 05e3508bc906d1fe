package gastfreund.app.board;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Orders;
import gastfreund.core.bookings.BookingId;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
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

    BoardController(BoardService boards, Orders orders, OrderRows pages) {
        this.boards = boards;
        this.orders = orders;
        this.pages = pages;
    }

    @Needs(Right.SEE)
    @GetMapping("/desk")
    String board(
            @RequestParam(required = false) String day, @RequestParam(required = false) String booking, Model model) {
        LocalDate today = boards.today();
        LocalDate shown = parse(day)
                .filter(d -> d.isAfter(today.minusYears(5)) && d.isBefore(today.plusYears(5)))
                .orElse(today);
        Board board = boards.board(shown, booking);
        model.addAttribute("today", today);
        model.addAttribute("board", board);
        model.addAttribute("ruler", boards.ruler(shown));
        model.addAttribute("earlier", shown.minusDays(1));
        model.addAttribute("later", shown.plusDays(1));
        if (booking != null) {
            addSelected(booking, model);
        }
        return "board/board";
    }

    private void addSelected(String booking, Model model) {
        Formats f = Formats.of(model);
        Optional<Order> order = booking.isBlank() ? Optional.empty() : orders.byBooking(new BookingId(booking));
        order.ifPresent(found -> {
            model.addAttribute("order", found);
            List<OrderRows.Row> rows = pages.rows(found.lines(), f).stream()
                    .filter(r -> r.line().booking().value().equals(booking))
                    .toList();
            model.addAttribute("rows", rows);
        });
        Board board = (Board) Objects.requireNonNull(model.getAttribute("board"));
        board.staff().stream()
                .flatMap(l -> l.blocks().stream())
                .map(Board.Block::booking)
                .filter(b -> b.id().equals(booking))
                .findFirst()
                .or(() -> board.resources().stream()
                        .flatMap(r -> r.cells().stream())
                        .map(Board.Cell::booking)
                        .filter(b -> b.id().equals(booking))
                        .findFirst())
                .ifPresent(b -> model.addAttribute("selected", b));
    }

    private static Optional<LocalDate> parse(String day) {
        try {
            return Optional.ofNullable(day).map(LocalDate::parse);
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
