package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.CheckoutRules;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Links;
import gastfreund.app.typed.Minute;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The house's page and the offers' pages. */
@Controller
class FrontController {

    /** An offer on the house's page. */
    record Card(Offer offer, Money from, Optional<Long> next) {}

    private final NextOpenings next;
    private final CatalogueService catalogues;
    private final PanelService panels;
    private final Address address;
    private final Clock clock;

    FrontController(CatalogueService catalogues, PanelService panels, Address address, Clock clock, NextOpenings next) {
        this.next = next;
        this.address = address;
        this.catalogues = catalogues;
        this.panels = panels;
        this.clock = clock;
    }

    @GetMapping("/")
    String house(Model model) {
        if (catalogues.find().isEmpty()) {
            return "redirect:/desk/welcome";
        }
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        List<Card> cards = catalogue.house().offers().stream().map(this::card).toList();
        model.addAttribute("shareAs", address.of("/"));
        model.addAttribute("cards", cards);
        model.addAttribute("now", now);
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
        model.addAttribute("shareAs", address.of("/texts/" + text.id()));
        model.addAttribute("text", text);
        return "openings/text";
    }

    private Card card(Offer offer) {
        Money from = offer.lengths().stream()
                .map(offer::fromPrice)
                .min(Money::compareTo)
                .orElseThrow();
        return new Card(offer, from, next.of(offer).map(e -> e.time().start()));
    }

    /**
     * An offer's page, or only its panel.
     *
     * @param gone a start that the guest wanted and could not have, in minutes
     */
    @GetMapping("/offers/{id}")
    String offer(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Minute Long gone,
            @RequestParam(required = false) String why,
            @RequestParam(required = false) String fragment,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.offer(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        Choice choice = Choice.of(offer, asked);
        if (gone != null) {
            model.addAttribute("gone", gone);
            model.addAttribute("goneWhy", Panel.whyGone(why));
            model.addAttribute("nearest", panels.nearest(choice, gone));
        }
        model.addAttribute("offer", offer);
        model.addAttribute("shareAs", address.of("/offers/" + offer.id()));
        model.addAttribute("story", catalogue.storyOf(offer));
        model.addAttribute("panel", panels.panel(choice, links.basket()));
        model.addAttribute("keepAddress", choice.keepAddress(links.basket()));
        model.addAttribute("terms", TermsInWords.of(offer.terms(), Formats.of(model)));
        return "panel".equals(fragment) ? "openings/offer :: panel" : "openings/offer";
    }
}
