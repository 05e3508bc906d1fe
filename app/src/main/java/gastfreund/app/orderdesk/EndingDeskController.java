package gastfreund.app.orderdesk;

import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Outcome;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
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

    private static final int MOST_REASON = 500;

    private final Orders orders;
    private final Endings endings;
    private final Attendance attendance;

    EndingDeskController(Orders orders, Endings endings, Attendance attendance) {
        this.attendance = attendance;
        this.orders = orders;
        this.endings = endings;
    }

    @Needs(Right.ANSWER)
    @PostMapping("/accept")
    String accept(@PathVariable long number, @PathVariable BookingId booking, Actor host) {
        return done(number, endings.accept(order(number, booking), booking, host), "accepted");
    }

    @Needs(Right.ANSWER)
    @PostMapping("/accept-for")
    String acceptFor(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("agreed", booking.value(), amount, "", true, "");
        return with(typed, f, number, next, price -> endings.acceptFor(order, booking, price, host));
    }

    @Needs(Right.ANSWER)
    @PostMapping("/decline")
    String decline(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String why,
            Actor host) {
        return done(
                number,
                endings.decline(order(number, booking), booking, Written.line(why, MOST_REASON), host),
                "declined");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/missed")
    String missed(@PathVariable long number, @PathVariable BookingId booking, Actor host) {
        return done(number, attendance.missed(order(number, booking), booking, host), "missed");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/cancel")
    String cancel(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "false") boolean tell,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("cancelled", booking.value(), amount, why, tell, "");
        return with(
                typed,
                f,
                number,
                next,
                refund -> endings.cancelByHost(order, booking, refund, Written.line(why, MOST_REASON), tell, host));
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/refund")
    String refund(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam @Minor long seen,
            @RequestParam(defaultValue = "") String why,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("refunded", booking.value(), amount, why, true, "");
        return with(
                typed,
                f,
                number,
                next,
                refund -> endings.refund(
                        order, booking, refund, Money.ofMinor(seen), Written.line(why, MOST_REASON), host));
    }

    @Needs(Right.TAKE_MONEY)
    @PostMapping("/paid")
    String paid(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam @Minor long seen,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("paid", booking.value(), amount, "", true, "");
        return with(
                typed,
                f,
                number,
                next,
                money -> endings.paidOnTheSpot(order, booking, money, Money.ofMinor(seen), host));
    }

    /** Does it; where it cannot be done, the page shows the form again as it was filled in. */
    private String with(
            Typed typed, Formats f, long number, RedirectAttributes next, Function<Money, Outcome> decision) {
        Optional<Money> amount = f.amount(typed.amount());
        Optional<Outcome> outcome = amount.map(decision);
        if (outcome.isPresent() && outcome.get() == Outcome.DONE) {
            return page(number, typed.form());
        }
        next.addFlashAttribute("typed", typed.because(amount.isEmpty() ? "said.amount" : "said.changed"));
        return "redirect:/desk/orders/" + number + "#decisions-" + typed.booking();
    }

    private static String done(long number, Outcome outcome, String said) {
        return page(number, outcome == Outcome.DONE ? said : "changed");
    }

    private static String page(long number, String said) {
        return "redirect:/desk/orders/" + number + "?said=" + said;
    }

    /** @throws ResponseStatusException where there is no such order, or it has no such booking */
    private Order order(long number, BookingId booking) {
        return orders.byNumber(number)
                .filter(order -> order.line(booking).isPresent())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
