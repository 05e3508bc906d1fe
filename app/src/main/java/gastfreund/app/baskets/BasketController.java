package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Shelf;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Code;
import gastfreund.app.pages.Links;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.Offer;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Keeping a place, and the basket as a whole. */
@Controller
class BasketController {

    private final BasketService baskets;
    private final Holds holds;
    private final CatalogueService catalogues;
    private final BasketPages pages;
    private final Address address;
    private final VisitorMarks marks;

    BasketController(
            BasketService baskets,
            Holds holds,
            CatalogueService catalogues,
            BasketPages pages,
            Address address,
            VisitorMarks marks) {
        this.marks = marks;
        this.pages = pages;
        this.address = address;
        this.baskets = baskets;
        this.holds = holds;
        this.catalogues = catalogues;
    }

    @PostMapping("/offers/{id}/keep")
    String keep(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam @Minute long start,
            @RequestParam(required = false) @Minor Long price,
            @RequestParam(required = false) BookingId replaces,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor) {
        Offer offer = catalogues
                .catalogue()
                .offer(id)
                .filter(o -> catalogues.catalogue().shelfOf(o.id()).listing() != Shelf.Listing.OFF)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        Choice choice = Choice.of(catalogues.catalogue().house(), offer, asked).comingFrom(links.source());
        KeepRequest request = new KeepRequest(choice, start, price, marks.of(visitor), seal, proof);
        Kept kept = holds.keep(links.basket(), request);
        if (kept instanceof Kept.Held held) {
            if (replaces != null && links.basket() != null) {
                baskets.release(links.basket(), replaces);
            }
            return "redirect:" + baskets.pageAfterKeeping(held.basket());
        }
        if (kept instanceof Kept.TooMany full) {
            return full.redirect();
        }
        return "redirect:" + choice.address(links.basket()) + "&gone=" + start + kept.why();
    }

    @GetMapping("/basket/{basket}")
    String basket(
            @RequestParam(required = false) String changed,
            @RequestParam Map<String, String> said,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        model.addAttribute("page", pages.page(links, said, changed, Formats.of(model)));
        return "baskets/basket";
    }

    @PostMapping("/basket/{basket}/code")
    String code(@RequestParam String code, @ModelAttribute(name = "links", binding = false) Links links) {
        baskets.enterCode(links.basketAsked(), code);
        return "redirect:" + links.basketPage() + "#sum";
    }

    /** More time, before what is kept goes back. */
    @PostMapping("/basket/{basket}/longer")
    String longer(@ModelAttribute(name = "links", binding = false) Links links) {
        boolean extended = holds.extend(links.basketAsked());
        return "redirect:" + links.basketPage() + (extended ? "?longer" : "");
    }

    /** The basket's address as a code, so that a telephone can go on where a computer began. */
    @GetMapping("/basket/{basket}/code.svg")
    ResponseEntity<String> picture(@ModelAttribute(name = "links", binding = false) Links links) {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .body(Code.of(address.of("/basket/" + links.basketAsked())).svg());
    }
}
