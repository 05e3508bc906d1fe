package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.PrepaidOffer;
import gastfreund.app.extras.Story;
import gastfreund.app.extras.Ware;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Markdown;
import gastfreund.app.typed.Plain;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the house's page shows.
 *
 * @param about formatted, as HTML; empty: nothing
 * @param sieve what is searched for
 * @param timetables whether there is something that takes place at dates of its own, which a calendar can follow
 */
public record HousePage(String name, Story story, String about, Sieve sieve, List<Shelf> shelves, boolean timetables) {

    /** From how many cards on there is a field to search them by. */
    private static final int SEARCHED = 6;

    /**
     * What is searched for among all that there is.
     *
     * @param asked empty: nothing, so that everything is shown
     * @param shown whether there is so much that one searches
     * @param found how much it is, in words; empty: nothing is searched for
     */
    public record Sieve(String asked, boolean shown, String found) {}

    /**
     * What stands together.
     *
     * @param category empty: nothing is said of it
     */
    public record Shelf(String category, List<Card> cards) {}

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

    /** Whether anything stands under a category. */
    static boolean has(Catalogue catalogue, String category) {
        return catalogue.listed().stream()
                .anyMatch(o -> catalogue.shelfOf(o.id()).category().equals(category));
    }

    /**
     * @param only the category of which everything is shown, and nothing else; empty: everything is
     * @param asked words that are all in what is shown; blank: everything is shown
     * @param next when each offer can be had next, in minutes
     */
    static HousePage of(
            Catalogue catalogue,
            String only,
            String asked,
            Function<Offer, Optional<Long>> next,
            Instant now,
            Links links,
            Formats f) {
        Map<String, List<Card>> shelves = new LinkedHashMap<>();
        for (Offer offer : catalogue.listed()) {
            if (!only.isEmpty() && !catalogue.shelfOf(offer.id()).category().equals(only)) {
                continue;
            }
            Optional<Long> start = next.apply(offer);
            shelves.computeIfAbsent(catalogue.shelfOf(offer.id()).category(), c -> new ArrayList<>())
                    .add(new Card(
                            links.offer(offer.id()),
                            offer.title(),
                            catalogue.storyOf(offer),
                            offer.lengths().stream()
                                    .map(l -> f.duration(l.minutes()))
                                    .collect(Collectors.joining(" · ")),
                            catalogue.isAgreed(offer.id())
                                    ? f.text("price.agreed")
                                    : price(catalogue.house(), offer, f),
                            start.map(s -> f.text("house.next", f.soon(s, now)))
                                    .orElseGet(() -> f.text("house.noNext")),
                            start.isPresent()));
        }
        if (only.isEmpty()) {
            List<Card> cards = shelves.computeIfAbsent("", c -> new ArrayList<>());
            catalogue.extras().wares().forEach(ware -> cards.add(card(ware, links, f)));
            catalogue.prepaidOffers().forEach(prepaid -> cards.add(card(prepaid, links, f)));
        }
        int all = shelves.values().stream().mapToInt(List::size).sum();
        List<String> words = words(asked);
        shelves.replaceAll((category, cards) ->
                cards.stream().filter(c -> has(c, category, words)).toList());
        int found = shelves.values().stream().mapToInt(List::size).sum();
        return new HousePage(
                catalogue.house().name(),
                catalogue.story(),
                Markdown.html(catalogue.extras().about().text()),
                new Sieve(
                        asked.strip(),
                        all >= SEARCHED || !words.isEmpty(),
                        words.isEmpty() ? "" : f.text("house.found", found)),
                shelves.entrySet().stream()
                        .filter(e -> !e.getValue().isEmpty())
                        .map(e -> new Shelf(e.getKey(), List.copyOf(e.getValue())))
                        .toList(),
                catalogue.listed().stream().anyMatch(Offer::hasTimetable));
    }

    private static List<String> words(String asked) {
        return Arrays.stream(Plain.of(asked).split("\\s+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }

    private static boolean has(Card card, String category, List<String> words) {
        String text = Plain.of(String.join(" ", card.title(), card.story().summary(), card.facts(), category));
        return words.stream().allMatch(text::contains);
    }

    private static String price(House house, Offer offer, Formats f) {
        Money from = offer.lengths().stream()
                .map(length -> house.fromPrice(offer, length))
                .min(Money::compareTo)
                .orElseThrow();
        boolean each = offer.basis() == Offer.Basis.PERSON;
        return f.fromMoney(from) + (each ? " " + f.text("house.perPerson") : "");
    }

    private static Card card(Ware ware, Links links, Formats f) {
        return new Card(
                links.with("/goods/" + ware.id()),
                ware.title(),
                ware.story(),
                "",
                f.shortMoney(ware.price()),
                "",
                true);
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
