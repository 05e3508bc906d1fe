package gastfreund.app.board;

import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.util.List;

/**
 * How a stretch of time lies across the board's picture.
 *
 * @param shown from a whole hour to a whole hour
 */
record Scale(Interval shown) {

    int x(long minute) {
        long inside = Math.max(shown.start(), Math.min(shown.end(), minute));
        return Board.LEFT
                + Math.toIntExact((inside - shown.start())
                        * (Board.WIDTH - Board.LEFT)
                        / shown.length().count());
    }

    List<Board.Ground> ground(IntervalSet open) {
        return open.within(shown).intervals().stream()
                .map(i -> new Board.Ground(x(i.start()), x(i.end()) - x(i.start())))
                .toList();
    }

    boolean shows(Interval interval) {
        return interval.overlaps(shown);
    }
}
