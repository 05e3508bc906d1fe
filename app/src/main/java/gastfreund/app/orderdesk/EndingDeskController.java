package gastfreund.app.orderdesk;

import gastfreund.app.endings.Answering;
import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Outcome;
import gastfreund.app.pages.BoardAddress;
import gastfreund.app.till.Hand;
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
    private final Answering answering;

    EndingDeskController(Orders orders, Endings endings, Attendance attendance, Answering answering) {
        this.answering = answering;
        this.attendance = attendance;
        this.orders = orders;
        this.endings = endings;
    }

    @Needs(Right.ANSWER)
    @PostMapping("/accept")
    String accept(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "false") boolean others,
            @RequestParam(defaultValue = "") String wordsToOthers,
            @RequestParam(defaultValue = "false") boolean inSpite,
            @RequestParam(defaultValue = "") String board,
            Actor host) {
        Answering.Yes yes = new Answering.Yes(
                Written.line(words, MOST_REASON), others, Written.line(wordsToOthers, MOST_REASON), inSpite);
        return done(number, board, answering.yes(order(number, booking), booking, yes, host), "accepted");
    }

    @Needs(Right.ANSWER)
    @PostMapping("/accept-for")
    String acceptFor(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String board,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("agreed", booking.value(), amount, "", true, "");
        return with(typed, f, number, board, next, price -> endings.acceptFor(order, booking, price, host));
    }

    @Needs(Right.ANSWER)
    @PostMapping("/decline")
    String decline(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "") String board,
            Actor host) {
        return done(
                number,
                board,
                endings.decline(order(number, booking), booking, Written.line(why, MOST_REASON), host),
                "declined");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/missed")
    String missed(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String board,
            Actor host) {
        return done(number, board, attendance.missed(order(number, booking), booking, host), "missed");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/cancel")
    String cancel(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "false") boolean tell,
            @RequestParam(defaultValue = "") String board,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("cancelled", booking.value(), amount, why, tell, "");
        return with(
                typed,
                f,
                number,
                board,
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
            @RequestParam(defaultValue = "") String board,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Typed typed = new Typed("refunded", booking.value(), amount, why, true, "");
        return with(
                typed,
                f,
                number,
                board,
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
            @RequestParam(defaultValue = "") String hand,
            @RequestParam(defaultValue = "") String given,
            @RequestParam(defaultValue = "") String board,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Actor host) {
        Order order = order(number, booking);
        Hand with = Hand.find(hand).orElse(Hand.OTHER);
        Typed typed = new Typed("paid", booking.value(), amount, "", true, "");
        return with(typed, f, number, board, next, money -> {
            Outcome outcome = endings.paidOnTheSpot(order, booking, with, money, Money.ofMinor(seen), host);
            change(given, money, f)
                    .filter(c -> outcome == Outcome.DONE && with == Hand.CASH)
                    .ifPresent(c -> next.addFlashAttribute("change", f.text("desk.change", f.money(c))));
            return outcome;
        });
    }

    /** What a guest gets back who gave more than was to be paid; empty where that is nothing. */
    private static Optional<Money> change(String given, Money paid, Formats f) {
        return f.amount(given).map(g -> g.minus(paid)).filter(Money::isPositive);
    }

    @Needs(Right.NOTE)
    @PostMapping("/came")
    String came(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String came,
            @RequestParam(defaultValue = "") String board,
            Actor host) {
        Attendance.Came what = Attendance.Came.of(came);
        return done(number, board, attendance.came(order(number, booking), booking, what, host), "noted");
    }

    /** Does it; where it cannot be done, the page shows the form again as it was filled in. */
    private String with(
            Typed typed,
            Formats f,
            long number,
            String board,
            RedirectAttributes next,
            Function<Money, Outcome> decision) {
        Optional<Money> amount = f.amount(typed.amount());
        Optional<Outcome> outcome = amount.map(decision);
        if (outcome.isPresent() && outcome.get() == Outcome.DONE) {
            return page(number, board, typed.form());
        }
        next.addFlashAttribute("typed", typed.because(amount.isEmpty() ? "said.amount" : "said.changed"));
        String back = BoardAddress.of(board);
        return back.isEmpty()
                ? "redirect:/desk/orders/" + number + "#decisions-" + typed.booking()
                : "redirect:" + back;
    }

    private static String done(long number, String board, Outcome outcome, String said) {
        return page(number, board, outcome == Outcome.DONE ? said : "changed");
    }

    private static String page(long number, String board, String said) {
        return BoardAddress.back(board, "/desk/orders/" + number, said);
    }

    /** @throws ResponseStatusException where there is no such order, or it has no such booking */
    private Order order(long number, BookingId booking) {
        return orders.byNumber(number)
                .filter(order -> order.line(booking).isPresent())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
