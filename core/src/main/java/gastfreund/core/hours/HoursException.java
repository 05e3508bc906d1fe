package gastfreund.core.hours;

import java.time.LocalDate;
import java.util.List;

/**
 * Windows for some dates in place of the weekly ones; without windows it is a closure.
 *
 * @param from the first date (inclusive)
 * @param to the last date (inclusive), not before {@code from}
 * @param windows the windows that begin on each of these dates
 */
public record HoursException(LocalDate from, LocalDate to, List<Window> windows) {

    /** @throws IllegalArgumentException where {@code to} is before {@code from} */
    public HoursException {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException("an exception cannot end before it starts: " + from + ".." + to);
        }
        windows = List.copyOf(windows);
    }

    /** Whether it decides about windows that begin on this date, unless a later exception does. */
    public boolean covers(LocalDate date) {
        return !date.isBefore(from) && !date.isAfter(to);
    }

    /** Whether it is written without windows. */
    public boolean isClosure() {
        return windows.isEmpty();
    }
}
