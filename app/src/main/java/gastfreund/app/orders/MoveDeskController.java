package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PanelService;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import java.security.Principal;
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

/** Moving a guest's booking at the desk: whatever the terms say, to whatever time the desk can book. */
@Controller
@RequestMapping("/desk/orders/{number}/bookings/{booking}/move")
class MoveDeskController {

    private final OrderService orders;
    private final OrderPages pages;
    private final Moves moves;
    private final PanelService panels;

    MoveDeskController(OrderService orders, OrderPages pages, Moves moves, PanelService panels) {
        this.orders = orders;
        this.pages = pages;
        this.moves = moves;
        this.panels = panels;
    }

    @GetMapping
    String times(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String from,
            @RequestParam(required = false) String fragment,
            Model model) {
        Order order = order(number);
        OrderLine line = line(order, booking);
        if (!moves.mayMove(line, Audience.DESK)) {
            return "redirect:/desk/orders/" + number + "?said=changed";
        }
        Choice choice = moves.choice(order, line, Audience.DESK);
        show(order, line, model);
        model.addAttribute("offer", choice.offer());
        model.addAttribute("panel", panels.panel(choice.shown(day == null ? moves.dateOf(line).toString() : day, from), null));
        return "panel".equals(fragment) ? "orders/desk-move :: panel" : "orders/desk-move";
    }

    @GetMapping("/to")
    String proposal(@PathVariable long number, @PathVariable String booking, @RequestParam long start, Model model) {
        Order order = order(number);
        OrderLine line = line(order, booking);
        Optional<Moves.Proposal> proposal = moves.mayMove(line, Audience.DESK)
                ? moves.proposal(order, line, start, Audience.DESK)
                : Optional.empty();
        if (proposal.isEmpty()) {
            return "redirect:/desk/orders/" + number + "/bookings/" + booking + "/move?gone";
        }
        show(order, line, model);
        model.addAttribute("proposal", proposal.get());
        return "orders/desk-move-to";
    }

    @PostMapping
    String move(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam long start,
            @RequestParam long total,
            @RequestParam(defaultValue = "false") boolean keepPrice,
            @RequestParam(defaultValue = "false") boolean tell,
            Principal host) {
        Order order = order(number);
        Moves.Wish wish =
                new Moves.Wish(Audience.DESK, start, Money.ofMinor(total), keepPrice, tell, host.getName());
        Endings.Outcome outcome = moves.move(order, line(order, booking).booking(), wish);
        return outcome == Endings.Outcome.DONE
                ? "redirect:/desk/orders/" + number + "?said=moved"
                : "redirect:/desk/orders/" + number + "/bookings/" + booking + "/move?gone";
    }

    private void show(Order order, OrderLine line, Model model) {
        model.addAttribute("order", order);
        model.addAttribute("row", pages.rows(List.of(line), (Formats) model.getAttribute("f")).get(0));
    }

    private Order order(long number) {
        return orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static OrderLine line(Order order, String booking) {
        return order.line(new BookingId(booking)).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
