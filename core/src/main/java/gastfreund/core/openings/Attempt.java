package gastfreund.core.openings;

import gastfreund.core.sessions.Session;
import org.jspecify.annotations.Nullable;

/**
 * One option at one start, about to be judged.
 *
 * @param start of the guest's time (inclusive)
 * @param end of the guest's time (exclusive)
 * @param day the start's date, as an index of the situation's days
 * @param joined the session it would join; null where it begins one
 */
record Attempt(Option option, long start, long end, int day, @Nullable Session joined) {}
