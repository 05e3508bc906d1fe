package gastfreund.app.blocked;

import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;

/**
 * A time that is kept free.
 *
 * @param id of this date of it
 * @param blocked of the whole, which may have many dates
 * @param weekly whether it has
 */
public record BlockedTime(long id, long blocked, StaffId staff, String word, boolean weekly, Interval time) {}
