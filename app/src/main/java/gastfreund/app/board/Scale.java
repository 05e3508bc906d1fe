package gastfreund.app.board;

import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * How the hours of some days lie across the board, side by side: everything is a part of its width, in hundredths.
 *
 * @param width how wide it is at least, in pixels, by which words are measured
 */
record Scale(List<Column> columns, int width) {

    /** What is left free between two days. */
    private static final double BETWEEN = 0.03;

    /**
     * A day.
     *
     * @param shown from a whole hour to a whole hour
     */
    record Column(LocalDate date, Interval shown) {}

    /**
     * What is seen of a stretch of time on one day.
     *
     * @param from in hundredths of the width
     * @param cut whether it goes on where it is cut off, at either end
     */
    record Part(double from, double to, boolean cut) {

        String x() {
            return percent(from);
        }

        String width() {
            return percent(to - from);
        }
    }

    private double left(int column) {
        return 100.0 * column / columns.size();
    }

    private double across() {
        return 100.0 * (columns.size() == 1 ? 1 : 1 - BETWEEN) / columns.size();
    }

    /** Where a minute lies on a day; at the day's edge where it is not shown. */
    double at(long minute, int column) {
        Interval shown = columns.get(column).shown();
        long inside = Math.max(shown.start(), Math.min(shown.end(), minute));
        return left(column)
                + across() * (inside - shown.start()) / shown.length().count();
    }

    /** On each day on which something of it is seen. */
    List<Part> parts(Interval time) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Interval shown = columns.get(i).shown();
            if (time.overlaps(shown)) {
                parts.add(new Part(
                        at(time.start(), i),
                        at(time.end(), i),
                        time.start() < shown.start() || time.end() > shown.end()));
            }
        }
        return parts;
    }

    List<Board.Stretch> stretches(IntervalSet times) {
        return times.intervals().stream()
                .flatMap(t -> parts(t).stream())
                .map(p -> new Board.Stretch(p.x(), p.width()))
                .toList();
    }

    /** How many pixels a part of the width has at least. */
    int pixels(double hundredths) {
        return (int) (hundredths * width / 100);
    }

    /** As lengths are written in pictures; none is below nothing. */
    static String percent(double hundredths) {
        long thousandths = Math.round(hundredths * 1000);
        return thousandths / 1000 + "."
                + Long.toString(1000 + thousandths % 1000).substring(1) + "%";
    }
}
