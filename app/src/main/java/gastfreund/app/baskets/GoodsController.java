package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.PrepaidOffer;
import gastfreund.app.house.Formats;
import gastfreund.app.house.Links;
import gastfreund.core.money.Money;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Vouchers and passes for sale: their pages, and putting them into a basket and out of it. */
@Controller
class GoodsController {

    private static final int MOST_RECIPIENT = 80;
    private static final int MOST_GREETING = 300;

    /**
     * What a guest wants to buy.
     *
     * @param amount one of the fixed amounts in minor units; {@code free}: the one that is written
     * @param written an amount as people write it
     */
    record Wanted(String amount, String written, String recipient, String greeting) {

        Wanted {
            amount = amount == null ? "" : amount;
            written = written == null ? "" : written;
            recipient = cut(recipient, MOST_RECIPIENT);
            greeting = cut(greeting, MOST_GREETING);
        }

        private static String cut(String text, int most) {
            String stripped = text == null ? "" : text.strip();
            return stripped.substring(0, Math.min(most, stripped.length()));
        }

        private Optional<Money> price(PrepaidOffer offer, Formats f) {
            if (offer.isPass()) {
                return Optional.of(offer.amounts().get(0));
            }
            Optional<Money> price = amount.matches("\\d{1,9}")
                    ? Optional.of(Money.ofMinor(Long.parseLong(amount)))
                    : f.amount(written);
            return price.filter(offer::allows);
        }
    }

    private final BasketService baskets;
    private final CatalogueService catalogues;

    GoodsController(BasketService baskets, CatalogueService catalogues) {
        this.baskets = baskets;
        this.catalogues = catalogues;
    }

    @GetMapping("/vouchers/{id}")
    String page(@PathVariable String id, Model model) {
        PrepaidOffer offer = offer(id);
        String first = offer.amounts().isEmpty() ? "free" : Long.toString(offer.amounts().get(0).minor());
        return show(offer, new Wanted(first, "", "", ""), false, model);
    }

    @PostMapping("/vouchers/{id}/keep")
    String put(
            @PathVariable String id,
            @ModelAttribute Wanted wanted,
            @ModelAttribute("f") Formats f,
            @ModelAttribute("links") Links links,
            Model model) {
        PrepaidOffer offer = offer(id);
        Optional<Money> price = wanted.price(offer, f);
        if (price.isEmpty()) {
            return show(offer, wanted, true, model);
        }
        String basket = baskets.put(links.basket(), offer, price.get(), wanted.recipient(), wanted.greeting());
        return "redirect:" + new Links(basket).basketPage();
    }

    private static String show(PrepaidOffer offer, Wanted wanted, boolean wrong, Model model) {
        model.addAttribute("offer", offer);
        model.addAttribute("wanted", wanted);
        model.addAttribute("wrong", wrong);
        return "vouchers/offer";
    }

    @PostMapping("/basket/{basket}/goods/{goods}/release")
    String release(@PathVariable String goods, @ModelAttribute("links") Links links) {
        baskets.removeGoods(links.basket(), goods);
        return "redirect:" + links.basketPage();
    }

    /** Uses a voucher or a pass no longer. */
    @PostMapping("/basket/{basket}/prepaid/{prepaid}/leave")
    String leave(@PathVariable String prepaid, @ModelAttribute("links") Links links) {
        baskets.leave(links.basket(), prepaid);
        return "redirect:" + links.basketPage() + "#sum";
    }

    private PrepaidOffer offer(String id) {
        return catalogues.catalogue()
                .prepaidOffer(id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
