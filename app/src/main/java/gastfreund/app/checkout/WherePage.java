package gastfreund.app.checkout;

import gastfreund.app.pages.Field;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page shows on which guests say where they are visited.
 *
 * @param rows what takes place there
 * @param meant which of the addresses that were found is meant; null where that is not to be chosen
 * @param byHand whether the house shall look at an address that was not found; null where that is not to be chosen
 * @param action where it is sent
 */
public record WherePage(List<Row> rows, Field address, @Nullable Field meant, @Nullable Field byHand, String action) {

    /** @param reach how far the house goes, and what that costs */
    public record Row(String title, String when, String reach) {}
}
