package gastfreund.app.wishes;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.core.hours.OfferId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The waiting list at the desk: hosts see it, order it, and take wishes off it. */
@Controller
@RequestMapping("/desk/wishes")
class WishDeskController {

    /** The list, offer by offer. */
    public record ListPage(List<Group> groups) {}

    /** Those who wait for an offer, in turn. */
    public record Group(String title, List<Row> rows) {}

    /**
     * Somebody who waits.
     *
     * @param kept until when something is kept for them, in words; empty: nothing is
     * @param up where they get an earlier turn; empty: they are the first
     * @param down where they get a later one; empty: they are the last
     */
    public record Row(
            int number,
            String guest,
            String email,
            String wish,
            String since,
            String kept,
            String up,
            String down,
            String remove,
            String page) {}

    private final Wishes wishes;
    private final CatalogueService catalogues;

    WishDeskController(Wishes wishes, CatalogueService catalogues) {
        this.wishes = wishes;
        this.catalogues = catalogues;
    }

    @Needs(Right.SEE_ALL)
    @GetMapping
    String list(Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = Formats.of(model);
        Map<OfferId, List<Waiting>> offers = new LinkedHashMap<>();
        wishes.offered().forEach(w -> of(offers, w).add(w));
        wishes.waiting().forEach(w -> of(offers, w).add(w));
        List<Group> groups = new ArrayList<>();
        offers.forEach((offer, all) -> {
            List<Waiting> waiting =
                    all.stream().filter(w -> w.state() == Waiting.State.WAITING).toList();
            groups.add(new Group(
                    catalogue.offer(offer).title(),
                    all.stream().map(w -> row(w, waiting, f)).toList()));
        });
        model.addAttribute("page", new ListPage(groups));
        return "wishes/list";
    }

    private static List<Waiting> of(Map<OfferId, List<Waiting>> offers, Waiting waiting) {
        return offers.computeIfAbsent(waiting.wish().offer(), o -> new ArrayList<>());
    }

    private static Row row(Waiting one, List<Waiting> waiting, Formats f) {
        int at = waiting.indexOf(one);
        Waiting.Offered offered = one.offered();
        String address = "/desk/wishes/" + one.token();
        return new Row(
                at + 1,
                one.guest(),
                one.email(),
                f.text(
                        "wish.row",
                        WishWords.when(one.wish(), f),
                        f.text("agenda.people", one.wish().party())),
                f.moment(one.made()),
                at < 0 && offered != null ? f.text("wishes.kept", f.moment(offered.until())) : "",
                at > 0 ? address + "/up" : "",
                at >= 0 && at < waiting.size() - 1 ? address + "/down" : "",
                address + "/remove",
                "/wishes/" + one.token());
    }

    @Needs(Right.BOOK)
    @PostMapping("/{token}/up")
    String up(@PathVariable String token) {
        wishes.move(token, true);
        return "redirect:/desk/wishes";
    }

    @Needs(Right.BOOK)
    @PostMapping("/{token}/down")
    String down(@PathVariable String token) {
        wishes.move(token, false);
        return "redirect:/desk/wishes";
    }

    @Needs(Right.BOOK)
    @PostMapping("/{token}/remove")
    String remove(@PathVariable String token) {
        wishes.leave(token);
        return "redirect:/desk/wishes";
    }
}
