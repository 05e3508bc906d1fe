package gastfreund.core.offers;

import gastfreund.core.money.Money;
import gastfreund.core.time.Minutes;

/**
 * Something sold on top of an offer.
 *
 * @param max the largest quantity, 1 or more; exactly 1 where it is sold per booking
 * @param minutes how much longer each makes the guest's time
 */
public record AddOn(AddOnId id, String title, Money price, Per per, int max, Minutes minutes) {

    /** How its price counts ({@code docs/money.md}, step 5). */
    public enum Per {
        UNIT,
        BOOKING,
        PERSON
    }

    /** @throws IllegalArgumentException where {@code max} is out of its range */
    public AddOn {
        if (max < 1 || (per == Per.BOOKING && max != 1)) {
            throw new IllegalArgumentException("an add-on is sold at least once, per booking exactly once");
        }
    }
}
