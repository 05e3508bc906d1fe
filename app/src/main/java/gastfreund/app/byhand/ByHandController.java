package gastfreund.app.byhand;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.pages.Partial;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Booking for a guest at the desk. */
@Controller
@RequestMapping("/desk/book")
class ByHandController {

    private final ByHandPages pages;
    private final KnownGuests guests;

    ByHandController(ByHandPages pages, KnownGuests guests) {
        this.pages = pages;
        this.guests = guests;
    }

    /** Nothing is held yet: a page that is only looked at keeps no place. */
    @Needs(Right.BOOK)
    @GetMapping
    String page(ByHandForm form, Host host, Model model) {
        model.addAttribute("page", pages.page(pages.state(form), host, Formats.of(model)));
        return "byhand/book";
    }

    /** What is chosen by now is held, and shown with what it costs. */
    @Needs(Right.BOOK)
    @Partial("book")
    @PostMapping
    String change(ByHandForm form, Host host, Model model) {
        model.addAttribute("page", pages.page(pages.held(form, host), host, Formats.of(model)));
        return "byhand/book";
    }

    @Needs(Right.BOOK)
    @PostMapping("/place")
    String place(ByHandForm form, Host host, Model model) {
        Formats f = Formats.of(model);
        ByHandPages.Done done = pages.place(form, host, f);
        if (done.order() == null) {
            model.addAttribute("page", done.page());
            return "byhand/book";
        }
        Order order = done.order();
        return "redirect:/desk?day="
                + f.zone().dateOf(order.lines().get(0).time().start()) + "&booking="
                + order.lines().get(0).booking() + "&booked";
    }

    @Needs(Right.BOOK)
    @PostMapping("/leave")
    String leave(@RequestParam(defaultValue = "") String held) {
        pages.leave(held);
        return "redirect:/desk";
    }

    /** Guests who were here before, as JSON, for those who may see all of them. */
    @Needs(Right.SEE_ALL)
    @GetMapping("/guests")
    ResponseEntity<List<KnownGuest>> guests(@RequestParam(defaultValue = "") String q) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(guests.find(q.length() > 100 ? "" : q));
    }
}
