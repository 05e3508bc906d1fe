package gastfreund.app.endings;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Outcome;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cancelling all that is ahead of an order, by the guest: first what comes back, then once. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/cancel")
class CancelAheadController {

    private final Endings endings;

    CancelAheadController(Endings endings) {
        this.endings = endings;
    }

    @GetMapping
    String question(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(required = false) @Nullable String changed,
            Model model) {
        List<OrderLine> ahead = endings.ahead(order);
        if (ahead.isEmpty()) {
            return "redirect:/bookings/" + order.token();
        }
        model.addAttribute("page", page(order, ahead, changed != null, Formats.of(model)));
        return "endings/cancel";
    }

    private CancelController.CancelPage page(Order order, List<OrderLine> ahead, boolean changed, Formats f) {
        Money paid = Money.sum(ahead.stream().map(OrderLine::paid).toList());
        Money back = Money.sum(
                ahead.stream().map(l -> endings.byTheTerms(l).refund()).toList());
        return new CancelController.CancelPage(
                changed ? List.of(Note.warn(f.text("cancel.changed"))) : List.of(),
                f.text("cancel.aheadTitle"),
                "about.cancelAhead",
                f.text("cancel.ahead", ahead.size()),
                "",
                List.of(
                        Rung.of(f.text("booking.paid"), f.money(paid)),
                        Rung.of(f.text("cancel.kept"), f.money(paid.minus(back))),
                        Rung.of(f.text("cancel.back"), f.money(back), Rung.Look.TOTAL)),
                "",
                ahead.stream().map(l -> each(l, f)).toList(),
                List.of(Field.hidden("refund", Long.toString(back.minor())), CancelController.why(f)),
                f.text(back.isPositive() ? "cancel.aheadGo" : "cancel.aheadGoNothing", f.money(back)),
                "/bookings/" + order.token() + "/cancel",
                "/bookings/" + order.token());
    }

    /** One of them, with what comes back of it. */
    private String each(OrderLine line, Formats f) {
        String what = line.sold().title() + ", " + f.dayAndTimes(line.time());
        if (line.covered().isPositive()) {
            return f.text(endings.givesVisitsBack(line) ? "cancel.eachVisitsBack" : "cancel.eachVisitsKept", what);
        }
        return f.text("cancel.each", what, f.money(endings.byTheTerms(line).refund()));
    }

    @PostMapping
    String cancel(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam @Minor long refund,
            @RequestParam(defaultValue = "") String why) {
        Outcome outcome = endings.cancelAheadByGuest(
                order, Money.ofMinor(refund), Written.line(why, CancelController.MOST_REASON));
        return outcome == Outcome.DONE
                ? "redirect:/bookings/" + order.token() + "?cancelled"
                : "redirect:/bookings/" + order.token() + "/cancel?changed";
    }
}
