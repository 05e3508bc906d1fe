/**
 * Bookings at the guest's address: where that is, how far, and what the way costs. Addresses are found by a geocoder that is
 * reached over HTTP and answers in GeoJSON (RFC 7946).
 *
 * <p>Called by: baskets, the checkout, and whoever shows a booking. Its door: {@link gastfreund.app.visits.Visits}.
 */
@NullMarked
package gastfreund.app.visits;

import org.jspecify.annotations.NullMarked;
