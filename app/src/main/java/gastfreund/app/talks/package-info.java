/**
 * What is said about bookings: with guests, by mail and on their page, and among hosts in notes that guests never see.
 *
 * <p>Called by: the booking's page, the desk's pages of orders, and whoever takes out or forgets a guest. Its door: {@link gastfreund.app.talks.Talks}.
 */
@NullMarked
package gastfreund.app.talks;

import org.jspecify.annotations.NullMarked;
