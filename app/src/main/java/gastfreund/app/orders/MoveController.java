package gastfreund.app.orders;

import gastfreund.app.house.Minor;
import gastfreund.app.house.Minute;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Moving a booking to another time: first the ribbon of days, then what the move does to the price. */
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/move")
class MoveController {

    private final Moves moves;
    private final MovePages pages;

    MoveController(Moves moves, MovePages pages) {
        this.moves = moves;
        this.pages = pages;
    }

    @GetMapping
    String times(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam(required = false) String day,
            @RequestParam(required = false) String from,
            @RequestParam(required = false) String fragment,
            Model model) {
        if (!pages.times(order, booking, Audience.GUEST, day, from, model)) {
            return "redirect:/bookings/" + order.token();
        }
        return "panel".equals(fragment) ? "orders/move :: panel" : "orders/move";
    }

    @GetMapping("/to")
    String proposal(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            Model model) {
        return pages.proposal(order, booking, Audience.GUEST, start, model)
                ? "orders/move-to"
                : "redirect:/bookings/" + order.token() + "/lines/" + booking + "/move?gone";
    }

    @PostMapping
    String move(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam @Minor long total) {
        Moves.Wish wish = Moves.Wish.ofGuest(start, Money.ofMinor(total));
        return moves.move(order, MovePages.line(order, booking).booking(), wish) == Endings.Outcome.DONE
                ? "redirect:/bookings/" + order.token() + "?moved"
                : "redirect:/bookings/" + order.token() + "/lines/" + booking + "/move?gone";
    }
}
