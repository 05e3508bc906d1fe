package gastfreund.core.terms;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;

/** What the house keeps when a booking is cancelled, never more than the line's total. */
public sealed interface Keep {

    /** The amount kept of a line. */
    Money of(Money lineTotal, Money deposit);

    /** A percentage of the line's total. */
    record Share(Percent percent) implements Keep {
        @Override
        public Money of(Money lineTotal, Money deposit) {
            return percent.of(lineTotal).atMost(lineTotal);
        }
    }

    /** What was asked as deposit; nothing where there was none. */
    record Deposit() implements Keep {
        @Override
        public Money of(Money lineTotal, Money deposit) {
            return deposit.atMost(lineTotal);
        }
    }

    /** A fixed amount. */
    record Amount(Money amount) implements Keep {
        @Override
        public Money of(Money lineTotal, Money deposit) {
            return amount.atMost(lineTotal);
        }
    }

    /** Everything. */
    record All() implements Keep {
        @Override
        public Money of(Money lineTotal, Money deposit) {
            return lineTotal;
        }
    }
}
