package gastfreund.core.openings;

import gastfreund.core.sessions.Session;
import org.jspecify.annotations.Nullable;

/**
 * One option at one start, about to be judged. There is one for each option, which goes from start to start: whoever keeps
 * something of it for later takes the values, and not the attempt.
 */
final class Attempt {

    private final Option option;
    private final long minutes;
    private long start;
    private int day;
    private @Nullable Session joined;

    Attempt(Option option) {
        this.option = option;
        this.minutes = option.way().minutes().count();
    }

    /**
     * Goes to a start.
     *
     * @param day the start's date, as an index of the situation's days
     * @param joined the session it would join; null where it begins one
     */
    void goTo(long start, int day, @Nullable Session joined) {
        this.start = start;
        this.day = day;
        this.joined = joined;
    }

    Option option() {
        return option;
    }

    /** Of the guest's time (inclusive). */
    long start() {
        return start;
    }

    /** Of the guest's time (exclusive). */
    long end() {
        return start + minutes;
    }

    int day() {
        return day;
    }

    @Nullable
    Session joined() {
        return joined;
    }
}
