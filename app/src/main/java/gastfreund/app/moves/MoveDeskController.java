package gastfreund.app.moves;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Moving a guest's booking at the desk: whatever the terms say, to whatever time the desk can book. */
@Controller
@RequestMapping("/desk/orders/{number}/bookings/{booking}/move")
class MoveDeskController {

    private final Orders orders;
    private final MovePages pages;

    MoveDeskController(Orders orders, MovePages pages) {
        this.orders = orders;
        this.pages = pages;
    }

    @Needs(Right.MOVE)
    @Partial("panel")
    @GetMapping
    String times(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String since,
            @RequestParam(required = false) @Nullable String gone,
            Model model) {
        return pages.times(side(number, booking), day, since, gone != null, model);
    }

    @Needs(Right.MOVE)
    @GetMapping("/to")
    String change(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            Host host,
            Model model) {
        return pages.change(side(number, booking), start, host, model);
    }

    @Needs(Right.MOVE)
    @PostMapping
    String move(
            @PathVariable long number,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam @Minor long total,
            @RequestParam(defaultValue = "false") boolean keepPrice,
            @RequestParam(defaultValue = "false") boolean tell,
            Host host) {
        MovePages.Side side = side(number, booking);
        boolean kept = keepPrice || MovePages.mayNotLower(host, side.line(), total);
        return pages.move(side, new Moves.Wish(Audience.DESK, start, Money.ofMinor(total), kept, tell, host.actor()));
    }

    private MovePages.Side side(long number, BookingId booking) {
        return MovePages.Side.ofDesk(orders.byNumberAsked(number), booking);
    }
}
