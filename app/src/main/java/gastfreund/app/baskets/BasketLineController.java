package gastfreund.app.baskets;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.PanelService;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Partial;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.Offer;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** One line of a basket: changed in place, or at another time; paid now or later; given back. */
@Controller
@RequestMapping("/basket/{basket}/lines/{line}")
class BasketLineController {

    /**
     * What the page of a change shows.
     *
     * @param now when it is so far
     * @param kept how long it is kept; null where that is over
     * @param gone why what was wanted cannot be had; empty: nothing was
     * @param address where a time is chosen
     */
    public record ChangePage(
            Offer offer, String now, @Nullable Instant kept, String gone, Panel panel, String address) {}

    private final BasketService baskets;
    private final Holds holds;
    private final CatalogueService catalogues;
    private final PanelService panels;
    private final VisitorMarks marks;
    private final Clock clock;

    BasketLineController(
            BasketService baskets,
            Holds holds,
            CatalogueService catalogues,
            PanelService panels,
            VisitorMarks marks,
            Clock clock) {
        this.clock = clock;
        this.marks = marks;
        this.baskets = baskets;
        this.holds = holds;
        this.catalogues = catalogues;
        this.panels = panels;
    }

    /** The line's offer with all that can be chosen, as it would be changed. */
    @Partial("panel")
    @GetMapping("/change")
    String times(
            @PathVariable BookingId line,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Minute Long gone,
            @RequestParam(required = false) String why,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        BasketLine current = line(links, line);
        Choice choice = choice(links, current, asked);
        Formats f = Formats.of(model);
        String kind = Panel.whyGone(why);
        model.addAttribute(
                "page",
                new ChangePage(
                        choice.offer(),
                        f.dayAndTimes(current.time()),
                        current.isHeld(clock.instant()) ? current.expires() : null,
                        gone == null
                                ? ""
                                : f.text(kind.equals("taken") ? "change.gone" : "offer.gone." + kind, f.time(gone)),
                        panels.panel(choice, links.basket()),
                        choice.keepAddress(links.basket())));
        return "baskets/change";
    }

    @PostMapping("/change")
    String change(
            @PathVariable BookingId line,
            @ModelAttribute Choice.Asked asked,
            @RequestParam @Minute long start,
            @RequestParam(required = false) @Minor Long price,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor) {
        BasketLine current = line(links, line);
        Choice choice = choice(links, current, asked);
        KeepRequest request = new KeepRequest(choice, start, price, marks.of(visitor), "", "");
        Kept kept = holds.change(links.basketAsked(), current, request);
        if (kept instanceof Kept.Held) {
            return "redirect:" + links.basketPage() + "?changed=" + line + "#line-" + line;
        }
        Choice there = choice.withDay(catalogues.catalogue().zone().dateOf(start));
        return "redirect:" + there.address(links.basket()) + "&gone=" + start + kept.why();
    }

    private Choice choice(Links links, BasketLine line, Choice.Asked asked) {
        Catalogue catalogue = catalogues.catalogue();
        return Choice.of(catalogue.house(), catalogue.offer(line.offer()), asked)
                .changing(line.changing(links));
    }

    @PostMapping("/release")
    String release(@PathVariable BookingId line, @ModelAttribute(name = "links", binding = false) Links links) {
        boolean released =
                baskets.release(links.basketAsked(), line(links, line).id());
        return "redirect:" + links.basketPage() + (released ? "?released" : "");
    }

    @PostMapping("/pay")
    String pay(
            @PathVariable BookingId line,
            @RequestParam boolean later,
            @ModelAttribute(name = "links", binding = false) Links links) {
        baskets.choosePay(links.basketAsked(), line(links, line).id(), later ? Quote.Pay.VENUE : Quote.Pay.NOW);
        return "redirect:" + links.basketPage();
    }

    private BasketLine line(Links links, BookingId id) {
        return baskets.line(links.basketAsked(), id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
