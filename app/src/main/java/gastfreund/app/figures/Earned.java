package gastfreund.app.figures;

import gastfreund.core.money.Money;

/**
 * What bookings brought whose time is over ({@code docs/figures.md}, "Money").
 *
 * @param earned what they cost, or what the house kept of them
 * @param givenBack what went back of what was paid for them
 * @param owed what is still to be paid of them
 */
record Earned(int bookings, Money earned, Money givenBack, Money owed) {

    static final Earned NOTHING = new Earned(0, Money.ZERO, Money.ZERO, Money.ZERO);

    Earned plus(Earned other) {
        return new Earned(
                bookings + other.bookings,
                earned.plus(other.earned),
                givenBack.plus(other.givenBack),
                owed.plus(other.owed));
    }
}
