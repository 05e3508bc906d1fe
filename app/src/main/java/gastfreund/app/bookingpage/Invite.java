package gastfreund.app.bookingpage;

import gastfreund.core.bookings.BookingId;

/**
 * An invitation as it was typed, that cannot go out so.
 *
 * @param wrong the key of what is wrong with the address
 */
record Invite(BookingId booking, String name, String email, String wrong) {}
