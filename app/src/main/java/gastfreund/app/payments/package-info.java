/**
 * Payments at gateways: wanted, made, notified of, captured, released and refunded.
 *
 * <p>Called by: whoever takes money or gives it back. Its door: {@link gastfreund.app.payments.PaymentService}.
 */
@NullMarked
package gastfreund.app.payments;

import org.jspecify.annotations.NullMarked;
