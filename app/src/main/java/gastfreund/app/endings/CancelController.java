package gastfreund.app.endings;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Outcome;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.util.List;
import org.jspecify.annotations.Nullable;
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

    static final int MOST_REASON = 500;

    /**
     * What the page shows before anything is decided.
     *
     * @param about the key of what the page says of itself
     * @param sum what was paid, is kept and comes back
     * @param visits what becomes of a pass's visits; empty: none were used
     * @param go what the button says
     * @param action where the decision is sent
     * @param booking the address of the guest's page
     */
    public record CancelPage(
            List<Note> notes,
            String heading,
            String about,
            String title,
            String when,
            List<Rung> sum,
            String visits,
            List<String> terms,
            List<Field> fields,
            String go,
            String action,
            String booking) {}

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
            @RequestParam(required = false) @Nullable String changed,
            Model model) {
        OrderLine line = order.lineAsked(booking);
        if (!line.canBeCancelled()) {
            return "redirect:/bookings/" + order.token();
        }
        model.addAttribute("page", page(order, line, changed != null, Formats.of(model)));
        return "endings/cancel";
    }

    private CancelPage page(Order order, OrderLine line, boolean changed, Formats f) {
        Money back = endings.proposal(line, Terms.By.GUEST).refund();
        boolean visitsBack = endings.givesVisitsBack(line);
        OrderRows.Row row = pages.rows(List.of(line), f).get(0);
        String go = back.isPositive()
                ? f.text("cancel.go", f.money(back))
                : f.text(visitsBack ? "cancel.goVisits" : "cancel.goNothing");
        return new CancelPage(
                changed ? List.of(Note.warn(f.text("cancel.changed"))) : List.of(),
                f.text("cancel.title"),
                "about.cancel",
                row.title(),
                f.dayAndTimes(line.time()),
                List.of(
                        Rung.of(f.text("booking.paid"), f.money(line.paid())),
                        Rung.of(f.text("cancel.kept"), f.money(line.paid().minus(back))),
                        Rung.of(f.text("cancel.back"), f.money(back), Rung.Look.TOTAL)),
                line.covered().isPositive() ? f.text(visitsBack ? "cancel.visitsBack" : "cancel.visitsKept") : "",
                row.terms(),
                List.of(Field.hidden("refund", Long.toString(back.minor())), why(f)),
                go,
                "/bookings/" + order.token() + "/lines/" + line.booking() + "/cancel",
                "/bookings/" + order.token());
    }

    /** Where a guest may say why. */
    static Field why(Formats f) {
        return Field.line("why", f.text("cancel.why"), MOST_REASON).help(f.text("cancel.whyHelp"));
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
