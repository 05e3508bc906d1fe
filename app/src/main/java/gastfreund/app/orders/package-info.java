/** Placed baskets: checkout, the booking page, and what becomes of bookings when money comes or does not. */
package gastfreund.app.orders;
