package gastfreund.app.endings;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Outcome;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cancelling a booking: first the exact refund, then the decision. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/cancel")
public class CancelController {

    private static final int MOST_REASON = 500;

    private final Endings endings;
    private final OrderRows pages;

    CancelController(Endings endings, OrderRows pages) {
        this.endings = endings;
        this.pages = pages;
    }

    /** What a cancellation gives back, before it is decided. */
    @GetMapping
    String question(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            Model model) {
        OrderLine line = order.lineAsked(booking);
        if (!line.canBeCancelled()) {
            return "redirect:/bookings/" + order.token();
        }
        model.addAttribute("row", pages.rows(List.of(line), Formats.of(model)).get(0));
        model.addAttribute("outcome", endings.proposal(line, Terms.By.GUEST));
        model.addAttribute("visitsBack", endings.givesVisitsBack(line));
        return "endings/cancel";
    }

    @PostMapping
    String cancel(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minor long refund,
            @RequestParam(defaultValue = "") String why) {
        Outcome outcome = endings.cancelByGuest(
                order, order.lineAsked(booking).booking(), Money.ofMinor(refund), Written.line(why, MOST_REASON));
        return outcome == Outcome.DONE
                ? "redirect:/bookings/" + order.token() + "?cancelled"
                : "redirect:/bookings/" + order.token() + "/lines/" + booking + "/cancel?changed";
    }
}
