package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Keeping;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The list of what the house offers: found, ordered, begun and copied. */
@Controller
@RequestMapping("/desk/offers")
class OffersController {

    private final OfferPages pages;
    private final NewOffers fresh;
    private final Editing editing;

    OffersController(OfferPages pages, NewOffers fresh, Editing editing) {
        this.pages = pages;
        this.fresh = fresh;
        this.editing = editing;
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String list(
            Host host,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                pages.list(
                        host,
                        Written.line(search, 60),
                        Note.said(said, f.words()).stream().toList(),
                        f));
        return "offerdesk/offers";
    }

    @Needs(Right.SET_UP)
    @PostMapping
    String begin(
            Host host,
            @RequestParam(defaultValue = "") String title,
            @RequestParam(defaultValue = "time") String happens,
            Model model) {
        return fresh.begin(host, title, happens, Formats.of(model))
                .map(ref -> "redirect:" + OfferPages.address(ref.id()))
                .orElse("redirect:/desk/offers?said=no-name");
    }

    /**
     * Puts the offers into another order, at once.
     *
     * @param moved the one that is moved
     * @param before the one before which it comes; empty: the end
     */
    @Needs(Right.SET_UP)
    @PostMapping("/order")
    String order(Host host, @RequestParam String moved, @RequestParam(defaultValue = "") String before) {
        List<String> order = new ArrayList<>(pages.offers(host).stream()
                .filter(o -> o.version() > 0)
                .map(o -> o.ref().id())
                .toList());
        if (!order.remove(moved)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        int at = order.indexOf(before);
        order.add(at < 0 ? order.size() : at, moved);
        Keeping keeping = editing.atOnce(
                host,
                Map.of(
                        DocumentRef.HOUSE,
                        json -> order.forEach(json.withObject("/extra").putArray("offers")::add)));
        return "redirect:/desk/offers" + (keeping instanceof Keeping.Kept ? "" : "?said=does-not-fit");
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{id}/duplicate")
    String duplicate(Host host, @PathVariable String id, Model model) {
        Document offer = pages.seen(host, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return "redirect:"
                + OfferPages.address(
                        fresh.duplicate(host, offer, Formats.of(model)).id());
    }
}
