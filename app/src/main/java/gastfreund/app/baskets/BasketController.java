package gastfreund.app.baskets;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.PanelService;
import gastfreund.app.openings.Slot;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Code;
import gastfreund.app.pages.Links;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.Staff;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
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

    /**
     * A line as the page shows it.
     *
     * @param staff names of those who serve
     * @param place null where the offer has none
     * @param addOns what is added, in words; empty: nothing
     * @param quoted null where the hold is over
     * @param nearest where the hold is over, what could be had instead
     * @param keepAddress where one of these is kept
     * @param chips what can be changed in place; null where the hold is over
     * @param another where another time is chosen
     */
    record Row(
            BasketLine line,
            Offer offer,
            List<String> staff,
            @Nullable Place place,
            String addOns,
            Quote.@Nullable QuotedLine quoted,
            List<Slot> nearest,
            String keepAddress,
            Panel.@Nullable Chips chips,
            String another) {}

    private final BasketService baskets;
    private final Holds holds;
    private final CatalogueService catalogues;
    private final PanelService panels;
    private final Address address;
    private final VisitorMarks marks;
    private final Clock clock;

    BasketController(
            BasketService baskets,
            Holds holds,
            CatalogueService catalogues,
            PanelService panels,
            Address address,
            VisitorMarks marks,
            Clock clock) {
        this.marks = marks;
        this.panels = panels;
        this.address = address;
        this.baskets = baskets;
        this.holds = holds;
        this.catalogues = catalogues;
        this.clock = clock;
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
        Offer offer =
                catalogues.catalogue().offer(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        Choice choice = Choice.of(offer, asked);
        KeepRequest request = new KeepRequest(choice, start, price, marks.of(visitor), seal, proof);
        Kept kept = holds.keep(links.basket(), request);
        if (kept instanceof Kept.Held held) {
            if (replaces != null && links.basket() != null) {
                baskets.release(links.basket(), replaces);
            }
            return "redirect:" + afterKeeping(new Links(held.basket()));
        }
        if (kept instanceof Kept.TooMany full) {
            return "redirect:" + new Links(full.basket()).basketPage() + "?full";
        }
        return "redirect:" + choice.address(links.basket()) + "&gone=" + start + why(kept);
    }

    /** Why a place was not kept, for the address of the page that says it. */
    static String why(Kept kept) {
        if (kept instanceof Kept.NotYet notYet) {
            return "&why=moment" + (notYet.seal().isEmpty() ? "" : "&sealed=" + notYet.seal());
        }
        return kept instanceof Kept.Dearer ? "&why=price" : kept instanceof Kept.TooMuch ? "&why=share" : "";
    }

    /** A single booking goes straight to checkout where the house wants it so. */
    private String afterKeeping(Links links) {
        boolean straight = catalogues.catalogue().checkout().straight()
                && baskets.lines(links.basketAsked()).size() == 1;
        return links.basketPage() + (straight ? "/checkout" : "");
    }

    @GetMapping("/basket/{basket}")
    String basket(
            @RequestParam(required = false) String changed,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        model.addAttribute("changed", changed);
        String token = links.basketAsked();
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        List<BasketLine> lines = baskets.lines(token);
        List<BasketLine> held = lines.stream().filter(l -> l.isHeld(now)).toList();
        Bill bill = baskets.bill(token, held);
        List<Row> rows = new ArrayList<>();
        for (BasketLine line : lines) {
            int index = held.indexOf(line);
            rows.add(row(
                    token,
                    line,
                    catalogue,
                    index < 0 ? null : bill.quote().lines().get(index)));
        }
        model.addAttribute("rows", rows);
        model.addAttribute("bill", bill);
        model.addAttribute("code", baskets.promoCode(token));
        model.addAttribute("address", address.of("/basket/" + token));
        model.addAttribute("anyHeld", !held.isEmpty() || !bill.goods().isEmpty());
        model.addAttribute("anyExpired", held.size() < lines.size());
        return "baskets/basket";
    }

    private Row row(String token, BasketLine line, Catalogue catalogue, Quote.@Nullable QuotedLine quoted) {
        Offer offer = catalogue.offer(line.offer());
        Choice choice = Choice.again(offer, line.party(), line.length(), line.units(), line.addOns(), line.place());
        Choice changing = choice.changing(line.changing(new Links(token)));
        return new Row(
                line,
                offer,
                line.staff().stream()
                        .map(catalogue.house()::staff)
                        .map(Staff::name)
                        .toList(),
                line.place() == null ? null : catalogue.house().place(line.place()),
                Quantities.named(offer.addOns(), line.addOns()),
                quoted,
                quoted == null ? baskets.nearest(line) : List.of(),
                choice.keepAddress(token),
                quoted == null ? null : panels.chips(changing, token),
                changing.withDay(catalogue.zone().dateOf(line.time().start())).address(token));
    }

    @PostMapping("/basket/{basket}/code")
    String code(@RequestParam String code, @ModelAttribute(name = "links", binding = false) Links links) {
        baskets.enterCode(links.basketAsked(), code);
        return "redirect:" + links.basketPage() + "#sum";
    }

    /** The basket's address as a code, so that a telephone can go on where a computer began. */
    @GetMapping("/basket/{basket}/code.svg")
    ResponseEntity<String> picture(@ModelAttribute(name = "links", binding = false) Links links) {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .body(Code.of(address.of("/basket/" + links.basketAsked())).svg());
    }
}
