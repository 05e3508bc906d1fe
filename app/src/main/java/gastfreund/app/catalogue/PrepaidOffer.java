package gastfreund.app.catalogue;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

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
        Money least,
        Money most,
        int visits,
        Set<OfferId> offers,
        Percent taxRate,
        int months) {

    static List<PrepaidOffer> of(JsonNode extra) {
        List<PrepaidOffer> offers = new ArrayList<>();
        for (JsonNode voucher : extra.path("vouchers")) {
            JsonNode free = voucher.path("free");
            offers.add(new PrepaidOffer(
                    voucher.path("id").asString(""),
                    voucher.path("title").asString(""),
                    Story.of(voucher),
                    StreamSupport.stream(voucher.path("amounts").spliterator(), false)
                            .map(a -> Money.ofMinor(a.longValue()))
                            .toList(),
                    free.isMissingNode() ? null : Money.ofMinor(free.path("min").longValue()),
                    free.isMissingNode() ? null : Money.ofMinor(free.path("max").longValue()),
                    0,
                    Set.of(),
                    Percent.ZERO,
                    voucher.path("months").asInt(36)));
        }
        for (JsonNode pass : extra.path("passes")) {
            offers.add(new PrepaidOffer(
                    pass.path("id").asString(""),
                    pass.path("title").asString(""),
                    Story.of(pass),
                    List.of(Money.ofMinor(pass.path("price").longValue())),
                    null,
                    null,
                    pass.path("visits").intValue(),
                    StreamSupport.stream(pass.path("offers").spliterator(), false)
                            .map(o -> new OfferId(o.stringValue()))
                            .collect(Collectors.toUnmodifiableSet()),
                    Percent.of(pass.path("taxPercent").asString("0")),
                    pass.path("months").asInt(12)));
        }
        return List.copyOf(offers);
    }

    public boolean isPass() {
        return visits > 0;
    }

    public boolean isFree() {
        return least != null;
    }

    /** The lowest price at which it can be had. */
    public Money from() {
        return isFree() ? amounts.stream().min(Money::compareTo).map(least::atMost).orElse(least)
                : amounts.stream().min(Money::compareTo).orElse(Money.ZERO);
    }

    /** Whether it can be had at a price. */
    public boolean allows(Money amount) {
        return amounts.contains(amount)
                || isFree() && amount.compareTo(least) >= 0 && amount.compareTo(most) <= 0;
    }
}
