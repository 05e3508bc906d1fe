package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.PrepaidOffer;
import gastfreund.app.catalogue.Story;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Links;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What the house's page shows. */
public record HousePage(String name, Story story, List<Card> cards) {

    /**
     * Something that can be had.
     *
     * @param facts what it takes
     * @param price from which amount it can be had
     * @param next when it can be had next, or that it cannot be for now; empty: nothing is said
     * @param open whether it can be had
     */
    public record Card(
            String address, String title, Story story, String facts, String price, String next, boolean open) {}

    /** @param next when each offer can be had next, in minutes */
    static HousePage of(
            Catalogue catalogue, Function<Offer, Optional<Long>> next, Instant now, Links links, Formats f) {
        List<Card> cards = new ArrayList<>();
        for (Offer offer : catalogue.listed()) {
            Optional<Long> start = next.apply(offer);
            cards.add(new Card(
                    links.offer(offer.id()),
                    offer.title(),
                    catalogue.storyOf(offer),
                    offer.lengths().stream().map(l -> f.duration(l.minutes())).collect(Collectors.joining(" · ")),
                    price(catalogue.house(), offer, f),
                    start.map(s -> f.text("house.next", f.soon(s, now))).orElseGet(() -> f.text("house.noNext")),
                    start.isPresent()));
        }
        catalogue.prepaidOffers().forEach(prepaid -> cards.add(card(prepaid, links, f)));
        return new HousePage(catalogue.house().name(), catalogue.story(), List.copyOf(cards));
    }

    private static String price(House house, Offer offer, Formats f) {
        Money from = offer.lengths().stream()
                .map(length -> house.fromPrice(offer, length))
                .min(Money::compareTo)
                .orElseThrow();
        boolean each = offer.basis() == Offer.Basis.PERSON;
        return f.fromMoney(from) + (each ? " " + f.text("house.perPerson") : "");
    }

    private static Card card(PrepaidOffer prepaid, Links links, Formats f) {
        return new Card(
                links.with("/vouchers/" + prepaid.id()),
                prepaid.title(),
                prepaid.story(),
                f.text("prepaid.monthsShort", prepaid.months()),
                prepaid.isPass() ? f.shortMoney(prepaid.from()) : f.fromMoney(prepaid.from()),
                "",
                true);
    }
}
