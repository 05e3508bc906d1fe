package gastfreund.app.agenda;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.pages.Links;
import gastfreund.app.typed.GivenNumber;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What a guest looks for in the agenda. Whatever an address says that the house does not have does not matter.
 *
 * @param party how many come, 1 to 12
 * @param category empty: of any
 * @param person null: anyone
 * @param place null: anywhere
 * @param part null: at any time of the day
 * @param most how much it may cost at most, for all who come, in whole units of the currency; 0: anything
 */
record Sought(
        int party,
        String category,
        @Nullable StaffId person,
        @Nullable PlaceId place,
        @Nullable PartOfDay part,
        int most) {

    static final String PATH = "/agenda";
    static final int MOST_PARTY = 12;

    private static final int MOST_PRICE = 999_999;

    /** How the agenda is drawn. */
    enum View {
        DAY,
        WEEK,
        MONTH;

        static View of(@Nullable String said) {
            return Arrays.stream(values())
                    .filter(v -> v.word().equals(said))
                    .findFirst()
                    .orElse(DAY);
        }

        /** As addresses and texts call it. */
        String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What an address says, unchecked; each may be null. */
    record Asked(
            @Nullable String party,
            @Nullable String category,
            @Nullable String staff,
            @Nullable String place,
            @Nullable String part,
            @Nullable String most,
            @Nullable String view,
            @Nullable String day) {}

    static Sought of(Catalogue catalogue, Asked asked) {
        return new Sought(
                GivenNumber.within(asked.party(), 1, MOST_PARTY, 1),
                categories(catalogue).contains(asked.category()) ? String.valueOf(asked.category()) : "",
                people(catalogue).stream()
                        .filter(s -> s.value().equals(asked.staff()))
                        .findFirst()
                        .orElse(null),
                places(catalogue).stream()
                        .filter(p -> p.value().equals(asked.place()))
                        .findFirst()
                        .orElse(null),
                Arrays.stream(PartOfDay.values())
                        .filter(p -> p.word().equals(asked.part()))
                        .findFirst()
                        .orElse(null),
                GivenNumber.within(asked.most(), 0, MOST_PRICE, 0));
    }

    /** The categories under which something is listed, in the house's order. */
    static List<String> categories(Catalogue catalogue) {
        return catalogue.listed().stream()
                .map(o -> catalogue.shelfOf(o.id()).category())
                .filter(c -> !c.isEmpty())
                .distinct()
                .toList();
    }

    /** Whom a guest can ask for, in the house's order. */
    static List<StaffId> people(Catalogue catalogue) {
        return catalogue.house().staff().stream()
                .map(s -> s.id())
                .filter(s -> !catalogue.house().retired().staff().contains(s))
                .filter(s -> catalogue.listed().stream().anyMatch(o -> o.servedBy(s)))
                .toList();
    }

    /** Where something is, in the house's order. */
    static List<PlaceId> places(Catalogue catalogue) {
        return catalogue.house().places().stream()
                .map(p -> p.id())
                .filter(p -> catalogue.listed().stream().anyMatch(o -> isAt(catalogue, o, p)))
                .toList();
    }

    private static boolean isAt(Catalogue catalogue, Offer offer, PlaceId place) {
        return offer.isAt(place) && !catalogue.house().retired().places().contains(place);
    }

    /** Whether an offer is worth asking for its openings. */
    boolean mayBe(Catalogue catalogue, Offer offer) {
        return offer.party().allows(party)
                && (category.isEmpty()
                        || category.equals(catalogue.shelfOf(offer.id()).category()))
                && (person == null || offer.servedBy(person))
                && (place == null || offer.isAt(place))
                && (most == 0 || !catalogue.isAgreed(offer.id()));
    }

    /** The most that it may cost; none: anything. */
    Optional<Money> limit(Currency currency) {
        return most == 0 ? Optional.empty() : Optional.of(amount(most, currency));
    }

    /** An amount in whole units of a currency. */
    static Money amount(int units, Currency currency) {
        return Money.ofMinor(BigDecimal.valueOf(units)
                .movePointRight(Math.max(0, currency.getDefaultFractionDigits()))
                .longValueExact());
    }

    /** The address of a date, as it is looked at. */
    String address(View view, LocalDate day, Links links) {
        return written(PATH, view, day, links);
    }

    /** Where an opening of that page is taken. */
    String keepAddress(View view, LocalDate day, Links links) {
        return written(PATH + "/keep", view, day, links);
    }

    private String written(String path, View view, LocalDate day, Links links) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromUriString(links.with(path));
        uri.queryParam("party", party);
        if (view != View.DAY) {
            uri.queryParam("view", view.word());
        }
        if (!category.isEmpty()) {
            uri.queryParam("category", "{category}");
        }
        if (person != null) {
            uri.queryParam("staff", person);
        }
        if (place != null) {
            uri.queryParam("place", place);
        }
        if (part != null) {
            uri.queryParam("part", part.word());
        }
        if (most > 0) {
            uri.queryParam("most", most);
        }
        uri.queryParam("day", day);
        return uri.encode().buildAndExpand(category).toUriString();
    }
}
