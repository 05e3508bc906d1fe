package gastfreund.core.openings;

import gastfreund.core.money.Money;
import java.util.List;

/** What stands about one option at one start ({@code docs/openings.md}, "Verdict"). */
public sealed interface Verdict {

    /**
     * It is an opening.
     *
     * @param left how much is left
     * @param price {@code docs/money.md}, steps 1 to 5, for the asked party, units and add-ons
     * @param contested whether bookings of others are overlooked for it
     */
    record Open(int left, Money price, boolean contested) implements Verdict {}

    /**
     * It is none.
     *
     * @param reasons at least one, in the order of the definition
     */
    record Against(List<Reason> reasons) implements Verdict {}
}
