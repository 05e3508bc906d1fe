package gastfreund.app.figures;

import gastfreund.app.figures.FiguresPage.Cell;
import gastfreund.app.figures.FiguresPage.Heat;
import gastfreund.app.figures.FiguresPage.Mark;
import gastfreund.app.figures.FiguresPage.Numbers;
import gastfreund.app.figures.Report.TimeOf;
import gastfreund.app.languages.Formats;
import gastfreund.core.figures.Track;
import gastfreund.core.figures.Track.Share;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** How much of the time was sold, by hour of the week, as squares. */
final class HeatMap {

    private static final double LEFT = 44;
    private static final double WIDTH = 500;
    private static final double WIDEST = 38;
    private static final double STEP_Y = 23;
    /** How much of an hour's place its square takes. */
    private static final double THICK = 0.92;

    private static final double BASE = 15;

    /** Each third hour is named below. */
    private static final int EVERY = 3;

    /** What could be sold is seen even where nothing was. */
    private static final double PALEST = 0.12;

    private HeatMap() {}

    static Heat of(TimeOf time, FigureFilter filter, Formats f) {
        int[] open = IntStream.range(0, Track.HOURS)
                .filter(hour -> Arrays.stream(time.week()).anyMatch(day -> day[hour].could() > 0))
                .toArray();
        int first = open.length == 0 ? 0 : open[0];
        int last = open.length == 0 ? -1 : open[open.length - 1];
        double step = Math.min(WIDEST, (WIDTH - LEFT) / Math.max(1, last - first + 1));
        List<Mark> hours = new ArrayList<>();
        List<String> heads = new ArrayList<>();
        heads.add(f.text("figures.head.day"));
        for (int hour = first; hour <= last; hour++) {
            heads.add(Integer.toString(hour));
            if ((hour - first) % EVERY == 0) {
                hours.add(
                        new Mark(LEFT + (hour - first) * step + 2, Track.DAYS * STEP_Y + BASE, Integer.toString(hour)));
            }
        }
        List<Mark> days = new ArrayList<>();
        List<Cell> cells = new ArrayList<>();
        List<List<String>> table = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            String name = day.getDisplayName(TextStyle.FULL_STANDALONE, f.locale());
            double y = day.ordinal() * STEP_Y;
            days.add(new Mark(0, y + BASE, day.getDisplayName(TextStyle.SHORT_STANDALONE, f.locale())));
            List<String> row = new ArrayList<>();
            row.add(name);
            for (int hour = first; hour <= last; hour++) {
                Share share = time.week()[day.ordinal()][hour];
                row.add(share.could() == 0 ? "–" : f.text("figures.percent", FiguresPages.percent(share)));
                cells.add(new Cell(
                        FiguresPages.rounded(LEFT + (hour - first) * step),
                        y,
                        Math.round((PALEST + (1 - PALEST) * share.part()) * 100) / 100.0,
                        share.could() == 0,
                        words(name, hour, share, f),
                        share.sold() == 0
                                ? ""
                                : FiguresPages.address(filter, Slice.Kind.HOUR, day.ordinal() + "-" + hour)));
            }
            table.add(row);
        }
        return new Heat(
                sentence(time, filter, f),
                WIDTH,
                Track.DAYS * STEP_Y + BASE + 4,
                last < 0,
                FiguresPages.rounded(step * THICK),
                days,
                hours,
                cells,
                new Numbers(heads, table));
    }

    private static String words(String day, int hour, Share share, Formats f) {
        return share.could() == 0
                ? f.text("figures.cellClosed", day, hour)
                : f.text(
                        "figures.cell",
                        day,
                        hour,
                        FiguresPages.percent(share),
                        FiguresPages.hours(share.sold()),
                        FiguresPages.hours(share.could()));
    }

    private static String sentence(TimeOf time, FigureFilter filter, Formats f) {
        String now = f.text(
                "figures.timeSold",
                FiguresPages.percent(time.whole()),
                FiguresPages.hours(time.whole().sold()),
                FiguresPages.hours(time.whole().could()));
        return filter.beside() ? now + " · " + f.text("figures.before", FiguresPages.percent(time.before())) : now;
    }
}
