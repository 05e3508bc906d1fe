package gastfreund.app.payments;

import gastfreund.core.money.Money;

/**
 * Something that a gateway was asked to do again and again and has not done.
 *
 * @param kind {@code capture}, {@code release} or {@code refund}
 * @param tries how often it was asked
 */
public record Stuck(long order, String kind, Money amount, int tries) {}
