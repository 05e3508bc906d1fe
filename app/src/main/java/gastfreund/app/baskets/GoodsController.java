package gastfreund.app.baskets;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.PrepaidOffer;
import gastfreund.app.found.Linked;
import gastfreund.app.found.Shares;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.typed.Names;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;

/** Vouchers and passes for sale: their pages, and putting them into a basket and out of it. */
@Controller
class GoodsController {

    private static final int MOST_AMOUNT = 20;
    private static final int MOST_RECIPIENT = 80;
    private static final int MOST_GREETING = 300;

    /**
     * What a guest wants to buy.
     *
     * @param amount one of the fixed amounts in minor units; {@code free}: the one that is written
     * @param written an amount as people write it
     */
    record Wanted(String amount, String written, String recipient, String greeting) {

        private static final Pattern MINOR = Pattern.compile("\\d{1,9}+");

        Wanted {
            amount = Written.line(amount, MOST_AMOUNT);
            written = Written.line(written, MOST_AMOUNT);
            recipient = Written.line(recipient, MOST_RECIPIENT);
            greeting = Written.text(greeting, MOST_GREETING);
        }

        /** Whether what is written as a name is one: an address of a website is none. */
        private boolean isNamed() {
            return !Names.leadsAway(recipient);
        }

        private Optional<Money> price(PrepaidOffer offer, Formats f) {
            if (offer.isPass()) {
                return Optional.of(offer.amounts().get(0));
            }
            Optional<Money> price = MINOR.matcher(amount).matches()
                    ? Optional.of(Money.ofMinor(Long.parseLong(amount)))
                    : f.amount(written);
            return price.filter(offer::allows);
        }
    }

    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final Address address;
    private final Shares shares;

    GoodsController(BasketService baskets, CatalogueService catalogues, Address address, Shares shares) {
        this.address = address;
        this.shares = shares;
        this.baskets = baskets;
        this.catalogues = catalogues;
    }

    @GetMapping("/vouchers/{id}")
    String page(@PathVariable String id, Model model) {
        PrepaidOffer offer = offer(id);
        String first = offer.amounts().isEmpty()
                ? "free"
                : Long.toString(offer.amounts().get(0).minor());
        return show(offer, new Wanted(first, "", "", ""), null, model);
    }

    @PostMapping("/vouchers/{id}/keep")
    String put(
            @PathVariable String id,
            @ModelAttribute Wanted wanted,
            @ModelAttribute(name = "f", binding = false) Formats f,
            @ModelAttribute(name = "links", binding = false) Links links,
            Model model) {
        PrepaidOffer offer = offer(id);
        Optional<Money> price = wanted.price(offer, f);
        if (price.isEmpty() || !wanted.isNamed()) {
            return show(offer, wanted, price.isEmpty(), model);
        }
        String basket = baskets.put(links, offer, price.get(), wanted.recipient(), wanted.greeting());
        return "redirect:" + new Links(basket).basketPage();
    }

    /** @param priceWrong whether the amount is; null: nothing was sent */
    private String show(PrepaidOffer offer, Wanted wanted, @Nullable Boolean priceWrong, Model model) {
        Formats f = Formats.of(model);
        Links links = (Links) Objects.requireNonNull(model.getAttribute("links"));
        boolean wrong = Boolean.TRUE.equals(priceWrong);
        String path = "/vouchers/" + offer.id();
        model.addAttribute(
                "shareAs",
                shares.of(
                        path,
                        offer.story(),
                        new Linked(catalogues.catalogue(), f, address.of("/"))
                                .product(offer.title(), offer.story(), offer.from(), address.of(path))));
        model.addAttribute(
                "page",
                new PrepaidPage(
                        offer.title(),
                        offer.story(),
                        what(offer, f),
                        offer.isPass() ? f.money(offer.amounts().get(0)) : "",
                        offer.isPass() ? null : amount(offer, wanted, wrong, f),
                        fields(wanted, priceWrong != null, f),
                        links.with("/vouchers/" + offer.id() + "/keep")));
        return "vouchers/offer";
    }

    private String what(PrepaidOffer offer, Formats f) {
        String months = f.text("prepaid.months", offer.months());
        if (!offer.isPass()) {
            return f.text("prepaid.voucherFor") + " " + months;
        }
        String offers = offer.offers().stream()
                .map(id -> catalogues.catalogue().offer(id).title())
                .sorted()
                .collect(Collectors.joining(", "));
        return f.text("prepaid.passFor", offer.visits()) + " " + offers + ". " + months;
    }

    private static PrepaidPage.Amount amount(PrepaidOffer offer, Wanted wanted, boolean wrong, Formats f) {
        List<Field.Option> options = offer.amounts().stream()
                .map(a -> Field.Option.of(Long.toString(a.minor()), f.shortMoney(a)))
                .toList();
        Money least = offer.least();
        Money most = offer.most();
        if (least == null || most == null) {
            return new PrepaidPage.Amount(
                    options, wanted.amount(), false, "", wrong ? f.text("prepaid.choose") : "", "");
        }
        return new PrepaidPage.Amount(
                options,
                wanted.amount(),
                true,
                wanted.written(),
                wrong ? f.text("prepaid.between", f.money(least), f.money(most)) : "",
                f.text("prepaid.free", f.shortMoney(least), f.shortMoney(most)));
    }

    private static List<Field> fields(Wanted wanted, boolean sent, Formats f) {
        String optional = f.text("checkout.optional");
        return List.of(
                Field.line("recipient", f.text("prepaid.recipient"), MOST_RECIPIENT)
                        .aside(optional)
                        .with("autocomplete", "off")
                        .value(wanted.recipient())
                        .wrong(sent && !wanted.isNamed() ? f.text("checkout.name.away") : ""),
                Field.text("greeting", f.text("prepaid.greeting"), MOST_GREETING)
                        .aside(optional)
                        .help(f.text("prepaid.greetingHelp"))
                        .value(wanted.greeting()));
    }

    @PostMapping("/basket/{basket}/goods/{goods}/release")
    String release(@PathVariable String goods, @ModelAttribute(name = "links", binding = false) Links links) {
        baskets.removeGoods(links.basketAsked(), goods);
        return "redirect:" + links.basketPage();
    }

    /** Uses a voucher or a pass no longer. */
    @PostMapping("/basket/{basket}/prepaid/{prepaid}/leave")
    String leave(@PathVariable String prepaid, @ModelAttribute(name = "links", binding = false) Links links) {
        baskets.leave(links.basketAsked(), prepaid);
        return "redirect:" + links.basketPage() + "#sum";
    }

    private PrepaidOffer offer(String id) {
        return catalogues
                .catalogue()
                .prepaidOffer(id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
