package gastfreund.app.explainer;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.pages.Partial;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Offer;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Why a time can be booked, or cannot. */
@Controller
class ExplainerController {

    private static final int FARTHEST_YEARS = 5;

    private final ExplainerPages pages;
    private final CatalogueService catalogues;

    ExplainerController(ExplainerPages pages, CatalogueService catalogues) {
        this.pages = pages;
        this.catalogues = catalogues;
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/explain")
    @Partial("explained")
    String explain(
            @RequestParam(defaultValue = "") String offer,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(name = "as", defaultValue = "guest") String as,
            @RequestParam(defaultValue = "") String uses,
            @RequestParam(required = false) @Nullable Long at,
            Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Offer wanted = catalogue
                .offer(offer)
                .or(() -> first(catalogue, asked.staff(), uses))
                .or(() -> first(catalogue, null, ""))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        Choice choice = Choice.of(catalogue.house(), wanted, asked);
        LocalDate today = pages.today();
        LocalDate day = Optional.ofNullable(choice.day())
                .filter(d -> d.isAfter(today.minusYears(FARTHEST_YEARS)) && d.isBefore(today.plusYears(FARTHEST_YEARS)))
                .orElse(today);
        Audience audience = as.equals("desk") ? Audience.DESK : Audience.GUEST;
        model.addAttribute("page", pages.page(new Asked(choice, day, audience), at, Formats.of(model)));
        return "explainer/explainer";
    }

    /** The first offer that a person serves, or that uses a thing. */
    private static Optional<Offer> first(Catalogue catalogue, @Nullable String staff, String uses) {
        return catalogue.house().offers().stream()
                .filter(o -> !catalogue.house().retired().offers().contains(o.id()))
                .filter(o -> staff == null
                        || staff.isEmpty()
                        || o.serving().of().stream().anyMatch(s -> s.value().equals(staff)))
                .filter(o -> uses.isEmpty()
                        || o.uses().stream().anyMatch(u -> u.resource().value().equals(uses)))
                .findFirst();
    }
}
