package gastfreund.core.letters;

import gastfreund.core.hours.Window;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;

/**
 * The local times of every date in which nobody is written to, resolved like windows ({@code docs/openings.md}, "Hours"): from
 * the one, inclusive, to the other, exclusive, on the next date where that is before the first; those that touch or overlap
 * are one. They leave at least an hour of every day ({@code docs/letters.md}).
 */
public final class QuietHours {

    private static final int DAY = 1440;
    private static final int LEAST_LEFT = 60;

    /** Quiet hours last for less than a day, and two of them touch on a day whose clock changes only. */
    private static final int DATES_AROUND = 3;

    private final Window window;

    private QuietHours(Window window) {
        this.window = window;
    }

    /**
     * Quiet hours of every date.
     *
     * @param from minutes after midnight, 0 to 1440; 1440 is midnight, as 0
     * @param to as {@code from}
     * @throws IllegalArgumentException where a time is outside its day, both are equal, or less than an hour is left
     */
    public static QuietHours of(int from, int to) {
        if (from < 0 || from > DAY || to < 0 || to > DAY) {
            throw new IllegalArgumentException("quiet hours lie within a day: " + from + ".." + to);
        }
        int begin = from % DAY;
        int end = to % DAY;
        if (begin == end) {
            throw new IllegalArgumentException("quiet hours cannot begin and end at the same time");
        }
        if (DAY - Math.floorMod(end - begin, DAY) < LEAST_LEFT) {
            throw new IllegalArgumentException("quiet hours leave at least an hour of every day");
        }
        return new QuietHours(Window.of(begin, end));
    }

    /** The quiet hours in which a minute lies, as one stretch; empty where it lies in none. */
    public Optional<Interval> around(long minute, HouseZone zone) {
        IntervalSet quiet = near(minute, zone);
        int index = quiet.indexAtOrBefore(minute);
        return index >= 0 && minute < quiet.end(index)
                ? Optional.of(Interval.between(quiet.start(index), quiet.end(index)))
                : Optional.empty();
    }

    /**
     * The minute that is so many minutes later when those that are quiet do not count ({@code docs/waiting.md}); none of it is
     * quiet before its end.
     *
     * @param count not negative
     */
    public long later(long minute, long count, HouseZone zone) {
        long at = minute;
        long left = count;
        while (true) {
            Optional<Interval> quiet = around(at, zone);
            if (quiet.isPresent()) {
                at = quiet.get().end();
                continue;
            }
            long next = next(at, zone);
            if (left <= next - at) {
                return at + left;
            }
            left -= next - at;
            at = next;
        }
    }

    /** The beginning of the first quiet hours after a minute that is not quiet. */
    private long next(long minute, HouseZone zone) {
        IntervalSet quiet = near(minute, zone);
        return quiet.start(quiet.indexAtOrBefore(minute) + 1);
    }

    /** The quiet hours of the dates around a minute. */
    private IntervalSet near(long minute, HouseZone zone) {
        LocalDate date = zone.dateOf(minute);
        IntervalSet.Builder stretches = new IntervalSet.Builder();
        for (int days = -DATES_AROUND; days <= DATES_AROUND; days++) {
            LocalDate on = date.plusDays(days);
            long start = zone.minuteOf(at(on, window.from()));
            long end = zone.minuteOf(at(window.overMidnight() ? on.plusDays(1) : on, window.to()));
            if (start < end) {
                stretches.add(start, end);
            }
        }
        return stretches.build();
    }

    private static LocalDateTime at(LocalDate date, int minutes) {
        return date.atTime(LocalTime.MIN).plusMinutes(minutes);
    }
}
