package gastfreund.core.bookings;

import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;

/** Time in which one of the staff is taken by something outside the house's bookings. */
public record Busy(StaffId staff, Interval interval) {}
