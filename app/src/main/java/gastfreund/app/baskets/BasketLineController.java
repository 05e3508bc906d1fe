package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.house.Links;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PanelService;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.Quote;
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

    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final PanelService panels;

    BasketLineController(BasketService baskets, CatalogueService catalogues, PanelService panels) {
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.panels = panels;
    }

    /** The line's offer with all that can be chosen, as it would be changed. */
    @GetMapping("/change")
    String times(
            @PathVariable String line,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) Long gone,
            @RequestParam(required = false) String why,
            @RequestParam(required = false) String fragment,
            @ModelAttribute("links") Links links,
            Model model) {
        BasketLine current = line(links, line);
        Choice choice = choice(links, current, asked);
        model.addAttribute("line", current);
        model.addAttribute("offer", choice.offer());
        model.addAttribute("panel", panels.panel(choice, links.basket()));
        model.addAttribute("keepAddress", choice.keepAddress(links.basket()));
        if (gone != null) {
            model.addAttribute("gone", gone);
            model.addAttribute("goneWhy", "price".equals(why) ? "price" : "taken");
        }
        return "panel".equals(fragment) ? "baskets/change :: panel" : "baskets/change";
    }

    @PostMapping("/change")
    String change(
            @PathVariable String line,
            @ModelAttribute Choice.Asked asked,
            @RequestParam long start,
            @RequestParam(required = false) Long price,
            @ModelAttribute("links") Links links) {
        BasketLine current = line(links, line);
        Choice choice = choice(links, current, asked);
        Kept kept = baskets.change(links.basket(), current, new KeepRequest(choice, start, price));
        if (kept instanceof Kept.Held) {
            return "redirect:" + links.basketPage() + "?changed=" + line + "#line-" + line;
        }
        Choice there = choice.withDay(catalogues.catalogue().zone().dateOf(start));
        return "redirect:" + there.address(links.basket()) + "&gone=" + start
                + (kept instanceof Kept.Dearer ? "&why=price" : "");
    }

    private Choice choice(Links links, BasketLine line, Choice.Asked asked) {
        return Choice.of(catalogues.catalogue().offer(line.offer()), asked).changing(line.changing(links));
    }

    @PostMapping("/release")
    String release(@PathVariable String line, @ModelAttribute("links") Links links) {
        boolean released = baskets.release(links.basket(), line(links, line).id());
        return "redirect:" + links.basketPage() + (released ? "?released" : "");
    }

    @PostMapping("/pay")
    String pay(@PathVariable String line, @RequestParam boolean later, @ModelAttribute("links") Links links) {
        baskets.choosePay(links.basket(), line(links, line).id(), later ? Quote.Pay.VENUE : Quote.Pay.NOW);
        return "redirect:" + links.basketPage();
    }

    private BasketLine line(Links links, String id) {
        if (links.basket() == null || id.isBlank()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return baskets.line(links.basket(), new BookingId(id))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
