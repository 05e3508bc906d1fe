package gastfreund.app.vouchers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A voucher or a pass in a basket or an order, as it was sold.
 *
 * @param product the id under which the house sells it
 * @param worth minor units of a voucher, visits of a pass
 * @param months how long it can be used once it is issued
 * @param prepaid the one that was issued; null before the money has come
 * @param returned whether it was taken back
 */
public record Goods(
        String id,
        String product,
        Prepaid.Kind kind,
        String title,
        Money price,
        long worth,
        Set<OfferId> offers,
        Percent taxRate,
        int months,
        String recipient,
        String greeting,
        @Nullable String prepaid,
        boolean returned) {

    public boolean isIssued() {
        return prepaid != null;
    }
}
