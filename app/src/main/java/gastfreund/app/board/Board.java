package gastfreund.app.board;

import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The board of one day, drawn: all numbers are units of its picture.
 *
 * @param now where the moment stands; null on another day
 * @param bookings how many bookings stand on the day
 * @param holds how many places are kept for baskets
 */
public record Board(
        LocalDate day,
        Interval shown,
        int height,
        List<Hour> hours,
        List<StaffLane> staff,
        List<ResourceLane> resources,
        @Nullable Integer now,
        int bookings,
        int holds) {

    /** The picture's width, and where its hours begin. */
    public static final int WIDTH = 960;

    public static final int LEFT = 132;

    /** Where its hours begin. */
    public int left() {
        return LEFT;
    }

    /** Where they end. */
    public int right() {
        return WIDTH;
    }

    /** A line of the hour grid. */
    public record Hour(int x, int hour) {}

    /** A stretch of open ground. */
    public record Ground(int x, int width) {}

    /**
     * A session's block with its shoulders.
     *
     * @param tone of its offer; empty: none
     * @param label what is written on it
     * @param state what is written below: how full it is, what is paid, how long it is kept
     * @param said what it says to those who do not see it
     * @param clash why it no longer fits; empty: it does
     * @param prepX where it is first taken
     * @param resetEnd where it is free again
     */
    public record Block(
            BoardBooking booking,
            String tone,
            String label,
            String state,
            String said,
            String clash,
            int x,
            int width,
            int prepX,
            int resetEnd,
            boolean selected) {

        public int end() {
            return x + width;
        }
    }

    /**
     * @param hours the person's hours on the day; empty: off
     * @param busy when they are busy elsewhere
     */
    public record StaffLane(
            String id,
            String name,
            List<Interval> hours,
            int y,
            List<Ground> ground,
            List<Ground> busy,
            List<Block> blocks) {}

    /** One unit taken by a booking for a while. */
    public record Cell(BoardBooking booking, String title, String clash, int x, int width, int y, boolean selected) {}

    /** @param peak the most units taken at once */
    public record ResourceLane(
            String id,
            String name,
            int units,
            int y,
            int height,
            int rowHeight,
            List<Ground> ground,
            List<Cell> cells,
            int peak) {}
}
