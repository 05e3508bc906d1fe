package gastfreund.core.hours;

import gastfreund.core.time.Days;
import gastfreund.core.time.IntervalSet;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * One set of hours: weekly windows and exceptions by date ({@code docs/openings.md}, "Hours"). The last exception in
 * the list that covers a date decides about the windows that begin on it; where none does, the weekday's windows do.
 */
public final class Schedule {

    private static final Window ALL_DAY = Window.of(0, 1440);
    private static final Schedule ALWAYS = new Schedule(null, List.of());

    private final @Nullable List<WeeklyWindow> weekly;
    private final List<HoursException> exceptions;
    private final List<List<Window>> byWeekday;

    private Schedule(@Nullable List<WeeklyWindow> weekly, List<HoursException> exceptions) {
        this.weekly = weekly == null ? null : List.copyOf(weekly);
        this.exceptions = List.copyOf(exceptions);
        this.byWeekday =
                Arrays.stream(DayOfWeek.values()).map(this::weeklyWindows).toList();
    }

    /** Open at every moment. */
    public static Schedule always() {
        return ALWAYS;
    }

    /** Open all day but for the exceptions. */
    public static Schedule allDayBut(List<HoursException> exceptions) {
        return new Schedule(null, exceptions);
    }

    /** Open in the weekly windows (none at all where the list is empty) but for the exceptions. */
    public static Schedule of(List<WeeklyWindow> weekly, List<HoursException> exceptions) {
        return new Schedule(weekly, exceptions);
    }

    private List<Window> weeklyWindows(DayOfWeek day) {
        return weekly == null
                ? List.of(ALL_DAY)
                : weekly.stream()
                        .filter(w -> w.days().contains(day))
                        .map(WeeklyWindow::window)
                        .toList();
    }

    /** The weekly windows as they were given; empty where it is open all day but for the exceptions. */
    public Optional<List<WeeklyWindow>> weekly() {
        return Optional.ofNullable(weekly);
    }

    /** The exceptions, in the order in which they were given. */
    public List<HoursException> exceptions() {
        return exceptions;
    }

    /** Whether no moment is ever closed, so that it is no layer at all. */
    public boolean isAlways() {
        return weekly == null && exceptions.isEmpty();
    }

    /** The exception that decides about the windows that begin on a date: the last in the list that covers it. */
    public Optional<HoursException> exceptionOn(LocalDate date) {
        for (int i = exceptions.size() - 1; i >= 0; i--) {
            if (exceptions.get(i).covers(date)) {
                return Optional.of(exceptions.get(i));
            }
        }
        return Optional.empty();
    }

    /** Whether a closure decides about the date. */
    public boolean closedOn(LocalDate date) {
        return !exceptions.isEmpty()
                && exceptionOn(date).filter(HoursException::isClosure).isPresent();
    }

    /** The windows that begin on a date, for every offer and audience. */
    public List<Window> windowsOn(LocalDate date) {
        if (!exceptions.isEmpty()) {
            Optional<HoursException> exception = exceptionOn(date);
            if (exception.isPresent()) {
                return exception.get().windows();
            }
        }
        return byWeekday.get(date.getDayOfWeek().ordinal());
    }

    /**
     * The open time, as far as windows that begin on the given dates make it. A window of the night before the first
     * date is not in it; ask for one date more.
     */
    public IntervalSet openTime(Days days, OfferId offer, Audience audience) {
        return openTime(days, window -> window.countsFor(offer, audience));
    }

    /** As {@link #openTime(Days, OfferId, Audience)}, with every window whomever it is for: when somebody is there. */
    public IntervalSet openTime(Days days) {
        return openTime(days, window -> true);
    }

    private IntervalSet openTime(Days days, Predicate<Window> counts) {
        IntervalSet.Builder open = new IntervalSet.Builder();
        for (int day = 0; day < days.count(); day++) {
            for (Window window : windowsOn(days.date(day))) {
                if (counts.test(window)) {
                    open.add(days.at(day, window.from()), endOf(days, day, window));
                }
            }
        }
        return open.build();
    }

    private static long endOf(Days days, int day, Window window) {
        return days.at(window.overMidnight() ? day + 1 : day, window.to());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Schedule s && Objects.equals(weekly, s.weekly) && exceptions.equals(s.exceptions);
    }

    @Override
    public int hashCode() {
        return Objects.hash(weekly, exceptions);
    }
}
