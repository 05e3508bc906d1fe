package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.house.Minor;
import gastfreund.app.house.Written;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
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
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/cancel")
class CancelController {

    private static final int MOST_REASON = 500;

    private final Endings endings;
    private final OrderPages pages;

    CancelController(Endings endings, OrderPages pages) {
        this.endings = endings;
        this.pages = pages;
    }

    /** What a cancellation gives back, before it is decided. */
    @GetMapping
    String question(
            @ModelAttribute(name = "order", binding = false) Order order, @PathVariable BookingId booking, Model model) {
        OrderLine line = MovePages.line(order, booking);
        if (!line.canBeCancelled()) {
            return "redirect:/bookings/" + order.token();
        }
        model.addAttribute("row", pages.rows(List.of(line), (Formats) model.getAttribute("f")).get(0));
        model.addAttribute("outcome", endings.proposal(line, Terms.By.GUEST));
        model.addAttribute("visitsBack", endings.givesVisitsBack(line));
        return "orders/cancel";
    }

    @PostMapping
    String cancel(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minor long refund,
            @RequestParam(defaultValue = "") String why) {
        Endings.Outcome outcome = endings.cancelByGuest(
                order, MovePages.line(order, booking).booking(), Money.ofMinor(refund), Written.line(why, MOST_REASON));
        return outcome == Endings.Outcome.DONE
                ? "redirect:/bookings/" + order.token() + "?cancelled"
                : "redirect:/bookings/" + order.token() + "/lines/" + booking + "/cancel?changed";
    }
}
