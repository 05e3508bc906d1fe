package gastfreund.app.vouchers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A voucher, a pass or a ware in a basket or an order, as it was sold.
 *
 * @param product the id under which the house sells it
 * @param price of all of it
 * @param worth minor units of a voucher, visits of a pass, how many of a ware
 * @param months how long it can be used once it is issued
 * @param prepaid the one that was issued; null before the money has come, and for wares
 * @param returned whether it was taken back
 * @param handover of a ware: {@code house} or {@code booking}; empty for others
 * @param sold whether a ware was paid for
 */
public record Goods(
        String id,
        String product,
        Kind kind,
        String title,
        Money price,
        long worth,
        Set<OfferId> offers,
        Percent taxRate,
        int months,
        String recipient,
        String greeting,
        @Nullable String prepaid,
        boolean returned,
        String handover,
        boolean sold) {

    /** What can be sold without a time. */
    public enum Kind {
        VOUCHER,
        PASS,
        WARE;

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Kind ofCode(String code) {
            return valueOf(code.toUpperCase(Locale.ROOT));
        }
    }

    public boolean isWare() {
        return kind == Kind.WARE;
    }

    /** Whether it was paid for. */
    public boolean isIssued() {
        return sold || prepaid != null;
    }

    /** Its title, with how many of it there are where it is more than one. */
    public String called() {
        return isWare() && worth > 1 ? worth + " × " + title : title;
    }
}
