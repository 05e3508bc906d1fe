package gastfreund.housefile;

import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.WeeklyWindow;
import gastfreund.core.hours.Window;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes SCHEDULE and WINDOW. */
final class ScheduleWriter {

    private ScheduleWriter() {}

    /** A member {@code hours}; left out where it is always open. */
    static void putHours(ObjectNode owner, Schedule hours) {
        if (!hours.isAlways()) {
            owner.set("hours", written(hours));
        }
    }

    static ObjectNode written(Schedule hours) {
        ObjectNode node = HouseWriter.object();
        hours.weekly().ifPresent(weekly -> {
            ArrayNode windows = node.putArray("weekly");
            weekly.forEach(w -> windows.add(weekly(w)));
        });
        HouseWriter.putAll(node, "exceptions", hours.exceptions(), ScheduleWriter::exception);
        return node;
    }

    private static ObjectNode weekly(WeeklyWindow weekly) {
        ObjectNode node = HouseWriter.object();
        HouseWriter.putNames(node, "days", names(weekly.days()));
        putWindow(node, weekly.window());
        return node;
    }

    private static ObjectNode exception(HoursException exception) {
        ObjectNode node = HouseWriter.object();
        node.put("from", exception.from().toString()).put("to", exception.to().toString());
        ArrayNode windows = node.putArray("windows");
        exception.windows().forEach(w -> windows.add(window(w)));
        return node;
    }

    /** A window without days. */
    static ObjectNode window(Window window) {
        return putWindow(HouseWriter.object(), window);
    }

    private static ObjectNode putWindow(ObjectNode node, Window window) {
        node.put("from", time(window.from())).put("to", time(window.to()));
        HouseWriter.putNames(
                node,
                "offers",
                window.offers().stream().map(OfferId::value).sorted().toList());
        if (window.deskOnly()) {
            node.put("audience", "desk");
        }
        return node;
    }

    /** {@code mon}, {@code tue} … in the order of the week. */
    static List<String> names(Set<DayOfWeek> days) {
        return days.stream()
                .sorted()
                .map(d -> d.name().substring(0, 3).toLowerCase(Locale.ROOT))
                .toList();
    }

    /** {@code 09:30}; minute 1440 is {@code 24:00}. */
    static String time(int minuteOfDay) {
        return String.format(Locale.ROOT, "%02d:%02d", minuteOfDay / 60, minuteOfDay % 60);
    }
}
