package gastfreund.core.offers;

import gastfreund.core.money.Money;
import gastfreund.core.time.Minutes;

/**
 * One duration variant of an offer ({@code docs/openings.md}, "Lengths").
 *
 * @param id its name within the offer
 * @param minutes of one unit, 1 to 10,080
 * @param price of one unit
 * @param minUnits the fewest units sold together, 1 or more
 * @param maxUnits the most units sold together, {@code minUnits} or more
 */
public record Length(LengthId id, Minutes minutes, Money price, int minUnits, int maxUnits) {

    /** @throws IllegalArgumentException where a number is out of its range */
    public Length {
        if (minutes.count() < 1 || minutes.count() > 10_080) {
            throw new IllegalArgumentException("a length has 1 to 10,080 minutes: " + minutes.count());
        }
        if (minUnits < 1 || maxUnits < minUnits) {
            throw new IllegalArgumentException("units must be 1 or more, and the most not below the fewest");
        }
    }

    /** Sold as exactly one unit. */
    public static Length of(String id, long minutes, long priceMinor) {
        return new Length(new LengthId(id), Minutes.of(minutes), Money.ofMinor(priceMinor), 1, 1);
    }

    /** Whether so many units are sold together. */
    public boolean sells(int units) {
        return units >= minUnits && units <= maxUnits;
    }
}
