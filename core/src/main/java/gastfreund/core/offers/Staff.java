package gastfreund.core.offers;

import gastfreund.core.hours.Schedule;
import java.util.OptionalInt;

/**
 * One of the people who serve.
 *
 * @param maxPerDay sessions of any offer that may start on a date; empty means any
 */
public record Staff(StaffId id, String name, Schedule hours, OptionalInt maxPerDay) {}
