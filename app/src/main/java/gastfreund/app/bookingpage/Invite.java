package gastfreund.app.bookingpage;

import gastfreund.core.bookings.BookingId;

/**
 * An invitation as it was typed, that cannot go out so.
 *
 * @param address whether what was typed as a mail address is one
 */
record Invite(BookingId booking, String name, String email, boolean address) {}
