package gastfreund.app.companions;

import gastfreund.core.bookings.BookingId;

/** Somebody who was invited to come along to a booking. */
public record Companion(long id, BookingId booking, String name, String email) {}
