package gastfreund.app.figures;

import gastfreund.app.figures.FiguresPage.Bar;
import gastfreund.app.figures.FiguresPage.Bars;
import gastfreund.app.figures.FiguresPage.Mark;
import gastfreund.app.figures.FiguresPage.Numbers;
import gastfreund.app.figures.Report.Week;
import gastfreund.app.languages.Formats;
import gastfreund.core.figures.Track;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Money by the week in which it was earned, as bars. */
final class MoneyByWeek {

    private static final double WIDTH = 624;
    private static final double HEIGHT = 140;

    /** How much of a week's place its bar takes. */
    private static final double THICK = 0.75;

    /** So many weeks are named under the bars. */
    private static final int MARKS = 5;

    private static final double BELOW = 18;

    private MoneyByWeek() {}

    static Bars of(Report report, FigureFilter filter, House house, Formats f) {
        List<Week> weeks = report.money().weeks();
        List<Week> before = report.before().weeks();
        Optional<OfferId> most = filter.offer().isEmpty() ? report.money().most() : Optional.empty();
        long highest = Stream.concat(weeks.stream(), filter.beside() ? before.stream() : Stream.empty())
                .mapToLong(w -> w.sum().earned().minor())
                .max()
                .orElse(0);
        double step = WIDTH / weeks.size();
        int every = (weeks.size() + MARKS - 1) / MARKS;
        List<Bar> bars = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        List<List<String>> table = new ArrayList<>();
        for (int i = 0; i < weeks.size(); i++) {
            Week week = weeks.get(i);
            Earned sum = week.sum();
            Earned earlier = before.get(i).sum();
            Money foot = most.map(
                            o -> week.offers().getOrDefault(o, Earned.NOTHING).earned())
                    .orElse(Money.ZERO);
            String day = f.dayAndMonth(week.monday());
            String words = f.text("figures.week", day, f.money(sum.earned()), sum.bookings());
            double left = FiguresPages.rounded(i * step + step * (1 - THICK) / 2);
            bars.add(new Bar(
                    left,
                    FiguresPages.rounded(step * THICK),
                    top(sum.earned(), highest),
                    HEIGHT - top(sum.earned(), highest),
                    top(foot, highest),
                    HEIGHT - top(foot, highest),
                    top(earlier.earned(), highest),
                    filter.beside() ? words + " · " + f.text("figures.weekBefore", f.money(earlier.earned())) : words,
                    FiguresPages.address(filter, Slice.Kind.WEEK, week.monday().toString())));
            if (i % every == 0) {
                marks.add(new Mark(left, HEIGHT + BELOW, day));
            }
            table.add(List.of(
                    day,
                    f.money(sum.earned()),
                    f.money(earlier.earned()),
                    f.money(sum.givenBack()),
                    f.money(sum.owed()),
                    Integer.toString(sum.bookings())));
        }
        return new Bars(
                sentence(report, filter, f),
                most.map(o -> FiguresPages.nameOf(Track.Kind.OFFER, o.value(), house))
                        .orElse(""),
                filter.beside(),
                highest == 0,
                bars,
                marks,
                new Numbers(
                        Stream.of("week", "earned", "before", "back", "owed", "bookings")
                                .map(head -> f.text("figures.head." + head))
                                .toList(),
                        table));
    }

    private static String sentence(Report report, FigureFilter filter, Formats f) {
        Earned sum = report.money().sum();
        List<String> parts = new ArrayList<>();
        parts.add(f.text("figures.earned", f.money(sum.earned()), filter.weeks()));
        if (filter.beside()) {
            parts.add(
                    FiguresPages.difference(sum.earned(), report.before().sum().earned(), f));
        }
        parts.add(f.text("figures.givenBack", f.money(sum.givenBack())));
        parts.add(f.text("figures.owed", f.money(sum.owed())));
        return String.join(" · ", parts);
    }

    /** Where a bar of an amount ends. */
    private static double top(Money money, long highest) {
        return FiguresPages.rounded(highest == 0 ? HEIGHT : HEIGHT - HEIGHT * money.minor() / highest);
    }
}
