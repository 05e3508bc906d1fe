package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import java.security.Principal;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What a host decides about a booking at the desk: yes or no, its end, and its money. */
@Controller
@RequestMapping("/desk/orders/{number}/bookings/{booking}")
class EndingDeskController {

    private final OrderService orders;
    private final Endings endings;
    private final Attendance attendance;

    EndingDeskController(OrderService orders, Endings endings, Attendance attendance) {
        this.attendance = attendance;
        this.orders = orders;
        this.endings = endings;
    }

    @PostMapping("/accept")
    String accept(@PathVariable long number, @PathVariable String booking, Principal host) {
        return done(number, endings.accept(order(number), new BookingId(booking), host.getName()), "accepted");
    }

    @PostMapping("/decline")
    String decline(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam(defaultValue = "") String why,
            Principal host) {
        return done(number, endings.decline(order(number), new BookingId(booking), why, host.getName()), "declined");
    }

    @PostMapping("/missed")
    String missed(@PathVariable long number, @PathVariable String booking, Principal host) {
        return done(number, attendance.missed(order(number), new BookingId(booking), host.getName()), "missed");
    }

    @PostMapping("/cancel")
    String cancel(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "false") boolean tell,
            @ModelAttribute("f") Formats f,
            RedirectAttributes next,
            Principal host) {
        Typed typed = new Typed("cancelled", booking, amount, why, tell, "");
        return with(typed, f, number, next, refund -> endings.cancelByHost(
                order(number), new BookingId(booking), refund, why, tell, host.getName()));
    }

    @PostMapping("/refund")
    String refund(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam long seen,
            @RequestParam(defaultValue = "") String why,
            @ModelAttribute("f") Formats f,
            RedirectAttributes next,
            Principal host) {
        Typed typed = new Typed("refunded", booking, amount, why, true, "");
        return with(typed, f, number, next, refund -> endings.refund(
                order(number), new BookingId(booking), refund, Money.ofMinor(seen), why, host.getName()));
    }

    @PostMapping("/paid")
    String paid(
            @PathVariable long number,
            @PathVariable String booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam long seen,
            @ModelAttribute("f") Formats f,
            RedirectAttributes next,
            Principal host) {
        Typed typed = new Typed("paid", booking, amount, "", true, "");
        return with(typed, f, number, next, money -> endings.paidOnTheSpot(
                order(number), new BookingId(booking), money, Money.ofMinor(seen), host.getName()));
    }

    /** Does it; where it cannot be done, the page shows the form again as it was filled in. */
    private String with(
            Typed typed, Formats f, long number, RedirectAttributes next, Function<Money, Endings.Outcome> decision) {
        Optional<Money> amount = f.amount(typed.amount());
        Optional<Endings.Outcome> outcome = amount.map(decision);
        if (outcome.isPresent() && outcome.get() == Endings.Outcome.DONE) {
            return page(number, typed.form());
        }
        next.addFlashAttribute("typed", typed.because(amount.isEmpty() ? "said.amount" : "said.changed"));
        return "redirect:/desk/orders/" + number + "#decisions-" + typed.booking();
    }

    private static String done(long number, Endings.Outcome outcome, String said) {
        return page(number, outcome == Endings.Outcome.DONE ? said : "changed");
    }

    private static String page(long number, String said) {
        return "redirect:/desk/orders/" + number + "?said=" + said;
    }

    private Order order(long number) {
        return orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
