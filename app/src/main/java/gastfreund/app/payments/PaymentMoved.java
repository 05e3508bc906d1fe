package gastfreund.app.payments;

import gastfreund.app.journal.Actor;
import gastfreund.core.orders.PaymentState;

/**
 * A payment has taken a step; told inside the transaction in which it did.
 *
 * @param payment as it is after the step
 * @param from the state before
 * @param who made it do so
 */
public record PaymentMoved(Payment payment, PaymentState from, Actor who) {}
