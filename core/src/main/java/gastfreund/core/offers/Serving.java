package gastfreund.core.offers;

import gastfreund.core.money.Money;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who serves an offer ({@code docs/openings.md}, "Who and what serves").
 *
 * @param pick any one of them, or all together; {@code NOBODY} where the offer needs no staff
 * @param of in the offer's order; not empty unless nobody serves
 * @param prices other prices of a length where one person is named as serving
 * @param assign who of several serves whoever names nobody ("Who gets it"); of no use unless any one is picked
 */
public record Serving(Pick pick, List<StaffId> of, Map<StaffId, Map<LengthId, Money>> prices, Assign assign) {

    /** How many of the people listed serve. */
    public enum Pick {
        NOBODY,
        ANY,
        ALL
    }

    /** Who serves whoever names nobody, among those at the lowest price. */
    public enum Assign {
        /** Whoever serves guests for the fewest minutes in that week. */
        LEAST,
        /** The first in the offer's order. */
        ORDER
    }

    /** Whoever names nobody gets whoever serves least in that week. */
    public Serving(Pick pick, List<StaffId> of, Map<StaffId, Map<LengthId, Money>> prices) {
        this(pick, of, prices, Assign.LEAST);
    }

    /** @throws IllegalArgumentException where the list does not fit the pick */
    public Serving {
        of = List.copyOf(of);
        prices = Map.copyOf(prices);
        if ((pick == Pick.NOBODY) != of.isEmpty()) {
            throw new IllegalArgumentException("staff to pick from must be given, and only then");
        }
    }

    public static Serving nobody() {
        return new Serving(Pick.NOBODY, List.of(), Map.of());
    }

    public static Serving anyOf(StaffId... staff) {
        return new Serving(Pick.ANY, List.of(staff), Map.of());
    }

    public static Serving allOf(StaffId... staff) {
        return new Serving(Pick.ALL, List.of(staff), Map.of());
    }

    /** The options: each a list of the people who then serve together. */
    public List<List<StaffId>> options() {
        return switch (pick) {
            case NOBODY -> List.of(List.of());
            case ANY -> of.stream().map(List::of).toList();
            case ALL -> List.of(of);
        };
    }

    /** The price of a length where exactly these people serve; empty where it is the length's own. */
    public Optional<Money> priceOf(List<StaffId> serving, LengthId length) {
        if (pick != Pick.ANY || serving.size() != 1) {
            return Optional.empty();
        }
        return Optional.ofNullable(prices.getOrDefault(serving.get(0), Map.of()).get(length));
    }
}
