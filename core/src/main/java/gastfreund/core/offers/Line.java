package gastfreund.core.offers;

import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What one booking of an offer is priced by ({@code docs/money.md}, "A line").
 *
 * @param now the instant at which its hold began
 * @param start of the guest's time, in minutes since the epoch
 * @param staff those who are named as serving
 * @param place null where the offer has none
 * @param addOns quantities by add-on
 */
public record Line(
        Offer offer,
        Length length,
        int units,
        int party,
        Map<AddOnId, Integer> addOns,
        long start,
        List<StaffId> staff,
        @Nullable PlaceId place,
        Instant now,
        HouseZone zone) {

    public Line {
        addOns = Map.copyOf(addOns);
        staff = List.copyOf(staff);
    }

    /** The same line with another form of its offer and other add-ons. */
    public Line with(Offer other, Map<AddOnId, Integer> quantities) {
        return new Line(other, length, units, party, quantities, start, staff, place, now, zone);
    }

    /** The ladder of a line's price: each step in the order of {@code docs/money.md}. */
    public record Price(Money base, Money adjusted, Money addOns) {

        /** Step 5: all of it. */
        public Money amount() {
            return adjusted.plus(addOns);
        }
    }

    /** Steps 1 to 5. */
    public Price price() {
        Money unit = unit();
        Money adjusted = Money.ZERO;
        if (offer.priceRules().isEmpty()) {
            adjusted = unit.times(units);
        } else {
            for (int i = 0; i < units; i++) {
                adjusted =
                        adjusted.plus(ruled(unit, start + i * length.minutes().count()));
            }
        }
        if (offer.basis() == Offer.Basis.PERSON) {
            adjusted = adjusted.times(party);
        }
        return new Price(unit.times(units), adjusted, addOnsPrice());
    }

    /**
     * A rule that had a part in a unit's price.
     *
     * @param rule its place among those of the offer, from 0
     * @param after the running price after it
     */
    public record Step(int rule, Money after) {}

    /** Step 1: what a unit costs before any rule. */
    public Money unit() {
        return offer.serving().priceOf(staff, length.id()).orElse(length.price());
    }

    /** Step 2, rule by rule, for the first unit; none where no rule holds. */
    public List<Step> steps() {
        var local = zone.localOf(start);
        List<Step> steps = new ArrayList<>();
        Money running = unit();
        for (int i = 0; i < offer.priceRules().size(); i++) {
            PriceRule rule = offer.priceRules().get(i);
            if (rule.holds(this, local)) {
                running = rule.change().of(running).notBelowZero();
                steps.add(new Step(i, running));
            }
        }
        return steps;
    }

    /** The same for any unit, without its steps: it is asked for every start that is shown. */
    private Money ruled(Money unit, long begins) {
        var local = zone.localOf(begins);
        Money running = unit;
        for (PriceRule rule : offer.priceRules()) {
            if (rule.holds(this, local)) {
                running = rule.change().of(running).notBelowZero();
            }
        }
        return running;
    }

    private Money addOnsPrice() {
        Money sum = Money.ZERO;
        for (AddOn addOn : offer.addOns()) {
            long quantity = addOns.getOrDefault(addOn.id(), 0);
            sum = sum.plus(addOn.price().times(quantity * (addOn.per() == AddOn.Per.PERSON ? party : 1)));
        }
        return sum;
    }

    boolean isAhead(PriceRule.Range hours) {
        if (hours.atLeast().isEmpty() && hours.lessThan().isEmpty()) {
            return true;
        }
        Duration ahead = Duration.between(now, Interval.instantOf(start));
        return (hours.atLeast().isEmpty()
                        || ahead.compareTo(Duration.ofHours(hours.atLeast().getAsInt())) >= 0)
                && (hours.lessThan().isEmpty()
                        || ahead.compareTo(Duration.ofHours(hours.lessThan().getAsInt())) < 0);
    }
}
