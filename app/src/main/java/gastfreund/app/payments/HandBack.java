package gastfreund.app.payments;

import gastfreund.core.money.Money;

/**
 * A refund that the host sends from the house's bank account.
 *
 * @param step names it
 * @param reference of the transfer that it gives back
 */
public record HandBack(String step, long order, String reference, Money amount, String why) {}
