package gastfreund.app.baskets;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Quantities;
import gastfreund.app.house.Links;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Slot;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.Staff;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Keeping a place, and the basket's page. */
@Controller
class BasketController {

    private static final int MOST_CODE = 60;

    /**
     * A line as the page shows it.
     *
     * @param staff names of those who serve
     * @param place null where the offer has none
     * @param addOns what is added, in words; empty: nothing
     * @param quoted null where the hold is over
     * @param nearest where the hold is over, what could be had instead
     * @param keepAddress where one of these is kept
     */
    record Row(
            BasketLine line,
            Offer offer,
            List<String> staff,
            Place place,
            String addOns,
            Quote.QuotedLine quoted,
            List<Slot> nearest,
            String keepAddress) {}

    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final Clock clock;

    BasketController(BasketService baskets, CatalogueService catalogues, Clock clock) {
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    @PostMapping("/offers/{id}/keep")
    String keep(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam long start,
            @RequestParam(required = false) Long price,
            @RequestParam(required = false) String replaces,
            @ModelAttribute("links") Links links) {
        Offer offer = catalogues.catalogue()
                .offer(id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        Choice choice = Choice.of(offer, asked);
        Kept kept = baskets.keep(links.basket(), new KeepRequest(choice, start, price));
        if (kept instanceof Kept.Held held) {
            if (replaces != null && links.basket() != null) {
                baskets.release(links.basket(), new BookingId(replaces));
            }
            return "redirect:" + new Links(held.basket()).basketPage();
        }
        if (kept instanceof Kept.TooMany full) {
            return "redirect:" + new Links(full.basket()).basketPage() + "?full";
        }
        String why = kept instanceof Kept.Dearer ? "&why=price" : "";
        return "redirect:" + choice.address(links.basket()) + "&gone=" + start + why;
    }

    @GetMapping("/basket/{basket}")
    String basket(@ModelAttribute("links") Links links, Model model) {
        String token = known(links);
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        List<BasketLine> lines = baskets.lines(token);
        List<BasketLine> held = lines.stream().filter(l -> l.isHeld(now)).toList();
        Quote quote = baskets.quote(token, held);
        List<Row> rows = new ArrayList<>();
        for (BasketLine line : lines) {
            int index = held.indexOf(line);
            rows.add(row(token, line, catalogue, index < 0 ? null : quote.lines().get(index)));
        }
        model.addAttribute("rows", rows);
        model.addAttribute("quote", quote);
        model.addAttribute("code", baskets.promoCode(token));
        model.addAttribute("anyHeld", !held.isEmpty());
        model.addAttribute("anyExpired", held.size() < lines.size());
        return "baskets/basket";
    }

    private Row row(String token, BasketLine line, Catalogue catalogue, Quote.QuotedLine quoted) {
        Offer offer = catalogue.offer(line.offer());
        return new Row(
                line,
                offer,
                line.staff().stream().map(catalogue.house()::staff).map(Staff::name).toList(),
                line.place() == null ? null : catalogue.house().place(line.place()),
                Quantities.named(offer, line.addOns()),
                quoted,
                quoted == null ? baskets.nearest(line) : List.of(),
                Choice.again(offer, line.party(), line.length(), line.units(), line.addOns(), line.place())
                        .keepAddress(token));
    }

    @PostMapping("/basket/{basket}/lines/{line}/release")
    String release(@PathVariable String line, @ModelAttribute("links") Links links) {
        String token = known(links);
        if (baskets.release(token, new BookingId(line))) {
            return "redirect:" + links.basketPage() + "?released";
        }
        return "redirect:" + links.basketPage();
    }

    @PostMapping("/basket/{basket}/code")
    String code(@RequestParam String code, @ModelAttribute("links") Links links) {
        baskets.enterCode(known(links), code.length() > MOST_CODE ? code.substring(0, MOST_CODE) : code);
        return "redirect:" + links.basketPage() + "#sum";
    }

    @PostMapping("/basket/{basket}/lines/{line}/pay")
    String pay(@PathVariable String line, @RequestParam boolean later, @ModelAttribute("links") Links links) {
        baskets.choosePay(known(links), new BookingId(line), later ? Quote.Pay.VENUE : Quote.Pay.NOW);
        return "redirect:" + links.basketPage();
    }

    private static String known(Links links) {
        if (links.basket() == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return links.basket();
    }
}
