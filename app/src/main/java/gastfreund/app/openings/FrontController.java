package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.embeds.Embed;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.extras.Story;
import gastfreund.app.found.Linked;
import gastfreund.app.found.Shares;
import gastfreund.app.languages.Formats;
import gastfreund.app.lookedfor.LookedFor;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Partial;
import gastfreund.app.sources.Sightings;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.typed.Minute;
import gastfreund.core.offers.Offer;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import tools.jackson.databind.node.ObjectNode;

/** The house's page and the offers' pages. */
@Controller
class FrontController {

    private static final int MOST_SEARCHED = 80;

    private final NextOpenings next;
    private final CatalogueService catalogues;
    private final PanelService panels;
    private final Address address;
    private final Shares shares;
    private final Sightings sightings;
    private final VisitorMarks marks;
    private final LookedFor lookedFor;
    private final Clock clock;

    FrontController(
            CatalogueService catalogues,
            PanelService panels,
            Address address,
            Shares shares,
            Sightings sightings,
            VisitorMarks marks,
            LookedFor lookedFor,
            Clock clock,
            NextOpenings next) {
        this.sightings = sightings;
        this.shares = shares;
        this.marks = marks;
        this.lookedFor = lookedFor;
        this.next = next;
        this.address = address;
        this.catalogues = catalogues;
        this.panels = panels;
        this.clock = clock;
    }

    @GetMapping("/")
    String house(
            @RequestParam(defaultValue = "") String category,
            @RequestParam(defaultValue = "") String q,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            HttpServletRequest request,
            Model model) {
        if (catalogues.find().isEmpty()) {
            return "redirect:/desk/welcome";
        }
        sightings.looked(links.source(), marks.of(visitor));
        Catalogue catalogue = catalogues.catalogue();
        String only = HousePage.has(catalogue, category) ? category : "";
        if (!only.equals(category)) {
            Embed.cannotHave(request, List.of("category"));
        }
        model.addAttribute(
                "shareAs",
                shares.of("/", catalogue.story(), new Linked(catalogue, Formats.of(model), address.of("/")).house()));
        model.addAttribute(
                "page",
                HousePage.of(
                        catalogue,
                        only,
                        q.length() > MOST_SEARCHED ? "" : q,
                        offer -> next.of(offer).map(e -> e.time().start()),
                        clock.instant(),
                        links,
                        Formats.of(model)));
        return "openings/house";
    }

    /** A text of the house, such as its terms. */
    @GetMapping("/texts/{id}")
    String text(@PathVariable String id, Model model) {
        CheckoutRules.Text text = catalogues
                .catalogue()
                .checkout()
                .text(id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        model.addAttribute("shareAs", shares.of("/texts/" + text.id(), Story.none(), null));
        model.addAttribute("page", text);
        return "openings/text";
    }

    /**
     * An offer's page, or only its panel.
     *
     * @param gone a start that the guest wanted and could not have, in minutes
     * @param months whether the months of a year are shown instead of the days
     * @param fragment the part that is asked for alone; empty: the whole page is
     */
    @Partial("panel")
    @GetMapping("/offers/{id}")
    String offer(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Minute Long gone,
            @RequestParam(required = false) String why,
            @RequestParam(required = false) @Nullable String months,
            @RequestParam(defaultValue = "") String fragment,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            HttpServletRequest request,
            Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.openOffer(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        sightings.looked(links.source(), marks.of(visitor));
        Choice choice = Choice.of(catalogue.house(), offer, asked).comingFrom(links.source());
        Embed.cannotHave(request, choice.otherThan(asked));
        Formats f = Formats.of(model);
        OfferPage.Gone wanted =
                gone == null ? null : OfferPage.Gone.of(gone, Panel.whyGone(why), panels.nearest(choice, gone), f);
        Panel panel = months == null ? panels.panel(choice, links.basket()) : panels.months(choice, links.basket());
        lookedFor(choice, panel.ribbon(), visitor);
        // The head of a page goes with the whole of it only.
        if (!fragment.equals("panel")) {
            model.addAttribute(
                    "shareAs",
                    shares.of("/offers/" + offer.id(), catalogue.storyOf(offer), linked(catalogue, offer, panel, f)));
        }
        model.addAttribute(
                "page", OfferPage.of(catalogue, offer, wanted, panel, choice.keepAddress(links.basket()), f));
        return "openings/offer";
    }

    /** What an offer says of itself to machines: its dates, where it has some of its own. */
    private ObjectNode linked(Catalogue catalogue, Offer offer, Panel panel, Formats f) {
        Linked linked = new Linked(catalogue, f, address.of("/"));
        String here = address.of("/offers/" + offer.id());
        return offer.hasTimetable()
                ? linked.events(
                        offer,
                        here,
                        panel.ribbon().days().stream()
                                .flatMap(d -> d.slots().stream())
                                .map(s -> new Linked.Session(s.time(), s.price(), s.left()))
                                .toList())
                : linked.service(offer, here);
    }

    /** Whoever sees no opening asked in vain: on the date that they chose, or on all that are shown. */
    private void lookedFor(Choice choice, Ribbon ribbon, Visitor visitor) {
        Ribbon.Day day = ribbon.selected();
        Instant now = clock.instant();
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        if (!day.isOpen() && choice.moving() == null && !day.date().isBefore(today)) {
            lookedFor.inVain(
                    choice.inVain(day.date(), panels.against(choice, day.date()), now), today, marks.of(visitor));
        }
    }
}
