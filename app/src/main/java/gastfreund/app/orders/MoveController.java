package gastfreund.app.orders;

import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
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
    private final Moves moves;
    private final MovePages pages;

    MoveController(OrderService orders, Moves moves, MovePages pages) {
        this.orders = orders;
        this.moves = moves;
        this.pages = pages;
    }

    @GetMapping
    String times(
            @PathVariable String token,
            @PathVariable String booking,
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String from,
            @RequestParam(required = false) String fragment,
            Model model) {
        if (!pages.times(order(token), booking, Audience.GUEST, day, from, model)) {
            return "redirect:/bookings/" + token;
        }
        return "panel".equals(fragment) ? "orders/move :: panel" : "orders/move";
    }

    @GetMapping("/to")
    String proposal(
            @PathVariable String token, @PathVariable String booking, @RequestParam long start, Model model) {
        return pages.proposal(order(token), booking, Audience.GUEST, start, model)
                ? "orders/move-to"
                : "redirect:/bookings/" + token + "/lines/" + booking + "/move?gone";
    }

    @PostMapping
    String move(
            @PathVariable String token, @PathVariable String booking, @RequestParam long start, @RequestParam long total) {
        Order order = order(token);
        Moves.Wish wish = Moves.Wish.ofGuest(start, Money.ofMinor(total));
        return moves.move(order, MovePages.line(order, booking).booking(), wish) == Endings.Outcome.DONE
                ? "redirect:/bookings/" + token + "?moved"
                : "redirect:/bookings/" + token + "/lines/" + booking + "/move?gone";
    }

    private Order order(String token) {
        return orders.byToken(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
