package gastfreund.app.board;

import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The board of some days, drawn. Where something lies across it is said in hundredths of its width, as {@code 12.500%}; heights
 * are pixels.
 *
 * @param first its first day
 * @param span how many days it has
 * @param now where the moment stands; null where it is not shown
 * @param counts what there is on it
 * @param clashes what no longer fits, the soonest first
 */
public record Board(
        LocalDate first,
        int span,
        List<Day> days,
        List<Hour> hours,
        List<Lane> lanes,
        @Nullable String now,
        Counts counts,
        List<Clashing> clashes) {

    /** The same for scripts: of each day its first and last minute, and where they lie. */
    public String columns() {
        return days.stream()
                .map(d -> d.shown().start() + " " + d.shown().end() + " " + d.x() + " " + d.end())
                .collect(Collectors.joining(";"))
                .replace("%", "");
    }

    /**
     * @param bookings how many stand
     * @param requests how many of them wait for an answer
     * @param holds how many places are kept for baskets
     * @param starts at how many moments something is still to be had
     */
    public record Counts(int bookings, int requests, int holds, int starts) {}

    /** A day, and the part of it that is shown. */
    public record Day(LocalDate date, Interval shown, String x, String width, String end) {}

    /** A line of the hour grid. */
    public record Hour(String x, int hour, boolean labelled) {}

    /** A stretch of a lane. */
    public record Stretch(String x, String width) {}

    /** Whose time a lane shows. */
    public enum Kind {
        PERSON,
        /** An offer that nobody serves, or one with dates of its own. */
        OFFER,
        /** Something of which there are several. */
        THING;

        /** The name in pages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * The time of a person, of an offer or of things.
     *
     * @param below what stands small under its name
     * @param ground when it is open
     * @param busy when they are busy elsewhere
     * @param words why, as far as that was said
     * @param level how much of the things is taken
     * @param why where is said what can be booked in it, and why not
     */
    public record Lane(
            Kind kind,
            String id,
            String name,
            List<String> below,
            int height,
            List<Stretch> ground,
            List<Stretch> busy,
            List<Word> words,
            List<Gap> gaps,
            List<Block> blocks,
            List<Step> level,
            String why) {

        /** How round its ground is. */
        public int corners() {
            return kind == Kind.THING ? 0 : 12;
        }
    }

    /** A word in a stretch of time. */
    public record Word(String x, String width, String text) {}

    /**
     * Free time that can be sold.
     *
     * @param words how many starts; empty where there is no room for it
     * @param price from which price; empty likewise
     */
    public record Gap(String x, String width, String words, String price, String said) {}

    /**
     * A session's block with its shoulders, as far as it is seen on one day.
     *
     * @param tone of its offer; empty: none
     * @param label what is written on it; empty where there is no room
     * @param beside what is written above it instead; empty: nothing
     * @param state what is written below: how full it is, what is paid, how long it is kept
     * @param said what it says to those who do not see it
     * @param clash why it no longer fits; empty: it does
     * @param shoulders before and after it
     * @param filled how much of a session is taken; null where it is none
     * @param address where it leads
     * @param faint whether it is not what is looked for
     */
    public record Block(
            BoardBooking booking,
            String tone,
            String label,
            String beside,
            String state,
            String said,
            String clash,
            String x,
            String width,
            String end,
            int y,
            int height,
            List<Stretch> shoulders,
            @Nullable Filled filled,
            String address,
            boolean selected,
            boolean faint,
            boolean movable) {}

    /** @param width of what is taken */
    public record Filled(String width, boolean empty, boolean dark) {}

    /**
     * So many units are taken for a while.
     *
     * @param label how many; empty: nothing is written
     */
    public record Step(String x, String width, int y, int height, String label) {}

    /** Something that no longer fits. */
    public record Clashing(String booking, LocalDate date, String title, String why) {}
}
