package gastfreund.app.agenda;

import gastfreund.app.agenda.Sought.View;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Holds;
import gastfreund.app.baskets.KeepRequest;
import gastfreund.app.baskets.Kept;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.found.Shares;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.sources.Sightings;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.GivenDate;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What is on, and when: all that can be had by time, and from there into the basket. */
@Controller
class AgendaController {

    private final CatalogueService catalogues;
    private final AgendaPages pages;
    private final Holds holds;
    private final BasketService baskets;
    private final Shares shares;
    private final Sightings sightings;
    private final VisitorMarks marks;
    private final Clock clock;

    AgendaController(
            CatalogueService catalogues,
            AgendaPages pages,
            Holds holds,
            BasketService baskets,
            Shares shares,
            Sightings sightings,
            VisitorMarks marks,
            Clock clock) {
        this.catalogues = catalogues;
        this.pages = pages;
        this.holds = holds;
        this.baskets = baskets;
        this.shares = shares;
        this.sightings = sightings;
        this.marks = marks;
        this.clock = clock;
    }

    @GetMapping(Sought.PATH)
    String agenda(
            @ModelAttribute("sought") Sought.Asked asked,
            @RequestParam(required = false) @Nullable String why,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            Model model) {
        sightings.looked(links.source(), marks.of(visitor));
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        Instant now = clock.instant();
        model.addAttribute("shareAs", shares.of(Sought.PATH, catalogue.story(), null));
        model.addAttribute(
                "page",
                pages.page(
                        Sought.of(catalogue, asked),
                        View.of(asked.view()),
                        date(asked.day(), catalogue.zone().dateOf(now)).orElse(null),
                        why == null ? List.of() : List.of(Note.warn(f.text("agenda.why." + Panel.whyGone(why)))),
                        now,
                        links,
                        f));
        return "agenda/agenda";
    }

    /** Keeps an opening in the basket; one that cannot be had leads back to the page with the reason. */
    @PostMapping(Sought.PATH + "/keep")
    String keep(
            @ModelAttribute("sought") Sought.Asked asked,
            @RequestParam(defaultValue = "") String take,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor) {
        Catalogue catalogue = catalogues.catalogue();
        Sought sought = Sought.of(catalogue, asked);
        Taken taken = Taken.read(take).orElseThrow(() -> new ResponseStatusException(HttpStatus.BAD_REQUEST));
        Choice choice = taken.choice(catalogue, sought)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND))
                .comingFrom(links.source());
        Kept kept = holds.keep(
                links.basket(), new KeepRequest(choice, taken.start(), taken.price(), marks.of(visitor), seal, proof));
        if (kept instanceof Kept.Held held) {
            return "redirect:" + baskets.pageAfterKeeping(held.basket());
        }
        LocalDate today = catalogue.zone().dateOf(clock.instant());
        LocalDate day = date(asked.day(), today).orElse(today);
        return kept.after(sought.address(View.of(asked.view()), day, links));
    }

    /** A date that can be asked for: neither over nor too far. */
    private static Optional<LocalDate> date(@Nullable String said, LocalDate today) {
        return GivenDate.of(said).filter(d -> !d.isBefore(today) && !d.isAfter(today.plusDays(Query.MOST_DAYS)));
    }
}
