package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Editor;
import gastfreund.app.editing.Keeping;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What an offer costs, and when: its price rules, seen in a week of starts. */
@Controller
@RequestMapping("/desk/offers/{id}/prices")
class PricesController {

    private final PricePages pages;
    private final OfferPages offers;
    private final Editing editing;
    private final Editor editor;
    private final CatalogueService catalogues;

    PricesController(PricePages pages, OfferPages offers, Editing editing, Editor editor, CatalogueService catalogues) {
        this.pages = pages;
        this.offers = offers;
        this.editing = editing;
        this.editor = editor;
        this.catalogues = catalogues;
    }

    private Document seen(Host host, String id) {
        return offers.seen(host, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Needs(Right.SET_UP)
    @GetMapping
    @Partial("prices")
    String page(
            Host host,
            @PathVariable String id,
            @ModelAttribute PricePages.Look look,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = Note.said(said, f.words()).stream().toList();
        model.addAttribute("page", pages.page(host, seen(host, id), look, notes, f));
        return "offerdesk/prices";
    }

    @Needs(Right.SET_UP)
    @PostMapping
    String type(
            Host host,
            @PathVariable String id,
            @ModelAttribute PricePages.Look look,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        DocumentRef offer = seen(host, id).ref();
        editor.take(host, offer, form, PriceRules::take, Formats.of(model));
        editor.press(host, offer, form, (json, list) -> PriceRules.add(json));
        String part = "prices".equals(form.getFirst("fragment")) ? "&fragment=prices" : "";
        return "redirect:" + look.address(id) + part;
    }

    @Needs(Right.SET_UP)
    @PostMapping("/keep")
    String keep(
            Host host,
            @PathVariable String id,
            @ModelAttribute PricePages.Look look,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        Keeping keeping = editor.keep(host, seen(host, id).ref(), form, PriceRules::take, Formats.of(model));
        return "redirect:" + look.address(id) + keeping.said('&');
    }

    @Needs(Right.SET_UP)
    @PostMapping("/drop")
    String drop(Host host, @PathVariable String id, @ModelAttribute PricePages.Look look) {
        Document seen = seen(host, id);
        editing.drop(host, List.of(seen.ref()));
        boolean there = catalogues.catalogue().offer(id).isPresent();
        return "redirect:" + (there ? look.address(id) + "&said=dropped" : "/desk/offers?said=dropped");
    }
}
