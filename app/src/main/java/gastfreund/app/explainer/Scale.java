package gastfreund.app.explainer;

import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Layer;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** The stretch of the day that is shown, in minutes, and where a minute stands in the picture. */
record Scale(long start, long end) {

    static final int LEFT = 210;
    private static final int RIGHT = 1200;
    private static final int HOUR = 60;
    private static final int USUAL_START = 8;
    private static final int USUAL_END = 20;

    int x(long minute) {
        long inside = Math.max(start, Math.min(end, minute));
        return LEFT + Math.toIntExact((inside - start) * (RIGHT - LEFT) / (end - start));
    }

    int width(long from, long to) {
        return x(to) - x(from);
    }

    static Scale of(Asked asked, List<Layer> layers, Days days, Answer answer) {
        long day = days.start(1);
        TreeSet<Long> ends = new TreeSet<>(List.of(day + USUAL_START * HOUR, day + USUAL_END * HOUR));
        for (Answer.Entry entry :
                answer.entries().stream().filter(Answer.Entry::isOpen).toList()) {
            ends.add(entry.time().start());
            ends.add(entry.time().end());
        }
        // Those of people and things lie within those of the house, or do not matter outside them.
        for (Layer layer : layers.subList(0, Math.min(1, layers.size()))) {
            layer.hours()
                    .openTime(days, asked.choice().offer().id(), asked.audience())
                    .within(Interval.between(day, days.start(2)))
                    .intervals()
                    .forEach(i -> {
                        ends.add(i.start());
                        ends.add(i.end());
                    });
        }
        long first = ends.first() - Math.floorMod(ends.first() - day, HOUR);
        long last = ends.last() + Math.floorMod(day - ends.last(), HOUR);
        return new Scale(first, last);
    }

    List<ExplainerPage.Mark> axis(House house) {
        List<ExplainerPage.Mark> axis = new ArrayList<>();
        long hours = (end() - start()) / HOUR;
        for (long minute = start(); minute <= end(); minute += HOUR) {
            boolean told = hours <= 14 || (minute - start()) / HOUR % 2 == 0;
            axis.add(new ExplainerPage.Mark(
                    x(minute), told ? house.zone().localOf(minute).getHour() + ":00" : ""));
        }
        return axis;
    }
}
