package gastfreund.housefile;

import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.WeeklyWindow;
import gastfreund.core.hours.Window;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;

/** Reads SCHEDULE and WINDOW. */
final class ScheduleReader {

    private final Function<Node, String> offer;

    /** @param offer reads the id of an offer */
    ScheduleReader(Function<Node, String> offer) {
        this.offer = offer;
    }

    /** The schedule in a member {@code hours}, always open where there is none. */
    Schedule hoursOf(Node owner) {
        return owner.member("hours").map(this::schedule).orElse(Schedule.always());
    }

    Schedule schedule(Node node) {
        node.object("weekly", "exceptions");
        List<HoursException> exceptions = new ArrayList<>();
        for (Node exception : node.elements("exceptions")) {
            exception.object("from", "to", "windows");
            LocalDate from = exception.required("from").date();
            LocalDate to = exception.required("to").date();
            List<Window> windows = exception.elements("windows").stream()
                    .map(this::ofException)
                    .toList();
            exception.made(() -> new HoursException(from, to, windows)).ifPresent(exceptions::add);
        }
        if (!node.has("weekly")) {
            return Schedule.allDayBut(exceptions);
        }
        List<WeeklyWindow> weekly = new ArrayList<>();
        for (Node window : node.elements("weekly")) {
            window.object("days", "from", "to", "offers", "audience");
            Set<DayOfWeek> days = days(window.required("days"));
            Window times = window(window);
            if (!days.isEmpty()) {
                weekly.add(new WeeklyWindow(days, times));
            }
        }
        return Schedule.of(weekly, exceptions);
    }

    /** A window without days. */
    Window ofException(Node node) {
        return window(node.object("from", "to", "offers", "audience"));
    }

    private Window window(Node node) {
        Set<OfferId> offers = new HashSet<>();
        for (Node named : node.elements("offers")) {
            offers.add(new OfferId(offer.apply(named)));
        }
        boolean desk = node.member("audience").map(a -> a.word("desk")).isPresent();
        return new Window(
                node.required("from").timeOfDay(false), node.required("to").timeOfDay(true), offers, desk);
    }

    /** A list of weekdays, not empty. */
    static Set<DayOfWeek> days(Node node) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (Node day : node.elements()) {
            String word = day.word("mon", "tue", "wed", "thu", "fri", "sat", "sun");
            for (DayOfWeek d : DayOfWeek.values()) {
                if (d.name().toLowerCase(Locale.ROOT).startsWith(word)) {
                    days.add(d);
                }
            }
        }
        if (days.isEmpty()) {
            node.problem("must name a day");
        }
        return days;
    }
}
