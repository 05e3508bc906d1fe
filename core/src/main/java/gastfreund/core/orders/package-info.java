/**
 * What an order costs and when it is due, and the steps that bookings and payments may take ({@code docs/money.md}).
 */
@NullMarked
package gastfreund.core.orders;

import org.jspecify.annotations.NullMarked;
