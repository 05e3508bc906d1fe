package gastfreund.app.payments;

import gastfreund.core.money.Money;

/**
 * Money that somebody else took for the house.
 *
 * @param reference by which it is found there; empty: none
 */
public record Elsewhere(Money amount, String reference) {}
