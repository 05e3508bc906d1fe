package gastfreund.app.bookingpage;

import gastfreund.app.companions.Companions;
import gastfreund.app.letters.CompanionLetters;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.typed.MailAddress;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** A guest invites those who come along: they get the calendar file, and no rights. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/along")
class InviteController {

    private static final int MOST_MAIL = 200;

    private final BookingPage page;
    private final CompanionLetters letters;
    private final Clock clock;

    InviteController(BookingPage page, CompanionLetters letters, Clock clock) {
        this.page = page;
        this.letters = letters;
        this.clock = clock;
    }

    @PostMapping
    String invite(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String email,
            Model model) {
        OrderLine line = ahead(order, booking);
        String called = Written.line(name, Companions.MOST_NAME);
        String address = email.strip();
        boolean one = address.length() <= MOST_MAIL && MailAddress.isOne(address);
        boolean invited = one && !called.isEmpty() && letters.invite(order, line, called, address);
        if (invited) {
            return "redirect:/bookings/" + order.token() + "?invited#along-" + booking;
        }
        Set<String> said = one && !called.isEmpty() ? Set.of("not-invited") : Set.of();
        page.show(order, true, said, new Invite(line.booking(), called, address, one), model);
        return "bookingpage/booking";
    }

    @PostMapping("/{companion}/remove")
    String remove(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @PathVariable long companion) {
        letters.takeBack(order, ahead(order, booking), companion);
        return "redirect:/bookings/" + order.token() + "#along-" + booking;
    }

    private OrderLine ahead(Order order, BookingId booking) {
        OrderLine line = order.lineAsked(booking);
        boolean stands = order.status() == OrderStatus.PLACED
                && line.stands()
                && line.time().startInstant().isAfter(clock.instant());
        if (!stands) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return line;
    }
}
