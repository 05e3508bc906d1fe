package gastfreund.app.checkout;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Reach;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.visits.Looked;
import gastfreund.app.visits.Visit;
import gastfreund.app.visits.Visits;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import java.util.List;
import java.util.Optional;
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

/** Whether the house comes to a guest's address, and what the way costs, before anything is chosen. Nothing is kept of it. */
@Controller
@RequestMapping("/offers/{id}/way")
class WayController {

    private static final double METRES = 1000;

    /**
     * What the page shows.
     *
     * @param title of the offer
     * @param reach how far the house goes, and what that costs
     * @param notes what came of an address
     * @param meant which of several addresses is meant; null where that is not to be chosen
     * @param action where it is sent
     * @param back to the times
     */
    public record WayPage(
            String title,
            String reach,
            List<Note> notes,
            Field address,
            @Nullable Field meant,
            String action,
            String back) {}

    private final CatalogueService catalogues;
    private final Visits visits;

    WayController(CatalogueService catalogues, Visits visits) {
        this.catalogues = catalogues;
        this.visits = visits;
    }

    /** A choice at a guest's address, as far as the way to it matters. */
    private Choice choice(String id, Choice.Asked asked) {
        Catalogue catalogue = catalogues.catalogue();
        return catalogue
                .openOffer(id)
                .map(offer -> Choice.of(catalogue.house(), offer, asked))
                .filter(c -> catalogue.isMeasured(c.place()))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Partial("way")
    @GetMapping
    String ask(
            @PathVariable String id,
            @ModelAttribute("choice") Choice.Asked asked,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        return page(choice(id, asked), "", "", null, List.of(), links, model);
    }

    @Partial("way")
    @PostMapping
    String measure(
            @PathVariable String id,
            @ModelAttribute("choice") Choice.Asked asked,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(required = false) @Nullable String meant,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        Choice choice = choice(id, asked);
        Formats f = Formats.of(model);
        String written = AddressFields.written(address);
        String problem = AddressFields.problem(written, f);
        if (!problem.isEmpty()) {
            return page(choice, written, problem, null, List.of(), links, model);
        }
        Looked looked = visits.look(written, true, meant);
        if (looked.is(Looked.What.UNKNOWN)) {
            return page(choice, written, f.text("where.unknown"), null, List.of(), links, model);
        }
        if (looked.is(Looked.What.SEVERAL)) {
            return page(choice, written, "", AddressFields.meant(looked.found(), f), List.of(), links, model);
        }
        Note found = found(choice, visits.visit(place(choice), written, looked.one(), catalogues.catalogue()), f);
        return page(choice, written, "", null, List.of(found), links, model);
    }

    private static PlaceId place(Choice choice) {
        return Optional.ofNullable(choice.place()).orElseThrow();
    }

    private Note found(Choice choice, Visit visit, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        Reach reach = catalogue.placeNotes(visit.place()).reach();
        Integer metres = visit.metres();
        if (metres == null) {
            return Note.warn(f.text("come.unmeasured"));
        }
        if (!reach.covers(metres)) {
            return Note.bad(AddressFields.tooFar(metres, choice.offer().title(), reach, f));
        }
        Money price = Visits.price(visit, catalogue);
        return Note.done(
                price.isPositive()
                        ? f.text("come.costs", metres / METRES, f.money(price))
                        : f.text("come.free", metres / METRES));
    }

    private String page(
            Choice choice,
            String written,
            String error,
            @Nullable Field meant,
            List<Note> notes,
            Links links,
            Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new WayPage(
                        choice.offer().title(),
                        catalogue.placeNotes(place(choice)).reach().words(catalogue.house(), f),
                        notes,
                        AddressFields.address(written, error, f),
                        meant,
                        choice.wayAddress(links.basket()),
                        choice.address(links.basket())));
        return "checkout/way";
    }
}
