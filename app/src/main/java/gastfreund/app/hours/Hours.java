package gastfreund.app.hours;

import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.housefile.HoursFile;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The hours in a document, and the reasons for days that differ, which stand in its {@code extra}. */
final class Hours {

    /** From midnight to midnight, for everybody. */
    static final List<Window> ALL_DAY = List.of(Window.of(0, 1440));

    private Hours() {}

    static Schedule of(JsonNode document) {
        return HoursFile.hoursOf(document);
    }

    /** Open all day on every day of the week is written as no weekly hours at all. */
    static void put(ObjectNode document, Schedule hours) {
        boolean always = Arrays.stream(DayOfWeek.values())
                .allMatch(d -> hours.windowsOn(d).equals(ALL_DAY));
        Schedule normal = always ? Schedule.allDayBut(hours.exceptionsApart()) : hours;
        if (normal.isAlways()) {
            document.remove("hours");
        } else {
            document.set("hours", HoursFile.written(normal));
        }
    }

    /** {@code mon}, {@code tue} …: names of fields. */
    static String code(DayOfWeek day) {
        return day.name().substring(0, 3).toLowerCase(Locale.ROOT);
    }

    static Optional<DayOfWeek> day(String code) {
        return Arrays.stream(DayOfWeek.values())
                .filter(d -> code(d).equals(code))
                .findFirst();
    }

    /**
     * A reason why days differ.
     *
     * @param from the first date (inclusive)
     * @param to the last date (inclusive)
     */
    record Note(LocalDate from, LocalDate to, String words) {}

    static List<Note> notes(JsonNode document) {
        List<Note> notes = new ArrayList<>();
        for (JsonNode one : document.path("extra").path("notes")) {
            notes.add(new Note(
                    LocalDate.parse(one.get("from").stringValue()),
                    LocalDate.parse(one.get("to").stringValue()),
                    one.get("note").stringValue()));
        }
        return notes;
    }

    /** The reason for an exception; empty: none. */
    static String note(JsonNode document, HoursException exception) {
        return notes(document).stream()
                .filter(n -> !n.from().isAfter(exception.from()) && !n.to().isBefore(exception.from()))
                .map(Note::words)
                .findFirst()
                .orElse("");
    }

    /** Puts an exception over what was, with a reason where there is one. */
    static void differ(ObjectNode document, HoursException exception, String note) {
        put(document, of(document).with(exception));
        List<Note> notes = beside(notes(document), exception.from(), exception.to());
        if (!note.isEmpty()) {
            notes.add(new Note(exception.from(), exception.to(), note));
        }
        put(document, notes);
    }

    /** Takes away whatever makes these dates differ. */
    static void asUsual(ObjectNode document, LocalDate from, LocalDate to) {
        put(document, of(document).withoutExceptions(from, to));
        put(document, beside(notes(document), from, to));
    }

    private static List<Note> beside(List<Note> notes, LocalDate from, LocalDate to) {
        List<Note> left = new ArrayList<>();
        for (Note one : notes) {
            if (one.to().isBefore(from) || one.from().isAfter(to)) {
                left.add(one);
                continue;
            }
            if (one.from().isBefore(from)) {
                left.add(new Note(one.from(), from.minusDays(1), one.words()));
            }
            if (one.to().isAfter(to)) {
                left.add(new Note(to.plusDays(1), one.to(), one.words()));
            }
        }
        return left;
    }

    private static void put(ObjectNode document, List<Note> notes) {
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        notes.stream().sorted((a, b) -> a.from().compareTo(b.from())).forEach(n -> list.addObject()
                .put("from", n.from().toString())
                .put("to", n.to().toString())
                .put("note", n.words()));
        if (!list.isEmpty()) {
            ObjectNode extra = document.path("extra") instanceof ObjectNode given ? given : document.putObject("extra");
            extra.set("notes", list);
        } else if (document.path("extra") instanceof ObjectNode extra) {
            extra.remove("notes");
            if (extra.isEmpty()) {
                document.remove("extra");
            }
        }
    }
}
