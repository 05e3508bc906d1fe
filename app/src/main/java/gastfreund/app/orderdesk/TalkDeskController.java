package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.BoardAddress;
import gastfreund.app.talks.Talks;
import gastfreund.core.bookings.BookingId;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is said about bookings at the desk: to their guests, and among hosts. */
@Controller
@RequestMapping("/desk/orders/{number}")
class TalkDeskController {

    private final Orders orders;
    private final Talks talks;

    TalkDeskController(Orders orders, Talks talks) {
        this.orders = orders;
        this.talks = talks;
    }

    @Needs(Right.WRITE)
    @PostMapping("/bookings/{booking}/write")
    String write(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String board,
            Host host) {
        Order order = orders.byNumberAsked(number);
        boolean said = talks.toGuest(order, order.lineAsked(booking).booking(), words, host);
        return back(number, board, said ? "written" : "not-written");
    }

    @Needs(Right.WRITE)
    @PostMapping("/write")
    String write(@PathVariable long number, @RequestParam(defaultValue = "") String words, Host host) {
        boolean said = talks.toGuest(orders.byNumberAsked(number), null, words, host);
        return back(number, "", said ? "written" : "not-written");
    }

    /** Somebody has read what the guest said. */
    @Needs(Right.WRITE)
    @PostMapping("/read")
    String read(@PathVariable long number, @RequestParam(defaultValue = "") String waits) {
        talks.seen(orders.byNumberAsked(number));
        return waits.isEmpty() ? back(number, "", "seen") : "redirect:/desk/waits?said=seen";
    }

    @Needs(Right.NOTE)
    @PostMapping("/bookings/{booking}/note")
    String note(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String board,
            Host host) {
        Order order = orders.byNumberAsked(number);
        talks.note(order.lineAsked(booking).booking(), words, host);
        return back(number, board, "noted");
    }

    private static String back(long number, String board, String said) {
        return BoardAddress.back(board, "/desk/orders/" + number, said);
    }
}
