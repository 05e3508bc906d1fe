package gastfreund.app.checkout;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Reach;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.visits.Found;
import gastfreund.app.visits.Looked;
import gastfreund.app.visits.Visit;
import gastfreund.app.visits.Visits;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.PlaceId;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where guests are visited: asked before the checkout, which knows then what the way costs. */
@Controller
class WhereController {

    /**
     * What was sent.
     *
     * @param error what is wrong with it; empty: nothing
     * @param found what it may mean; empty: nothing is to be chosen
     * @param unknown whether it was looked for and not found
     */
    private record Sent(String address, String error, List<Found> found, boolean unknown) {

        static Sent wrong(String address, String error) {
            return new Sent(address, error, List.of(), false);
        }
    }

    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final Visits visits;
    private final Clock clock;

    WhereController(BasketService baskets, CatalogueService catalogues, Visits visits, Clock clock) {
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.visits = visits;
        this.clock = clock;
    }

    static String address(Links links) {
        return links.basketPage() + "/where";
    }

    @GetMapping("/basket/{basket}/where")
    String where(@ModelAttribute(name = "links", binding = false) Links links, Model model) {
        String known = lines(links).stream()
                .map(BasketLine::visit)
                .flatMap(v -> Optional.ofNullable(v).stream())
                .map(Visit::address)
                .findFirst()
                .orElse("");
        return page(links, Sent.wrong(known, ""), model);
    }

    /**
     * @param meant which of the addresses that were found, by its label
     * @param byHand whether the house shall look at an address that is not found
     */
    @PostMapping("/basket/{basket}/where")
    String come(
            @RequestParam(defaultValue = "") String address,
            @RequestParam(required = false) @Nullable String meant,
            @RequestParam(defaultValue = "false") boolean byHand,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        Formats f = Formats.of(model);
        String written = AddressFields.written(address);
        String problem = AddressFields.problem(written, f);
        if (!problem.isEmpty()) {
            return page(links, Sent.wrong(written, problem), model);
        }
        Catalogue catalogue = catalogues.catalogue();
        List<BasketLine> lines = lines(links);
        boolean measured = lines.stream().anyMatch(l -> reach(l, catalogue).isMeasured());
        Looked looked = visits.look(written, measured, meant);
        if (looked.is(Looked.What.UNKNOWN) && !byHand) {
            return page(links, new Sent(written, f.text("where.unknown"), List.of(), true), model);
        }
        if (looked.is(Looked.What.SEVERAL)) {
            return page(links, new Sent(written, "", looked.found(), false), model);
        }
        Map<BookingId, Visit> addresses = new LinkedHashMap<>();
        for (BasketLine line : lines) {
            Visit visit = visits.visit(place(line), written, looked.one(), catalogue);
            Reach reach = reach(line, catalogue);
            if (visit.metres() != null && !reach.covers(visit.metres())) {
                return page(
                        links,
                        Sent.wrong(
                                written,
                                AddressFields.tooFar(
                                        visit.metres(),
                                        catalogue.offer(line.offer()).title(),
                                        reach,
                                        f)),
                        model);
            }
            addresses.put(line.id(), visit);
        }
        baskets.visit(links.basketAsked(), addresses);
        return "redirect:" + links.basketPage() + "/checkout";
    }

    private String page(Links links, Sent sent, Model model) {
        Catalogue catalogue = catalogues.catalogue();
        List<BasketLine> lines = lines(links);
        if (lines.isEmpty()) {
            return "redirect:" + links.basketPage();
        }
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new WherePage(
                        lines.stream()
                                .map(l -> new WherePage.Row(
                                        catalogue.offer(l.offer()).title(),
                                        f.dayAndTimes(l.time()),
                                        reach(l, catalogue).words(catalogue.house(), f)))
                                .toList(),
                        AddressFields.address(sent.address(), sent.error(), f),
                        sent.found().isEmpty() ? null : AddressFields.meant(sent.found(), f),
                        sent.unknown() ? Field.tick("byHand", f.text("where.byHand"), false) : null,
                        address(links)));
        return "checkout/where";
    }

    /** The lines at the guest's address that are still kept. */
    private List<BasketLine> lines(Links links) {
        Catalogue catalogue = catalogues.catalogue();
        return baskets.lines(links.basketAsked()).stream()
                .filter(l -> l.isHeld(clock.instant()) && Visits.isVisit(l.place(), catalogue))
                .toList();
    }

    private static PlaceId place(BasketLine line) {
        return Optional.ofNullable(line.place()).orElseThrow();
    }

    private static Reach reach(BasketLine line, Catalogue catalogue) {
        return catalogue.placeNotes(place(line)).reach();
    }
}
