package gastfreund.core.hours;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.Set;

/**
 * A window that returns on some days of every week.
 *
 * @param days the weekdays on which it begins
 * @param window the times of day
 */
public record WeeklyWindow(Set<DayOfWeek> days, Window window) {

    /** @throws IllegalArgumentException where no day is named */
    public WeeklyWindow {
        if (days.isEmpty()) {
            throw new IllegalArgumentException("a weekly window needs a day");
        }
        days = Set.copyOf(EnumSet.copyOf(days));
    }
}
