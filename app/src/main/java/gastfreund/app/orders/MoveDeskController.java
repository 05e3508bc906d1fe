package gastfreund.app.orders;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.house.Minor;
import gastfreund.app.house.Minute;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
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
    private final Moves moves;
    private final MovePages pages;

    MoveDeskController(OrderService orders, Moves moves, MovePages pages) {
        this.orders = orders;
        this.moves = moves;
        this.pages = pages;
    }

    @Needs(Right.MOVE)
    @GetMapping
    String times(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String from,
            @RequestParam(required = false) String fragment,
            Model model) {
        if (!pages.times(order(number), booking, Audience.DESK, day, from, model)) {
            return "redirect:/desk/orders/" + number + "?said=changed";
        }
        return "panel".equals(fragment) ? "orders/desk-move :: panel" : "orders/desk-move";
    }

    @Needs(Right.MOVE)
    @GetMapping("/to")
    String proposal(
            @PathVariable long number, @PathVariable BookingId booking, @RequestParam @Minute long start, Model model) {
        return pages.proposal(order(number), booking, Audience.DESK, start, model)
                ? "orders/desk-move-to"
                : "redirect:/desk/orders/" + number + "/bookings/" + booking + "/move?gone";
    }

    @Needs(Right.MOVE)
    @PostMapping
    String move(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam @Minor long total,
            @RequestParam(defaultValue = "false") boolean keepPrice,
            @RequestParam(defaultValue = "false") boolean tell,
            Host host) {
        Order order = order(number);
        OrderLine line = MovePages.line(order, booking);
        // A lower price gives money back, or waives it: whoever may not do that moves at the price there was.
        boolean kept = keepPrice || !host.may(Right.GIVE_MONEY) && total < line.total().minor();
        Moves.Wish wish = new Moves.Wish(Audience.DESK, start, Money.ofMinor(total), kept, tell, host.actor());
        return moves.move(order, line.booking(), wish) == Endings.Outcome.DONE
                ? "redirect:/desk/orders/" + number + "?said=moved"
                : "redirect:/desk/orders/" + number + "/bookings/" + booking + "/move?gone";
    }

    private Order order(long number) {
        return orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
