package gastfreund.app.orderdesk;

import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.orders.Order;
import gastfreund.app.talks.HouseNote;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a host wants to know of one booking, and may do with it, beside the picture in which it is.
 *
 * @param came whether its guests came, in words; empty: that was not noted
 * @param note what the house noted for itself; null: nothing
 * @param said what was said last, the first one first
 * @param happened what happened last, the first one first
 */
public record Panel(
        Order order,
        String came,
        List<GivenAnswer> answers,
        @Nullable HouseNote note,
        List<Decision> decisions,
        List<SaidRow> said,
        List<String> happened) {}
