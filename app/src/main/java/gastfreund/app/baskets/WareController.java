package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Ware;
import gastfreund.app.found.Linked;
import gastfreund.app.found.Shares;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.vouchers.PrepaidService;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Goods that are sold without a time: their pages, and putting them into a basket. */
@Controller
class WareController {

    /** From how many on it is said how many are left. */
    private static final int FEW = 5;

    private final BasketService baskets;
    private final PrepaidService prepaid;
    private final CatalogueService catalogues;
    private final Address address;
    private final Shares shares;

    WareController(
            BasketService baskets,
            PrepaidService prepaid,
            CatalogueService catalogues,
            Address address,
            Shares shares) {
        this.baskets = baskets;
        this.prepaid = prepaid;
        this.catalogues = catalogues;
        this.address = address;
        this.shares = shares;
    }

    /**
     * What the page shows.
     *
     * @param left how many there are where they are few, or that there is none, in words; empty: nothing is said
     * @param fields empty where it is sold out
     */
    public record WarePage(Ware ware, String price, String left, List<Field> fields, String action) {}

    @GetMapping("/goods/{id}")
    String page(@PathVariable String id, Model model) {
        Ware ware = ware(id);
        Formats f = Formats.of(model);
        Links links = (Links) Objects.requireNonNull(model.getAttribute("links"));
        int taken = prepaid.stockOf(id).taken();
        int atOnce = ware.atOnce(taken);
        String few = ware.stock().isPresent() && ware.stock().getAsInt() - taken <= FEW
                ? f.text("ware.left", ware.stock().getAsInt() - taken)
                : "";
        List<Field.Option> counts = IntStream.rangeClosed(1, atOnce)
                .mapToObj(n -> Field.Option.of(Integer.toString(n), Integer.toString(n)))
                .toList();
        String path = "/goods/" + id;
        model.addAttribute(
                "shareAs",
                shares.of(
                        path,
                        ware.story(),
                        new Linked(catalogues.catalogue(), f, address.of("/"))
                                .product(ware.title(), ware.story(), ware.price(), address.of(path))));
        model.addAttribute(
                "page",
                new WarePage(
                        ware,
                        atOnce > 1 ? f.text("ware.each", f.money(ware.price())) : f.money(ware.price()),
                        atOnce == 0 ? f.text("ware.soldOut") : few,
                        atOnce == 0
                                ? List.of()
                                : List.of(Field.select("count", f.text("ware.count"), counts)
                                        .value("1")),
                        links.with("/goods/" + id + "/keep")));
        return "vouchers/ware";
    }

    @PostMapping("/goods/{id}/keep")
    String put(
            @PathVariable String id,
            @RequestParam(defaultValue = "1") String count,
            @ModelAttribute(name = "links", binding = false) Links links) {
        Ware ware = ware(id);
        int atOnce = ware.atOnce(prepaid.stockOf(id).taken());
        int wanted = count.length() == 1 || count.length() == 2 ? number(count) : 0;
        if (wanted < 1 || wanted > atOnce) {
            return "redirect:" + links.with("/goods/" + ware.id());
        }
        return "redirect:" + new Links(baskets.put(links, ware, wanted)).basketPage();
    }

    private static int number(String typed) {
        return typed.chars().allMatch(c -> c >= '0' && c <= '9') ? Integer.parseInt(typed) : 0;
    }

    private Ware ware(String id) {
        return catalogues.catalogue().ware(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
