package gastfreund.app.guests;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of a guest, named by the number of one of their orders. */
@Controller
@RequestMapping("/desk/guests")
class GuestPageController {

    private final GuestPages pages;
    private final GuestCards cards;
    private final GuestService guests;
    private final Orders orders;

    GuestPageController(GuestPages pages, GuestCards cards, GuestService guests, Orders orders) {
        this.pages = pages;
        this.cards = cards;
        this.guests = guests;
        this.orders = orders;
    }

    @Needs(Right.SEE_ALL)
    @GetMapping("/{number}")
    String guest(
            @PathVariable long number, @RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Order order = orders.byNumberAsked(number);
        Formats f = Formats.of(model);
        model.addAttribute(
                "page", pages.page(order, Note.said(said, f.words()).stream().toList(), host, f));
        return "guests/guest";
    }

    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}")
    String keep(
            @PathVariable long number,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String tags) {
        cards.keep(orders.byNumberAsked(number), note, Written.line(tags, GuestPages.MOST_TAGS));
        return back(number, "noted");
    }

    /** Makes a guest and whoever gave another order one. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}/merge")
    String merge(@PathVariable long number, @RequestParam long other) {
        cards.merge(orders.byNumberAsked(number), orders.byNumberAsked(other));
        return back(number, "merged");
    }

    /** Makes whoever gave an order a guest of their own again. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}/split")
    String split(@PathVariable long number, @RequestParam long other) {
        cards.leave(orders.byNumberAsked(other));
        return back(number, "split");
    }

    private static String back(long number, String said) {
        return "redirect:/desk/guests/" + number + "?said=" + said;
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/{number}/file")
    ResponseEntity<String> takeOut(@PathVariable long number, Actor host) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"guest.json\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(guests.takeOut(cards.of(orders.byNumberAsked(number)), host));
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/{number}/forget")
    String forget(@PathVariable long number, Host host, Model model) {
        Order order = orders.byNumberAsked(number);
        if (guests.forget(cards.of(order), host.actor())) {
            return "redirect:/desk/guests?said=forgotten";
        }
        Formats f = Formats.of(model);
        model.addAttribute("page", pages.page(order, List.of(Note.bad(f.text("guests.notYet"))), host, f));
        return "guests/guest";
    }
}
