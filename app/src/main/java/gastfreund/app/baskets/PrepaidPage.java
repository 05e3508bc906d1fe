package gastfreund.app.baskets;

import gastfreund.app.extras.Story;
import gastfreund.app.pages.Field;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a voucher or a pass shows.
 *
 * @param what what it is for, and how long it can be used
 * @param price of a pass; empty for a voucher
 * @param amount null for a pass
 * @param action where it is put into the basket
 */
public record PrepaidPage(
        String title,
        Story story,
        String what,
        String price,
        @Nullable Amount amount,
        List<Field> fields,
        String action) {

    /**
     * How much a voucher is to be worth.
     *
     * @param chosen one of the options, or {@code free}
     * @param free whether another amount can be written
     * @param error what is wrong; empty: nothing
     * @param help between which amounts it is; empty where none can be written
     */
    public record Amount(
            List<Field.Option> options, String chosen, boolean free, String written, String error, String help) {}
}
