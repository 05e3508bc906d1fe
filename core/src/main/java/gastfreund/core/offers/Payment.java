package gastfreund.core.offers;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * When an offer is paid ({@code docs/money.md}, steps 10 and 11).
 *
 * @param deposit only with {@code DEPOSIT}, else null
 * @param balanceDaysBefore days before the start's date on which the balance falls due; empty: on the spot
 */
public record Payment(When when, @Nullable Deposit deposit, OptionalInt balanceDaysBefore) {

    /** When a line is paid. */
    public enum When {
        FULL,
        DEPOSIT,
        VENUE,
        CHOICE
    }

    /** What is paid with the order. */
    public sealed interface Deposit {

        /** The deposit of a line total. */
        Money of(Money lineTotal);

        /** A percentage of the line's total. */
        record Share(Percent percent) implements Deposit {
            @Override
            public Money of(Money lineTotal) {
                return percent.of(lineTotal).atMost(lineTotal);
            }
        }

        /** A fixed amount, at most the line's total. */
        record Amount(Money amount) implements Deposit {
            @Override
            public Money of(Money lineTotal) {
                return amount.atMost(lineTotal);
            }
        }
    }

    public Payment {
        if ((when == When.DEPOSIT) != (deposit != null)) {
            throw new IllegalArgumentException("a deposit must be given, and only then");
        }
    }

    public static Payment full() {
        return new Payment(When.FULL, null, OptionalInt.empty());
    }
}
