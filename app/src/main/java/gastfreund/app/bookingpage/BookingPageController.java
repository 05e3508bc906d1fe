package gastfreund.app.bookingpage;

import gastfreund.app.calendars.Reminder;
import gastfreund.app.journal.Actor;
import gastfreund.app.letters.OrderCalendar;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.paying.Balances;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.paying.Waiting;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.storage.DoesMore;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.talks.Talks;
import gastfreund.core.bookings.BookingId;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The page of an order, for whoever has its token. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}")
public class BookingPageController {

    private static final Logger LOG = LoggerFactory.getLogger(BookingPageController.class);

    private final BookingPage page;
    private final OrderPayments paying;
    private final Waiting waiting;
    private final Balances balances;
    private final OrderCalendar calendars;
    private final PaymentService payments;
    private final Talks talks;

    BookingPageController(
            BookingPage page,
            OrderPayments paying,
            Waiting waiting,
            Balances balances,
            OrderCalendar calendars,
            PaymentService payments,
            Talks talks) {
        this.talks = talks;
        this.page = page;
        this.paying = paying;
        this.waiting = waiting;
        this.balances = balances;
        this.calendars = calendars;
        this.payments = payments;
    }

    @GetMapping
    String booking(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam Map<String, String> said,
            Model model) {
        page.show(order, true, said.keySet(), model);
        return "bookingpage/booking";
    }

    /** Leads to the gateway for what is left to pay of a booking. */
    @PostMapping("/lines/{booking}/pay")
    String payBalance(@ModelAttribute(name = "order", binding = false) Order order, @PathVariable BookingId booking) {
        try {
            return "redirect:"
                    + balances.payAddress(order, order.lineAsked(booking).booking())
                            .orElse(page(order));
        } catch (GatewayException e) {
            return unreachable(order, e);
        }
    }

    /** Where the guest comes back to from the gateway: its answer is fetched at once, and not waited for. */
    @DoesMore
    @GetMapping("/paid")
    String paid(@ModelAttribute(name = "order", binding = false) Order order) {
        payments.askAbout(order.id());
        return "redirect:" + page(order);
    }

    @PostMapping("/pay")
    String pay(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(required = false) String way,
            Visitor visitor) {
        try {
            return "redirect:" + paying.payAddress(order, way, visitor).orElse(page(order));
        } catch (GatewayException e) {
            return unreachable(order, e);
        }
    }

    private static String unreachable(Order order, GatewayException e) {
        LOG.warn("order {}: {}", order.number(), e.getMessage());
        return "redirect:" + page(order) + "?unreachable";
    }

    /** Calls an order off that waits for its money. */
    @PostMapping("/release")
    String callOff(@ModelAttribute(name = "order", binding = false) Order order) {
        waiting.callOff(order, Actor.GUEST);
        return "redirect:" + page(order);
    }

    @GetMapping("/calendar.ics")
    ResponseEntity<String> calendar(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(defaultValue = "") String remind) {
        if (order.status() != OrderStatus.PLACED) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"booking-" + order.number() + ".ics\"")
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(calendars.of(order, Reminder.of(remind)));
    }

    /** The same once more, as far as it is still sold: the page itself says what was booked, whatever has become of it. */
    @GetMapping("/lines/{booking}/again")
    String again(@ModelAttribute(name = "order", binding = false) Order order, @PathVariable BookingId booking) {
        return "redirect:" + page.again(order.lineAsked(booking));
    }

    /** The guest writes to the house, about the whole of the order. */
    @PostMapping("/write")
    String write(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(defaultValue = "") String words) {
        boolean said = talks.fromPage(order, null, words);
        return "redirect:" + page(order) + (said ? "?written#talk" : "?not-written");
    }

    private static String page(Order order) {
        return "/bookings/" + order.token();
    }
}
