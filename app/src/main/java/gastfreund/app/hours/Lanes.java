package gastfreund.app.hours;

import gastfreund.app.editing.Figures;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.core.time.IntervalSet;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** The week as seven lanes with time from left to right; windows over midnight go on beyond the end of the day. */
final class Lanes {

    private static final int DAY = 1440;
    private static final int HOUR = 60;
    private static final int USUAL_START = 6 * HOUR;

    private final int from;
    private final int to;
    private final Figures figures;

    private Lanes(int from, int to, Figures figures) {
        this.from = from;
        this.to = to;
        this.figures = figures;
    }

    /** Lanes wide enough for all of these hours. */
    static Lanes of(List<Schedule> shown, Figures figures) {
        List<Window> windows = shown.stream()
                .flatMap(s -> Arrays.stream(DayOfWeek.values()).flatMap(d -> s.windowsOn(d).stream()))
                .toList();
        int first = windows.stream().mapToInt(Window::from).min().orElse(USUAL_START);
        int last = windows.stream().mapToInt(Lanes::end).max().orElse(DAY);
        return new Lanes(first < USUAL_START ? 0 : USUAL_START, Math.max(DAY, (last + 59) / HOUR * HOUR), figures);
    }

    private static int end(Window window) {
        return window.overMidnight() ? window.to() + DAY : window.to();
    }

    int from() {
        return from;
    }

    int to() {
        return to;
    }

    double at(long minute) {
        return Math.round((minute - from) * 10_000.0 / (to - from)) / 100.0;
    }

    private double width(long minutes) {
        return Math.round(minutes * 10_000.0 / (to - from)) / 100.0;
    }

    /** A line each hour, with words each second one. */
    List<HoursPage.Mark> axis() {
        List<HoursPage.Mark> axis = new ArrayList<>();
        for (int minute = from; minute <= to; minute += HOUR) {
            int hour = minute / HOUR;
            String words = hour % 2 == 0 ? Integer.toString(hour <= 24 ? hour : hour - 24) : "";
            axis.add(new HoursPage.Mark(at(minute), words));
        }
        return axis;
    }

    /** What is open, what would be opened, and what would be closed. */
    List<HoursPage.Piece> pieces(List<Window> was, List<Window> is) {
        IntervalSet before = set(was);
        List<HoursPage.Piece> pieces = new ArrayList<>();
        for (Window window : is) {
            boolean some = !window.offers().isEmpty() || window.deskOnly();
            boolean fresh = !before.encloses(window.from(), end(window)) && !was.contains(window);
            IntervalSet stands = set(List.of(window)).intersect(before);
            String words = some ? figures.whom(window) : "";
            if (!fresh || some) {
                pieces.add(piece(
                        window.from(),
                        end(window),
                        some ? "some" + (was.contains(window) ? "" : " new") : "open",
                        words));
                continue;
            }
            stands.intervals().forEach(i -> pieces.add(piece(i.start(), i.end(), "open", "")));
            set(List.of(window))
                    .without(before)
                    .intervals()
                    .forEach(i -> pieces.add(piece(i.start(), i.end(), "new", "")));
        }
        before.without(set(is)).intervals().forEach(i -> pieces.add(piece(i.start(), i.end(), "gone", "")));
        return pieces;
    }

    /** When something else is open. */
    List<HoursPage.Piece> line(List<Window> windows) {
        return set(windows).intervals().stream()
                .map(i -> piece(i.start(), i.end(), "house", ""))
                .toList();
    }

    private HoursPage.Piece piece(long start, long end, String look, String words) {
        return new HoursPage.Piece(at(start), width(end - start), look, words);
    }

    private static IntervalSet set(List<Window> windows) {
        IntervalSet.Builder set = new IntervalSet.Builder();
        windows.forEach(w -> set.add(w.from(), end(w)));
        return set.build();
    }

    /** For the script: {@code [[570,780,""],[840,960,"Wheel hire"]]}. */
    static Stream<Object[]> plain(List<Window> windows, Figures figures) {
        return windows.stream().map(w ->
                new Object[] {w.from(), end(w), w.offers().isEmpty() && !w.deskOnly() ? "" : figures.whom(w)});
    }
}
