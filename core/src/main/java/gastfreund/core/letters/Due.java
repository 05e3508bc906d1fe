package gastfreund.core.letters;

import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * When a letter is due that goes out some time before or after a booking ({@code docs/letters.md}, "Letters"). It is found by
 * the clock and the data alone, and is the same whenever it is asked for.
 */
public final class Due {

    /** For how long after it is due a letter that follows a booking is of use, in minutes. */
    public static final long OF_USE = 3L * 24 * 60;

    private Due() {}

    /**
     * A letter before the start: so many minutes before it, or a minute before the quiet hours in which that lies, or, if the
     * booking was not there by then, at their end.
     *
     * @param quiet null: there are none
     * @param minutes how long before the start, elapsed; 0 or more
     * @param start of the booking, in minutes since the epoch
     * @param made the first minute at which the booking was there with this start
     * @return empty where it is not due at all: the booking was made later, or the quiet hours end no earlier than it starts
     * @throws IllegalArgumentException where it is to go out after the start
     */
    public static OptionalLong before(HouseZone zone, @Nullable QuietHours quiet, long minutes, long start, long made) {
        long wanted = start - notNegative(minutes);
        Optional<Interval> stretch = quiet == null ? Optional.empty() : quiet.around(wanted, zone);
        if (stretch.isEmpty()) {
            return madeBy(wanted, made);
        }
        long early = stretch.get().start() - 1;
        if (made <= early) {
            return OptionalLong.of(early);
        }
        long late = stretch.get().end();
        return late < start ? madeBy(late, made) : OptionalLong.empty();
    }

    private static OptionalLong madeBy(long moment, long made) {
        return made <= moment ? OptionalLong.of(moment) : OptionalLong.empty();
    }

    /**
     * A letter after the end: so many minutes after it, or at the end of the quiet hours in which that lies, whenever the
     * booking was made.
     *
     * @param quiet null: there are none
     * @param minutes how long after the end, elapsed; 0 or more
     * @param end of the booking, in minutes since the epoch
     * @throws IllegalArgumentException where it is to go out before the end
     */
    public static long after(HouseZone zone, @Nullable QuietHours quiet, long minutes, long end) {
        long wanted = end + notNegative(minutes);
        return quiet == null
                ? wanted
                : quiet.around(wanted, zone).map(Interval::end).orElse(wanted);
    }

    private static long notNegative(long minutes) {
        if (minutes < 0) {
            throw new IllegalArgumentException("minutes must be 0 or more: " + minutes);
        }
        return minutes;
    }
}
