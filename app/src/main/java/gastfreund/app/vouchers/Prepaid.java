package gastfreund.app.vouchers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.orders.Pass;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Set;

/**
 * A voucher or a pass that was issued.
 *
 * @param code with which it is used, and which nobody can guess
 * @param worth minor units of a voucher, visits of a pass
 * @param rest what is left of it
 * @param offers of a pass; empty for a voucher
 * @param lastDay the last date on which it can be used (inclusive)
 * @param recipient whom it is for; empty: nobody said
 */
public record Prepaid(
        String id,
        Kind kind,
        String code,
        String title,
        long worth,
        long rest,
        Set<OfferId> offers,
        LocalDate lastDay,
        String recipient,
        String greeting) {

    /** What is prepaid. */
    public enum Kind {
        VOUCHER,
        PASS;

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Kind ofCode(String code) {
            return valueOf(code.toUpperCase(Locale.ROOT));
        }
    }

    /** The code as it may stand on a page that others can see: only its end. */
    public String masked() {
        return "\u2026" + code.substring(Math.max(0, code.length() - 4));
    }

    public boolean isVoucher() {
        return kind == Kind.VOUCHER;
    }

    /** What is left of a voucher. */
    public Money money() {
        return isVoucher() ? Money.ofMinor(rest) : Money.ZERO;
    }

    /** What a voucher was worth. */
    public Money worthMoney() {
        return isVoucher() ? Money.ofMinor(worth) : Money.ZERO;
    }

    /** What is left of a pass. */
    public Pass pass() {
        return new Pass(Math.toIntExact(rest), offers, lastDay);
    }

    public boolean isUsable(LocalDate today) {
        return rest > 0 && !today.isAfter(lastDay);
    }
}
