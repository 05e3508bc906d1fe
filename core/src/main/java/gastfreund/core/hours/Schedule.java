package gastfreund.core.hours;

import gastfreund.core.time.Days;
import gastfreund.core.time.IntervalSet;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
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
    private final OpenTimes openTimes;

    private Schedule(@Nullable List<WeeklyWindow> weekly, List<HoursException> exceptions) {
        this.weekly = weekly == null ? null : List.copyOf(weekly);
        this.exceptions = List.copyOf(exceptions);
        this.byWeekday =
                Arrays.stream(DayOfWeek.values()).map(this::weeklyWindows).toList();
        this.openTimes = new OpenTimes(
                this,
                Stream.concat(
                                byWeekday.stream().flatMap(List::stream),
                                exceptions.stream().flatMap(e -> e.windows().stream()))
                        .allMatch(Window::isForAll));
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

    /**
     * Open on each day of the week in its windows, but for the exceptions. Windows that are alike are written once for all
     * their days.
     *
     * @param week a day that is missing has no windows
     */
    public static Schedule ofWeek(Map<DayOfWeek, List<Window>> week, List<HoursException> exceptions) {
        Map<Window, Set<DayOfWeek>> days = new LinkedHashMap<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            for (Window window : week.getOrDefault(day, List.of())) {
                days.computeIfAbsent(window, w -> EnumSet.noneOf(DayOfWeek.class))
                        .add(day);
            }
        }
        return of(
                days.entrySet().stream()
                        .map(e -> new WeeklyWindow(e.getValue(), e.getKey()))
                        .toList(),
                exceptions);
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

    /** The windows that begin on a day of the week, but for exceptions; from midnight to midnight where it is open all day. */
    public List<Window> windowsOn(DayOfWeek day) {
        return byWeekday.get(day.ordinal());
    }

    /** The same with other windows on a day of the week. */
    public Schedule withDay(DayOfWeek day, List<Window> windows) {
        Map<DayOfWeek, List<Window>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek each : DayOfWeek.values()) {
            week.put(each, each == day ? windows : windowsOn(each));
        }
        return ofWeek(week, exceptions);
    }

    /** The same with an exception that decides about its dates, whatever did before. */
    public Schedule with(HoursException exception) {
        List<HoursException> all = new ArrayList<>(exceptions);
        all.add(exception);
        return new Schedule(weekly, apart(all));
    }

    /**
     * The same without exceptions on some dates.
     *
     * @param from the first date (inclusive)
     * @param to the last date (inclusive)
     */
    public Schedule withoutExceptions(LocalDate from, LocalDate to) {
        List<HoursException> left = new ArrayList<>();
        for (HoursException one : apart(exceptions)) {
            left.addAll(beside(one, from, to));
        }
        return new Schedule(weekly, left);
    }

    /** Exceptions of which no two cover a date, by date, that decide as those do that were given. */
    public List<HoursException> exceptionsApart() {
        return apart(exceptions);
    }

    private static List<HoursException> apart(List<HoursException> exceptions) {
        List<HoursException> apart = new ArrayList<>();
        for (HoursException later : exceptions) {
            List<HoursException> left = new ArrayList<>();
            apart.forEach(one -> left.addAll(beside(one, later.from(), later.to())));
            left.add(later);
            apart = left;
        }
        apart.sort(Comparator.comparing(HoursException::from));
        return List.copyOf(apart);
    }

    /** What is left of an exception beside some dates. */
    private static List<HoursException> beside(HoursException one, LocalDate from, LocalDate to) {
        if (one.to().isBefore(from) || one.from().isAfter(to)) {
            return List.of(one);
        }
        List<HoursException> left = new ArrayList<>();
        if (one.from().isBefore(from)) {
            left.add(new HoursException(one.from(), from.minusDays(1), one.windows()));
        }
        if (one.to().isAfter(to)) {
            left.add(new HoursException(to.plusDays(1), one.to(), one.windows()));
        }
        return left;
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

    /**
     * The open time between the start of the first of the given dates and the end of the last, with what windows of dates
     * before them make of it. It is kept for whoever asks for it again.
     */
    public IntervalSet openTimeWithin(Days days, OfferId offer, Audience audience) {
        return openTimes.within(days, offer, audience);
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
