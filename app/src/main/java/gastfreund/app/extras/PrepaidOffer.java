package gastfreund.app.extras;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.housefile.Node;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A voucher or a pass as the house sells it, kept in the house's {@code extra.vouchers} and {@code extra.passes}.
 *
 * @param amounts what a voucher can be worth; of a pass its one price
 * @param least the least free amount of a voucher; null where the amount is not free
 * @param most the largest free amount; null where the amount is not free
 * @param visits of a pass; 0 for a voucher
 * @param offers of a pass; empty for a voucher
 * @param months how long it can be used
 */
public record PrepaidOffer(
        String id,
        String title,
        Story story,
        List<Money> amounts,
        @Nullable Money least,
        @Nullable Money most,
        int visits,
        Set<OfferId> offers,
        Percent taxRate,
        int months) {

    private static final int MOST_MONTHS = 600;
    private static final int MOST_VISITS = 10_000;

    /**
     * @param known the offers that a pass may be for
     * @param ids receives their ids
     */
    static List<PrepaidOffer> of(Node extra, Set<OfferId> known, Set<String> ids) {
        List<PrepaidOffer> offers = new ArrayList<>();
        extra.elements("vouchers").forEach(v -> offers.add(voucher(v, ids)));
        extra.elements("passes").forEach(p -> offers.add(pass(p, ids, known)));
        return List.copyOf(offers);
    }

    private static PrepaidOffer voucher(Node node, Set<String> ids) {
        node.object("id", "title", "summary", "included", "picture", "pictureText", "amounts", "free", "months");
        List<Money> amounts =
                node.elements("amounts").stream().map(a -> a.amount(1)).toList();
        Optional<Node> free = node.member("free").map(f -> f.object("min", "max"));
        if (amounts.isEmpty() && free.isEmpty()) {
            node.problem("must have amounts, or a free one");
        }
        Money least = free.map(f -> f.required("min").amount(1)).orElse(null);
        Money most = free.map(f -> f.required("max").amount(least == null ? 1 : least.minor()))
                .orElse(null);
        return new PrepaidOffer(
                id(node, ids),
                node.required("title").text(),
                Story.of(node),
                amounts,
                least,
                most,
                0,
                Set.of(),
                Percent.ZERO,
                node.integer("months", 1, MOST_MONTHS, 36));
    }

    private static PrepaidOffer pass(Node node, Set<String> ids, Set<OfferId> known) {
        node.object(
                "id",
                "title",
                "summary",
                "included",
                "picture",
                "pictureText",
                "price",
                "visits",
                "offers",
                "taxPercent",
                "months");
        Set<OfferId> offers = new HashSet<>();
        for (Node offer : node.required("offers").elements()) {
            OfferId id = new OfferId(offer.text());
            if (!known.contains(id)) {
                offer.problem("there is no offer " + id);
            }
            offers.add(id);
        }
        return new PrepaidOffer(
                id(node, ids),
                node.required("title").text(),
                Story.of(node),
                List.of(node.required("price").amount(1)),
                null,
                null,
                node.required("visits").integer(1, MOST_VISITS),
                Set.copyOf(offers),
                node.member("taxPercent").map(t -> t.percent(0, 100)).orElse(Percent.ZERO),
                node.integer("months", 1, MOST_MONTHS, 12));
    }

    private static String id(Node node, Set<String> ids) {
        return Extras.id(node, ids, "voucher or pass");
    }

    public boolean isPass() {
        return visits > 0;
    }

    public boolean isFree() {
        return least != null;
    }

    /** The lowest price at which it can be had. */
    public Money from() {
        Money lowest = amounts.stream().min(Money::compareTo).orElse(least == null ? Money.ZERO : least);
        return least == null ? lowest : lowest.atMost(least);
    }

    /** Whether it can be had at a price. */
    public boolean allows(Money amount) {
        boolean free = least != null && most != null && amount.compareTo(least) >= 0 && amount.compareTo(most) <= 0;
        return free || amounts.contains(amount);
    }
}
