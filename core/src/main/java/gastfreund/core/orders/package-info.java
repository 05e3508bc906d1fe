/**
 * What an order costs and when it is due, and the steps that bookings and payments may take ({@code docs/money.md}).
 */
package gastfreund.core.orders;
