package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PanelService;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Moving a booking to another time: first the ribbon of days, then what the move does to the price. */
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/move")
class MoveController {

    private final OrderService orders;
    private final OrderPages pages;
    private final Moves moves;
    private final PanelService panels;

    MoveController(OrderService orders, OrderPages pages, Moves moves, PanelService panels) {
        this.orders = orders;
        this.pages = pages;
        this.moves = moves;
        this.panels = panels;
    }

    @GetMapping
    String times(
            @PathVariable String token,
            @PathVariable String booking,
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String from,
            @RequestParam(required = false) String fragment,
            Model model) {
        Order order = order(token);
        OrderLine line = line(order, booking);
        if (!moves.mayMove(line)) {
            return "redirect:/bookings/" + token;
        }
        Choice choice = moves.choice(order, line, Audience.GUEST);
        show(order, line, model);
        model.addAttribute("offer", choice.offer());
        model.addAttribute("panel", panels.panel(choice.shown(day == null ? moves.dateOf(line).toString() : day, from), null));
        return "panel".equals(fragment) ? "orders/move :: panel" : "orders/move";
    }

    @GetMapping("/to")
    String proposal(@PathVariable String token, @PathVariable String booking, @RequestParam long start, Model model) {
        Order order = order(token);
        OrderLine line = line(order, booking);
        Optional<Moves.Proposal> proposal = moves.mayMove(line) ? moves.proposal(order, line, start, Audience.GUEST) : Optional.empty();
        if (proposal.isEmpty()) {
            return "redirect:/bookings/" + token + "/lines/" + booking + "/move?gone";
        }
        show(order, line, model);
        model.addAttribute("proposal", proposal.get());
        return "orders/move-to";
    }

    @PostMapping
    String move(
            @PathVariable String token, @PathVariable String booking, @RequestParam long start, @RequestParam long total) {
        Order order = order(token);
        OrderLine line = line(order, booking);
        Endings.Outcome outcome = moves.move(order, line.booking(), Moves.Wish.ofGuest(start, Money.ofMinor(total)));
        return outcome == Endings.Outcome.DONE
                ? "redirect:/bookings/" + token + "?moved"
                : "redirect:/bookings/" + token + "/lines/" + booking + "/move?gone";
    }

    private void show(Order order, OrderLine line, Model model) {
        model.addAttribute("order", order);
        model.addAttribute("row", pages.rows(List.of(line), (Formats) model.getAttribute("f")).get(0));
    }

    private Order order(String token) {
        return orders.byToken(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static OrderLine line(Order order, String booking) {
        return order.line(new BookingId(booking)).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
