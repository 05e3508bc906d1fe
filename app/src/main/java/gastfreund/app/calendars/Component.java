package gastfreund.app.calendars;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarParserImpl;
import net.fortuna.ical4j.data.ContentHandler;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.data.UnfoldingReader;

/**
 * A component of an iCalendar file as it stands there: nothing of it is understood yet, so that one line that nobody
 * understands takes no other with it.
 *
 * @param name in capitals
 * @param inside the components within it
 */
record Component(String name, List<Line> lines, List<Component> inside) {

    /**
     * A property.
     *
     * @param name in capitals
     * @param parameters by their names in capitals
     */
    record Line(String name, Map<String, String> parameters, String value) {

        /** Empty where there is none. */
        String parameter(String parameter) {
            return parameters.getOrDefault(parameter, "");
        }
    }

    /** A file that is no iCalendar file. */
    static final class Unreadable extends Exception {

        private static final long serialVersionUID = 1;

        Unreadable(String message) {
            super(message);
        }
    }

    private static final int BUFFER = 8192;

    /** @throws Unreadable where it is no iCalendar file */
    static Component calendar(String text) throws Unreadable {
        String whole = text.startsWith("\ufeff") ? text.substring(1) : text;
        Building building = new Building();
        try {
            new CalendarParserImpl()
                    .parse(new UnfoldingReader(new StringReader(whole.strip() + "\r\n"), BUFFER, true), building);
        } catch (ParserException | IOException | RuntimeException e) {
            throw new Unreadable(String.valueOf(e.getMessage()));
        }
        return building.calendar;
    }

    Stream<Line> all(String line) {
        return lines.stream().filter(l -> l.name().equals(line));
    }

    Optional<Line> line(String line) {
        return all(line).findFirst();
    }

    /** Empty where there is none. */
    String value(String line) {
        return line(line).map(l -> l.value().strip()).orElse("");
    }

    private static Component named(String name) {
        return new Component(name.toUpperCase(Locale.ROOT), new ArrayList<>(), new ArrayList<>());
    }

    /** Builds what the parser comes upon. */
    private static final class Building implements ContentHandler {

        private final Component calendar = named("VCALENDAR");
        private final Deque<Component> open = new ArrayDeque<>(List.of(calendar));
        private final Map<String, String> parameters = new HashMap<>();
        private String value = "";

        @Override
        public void startCalendar() {
            // It is there already.
        }

        @Override
        public void endCalendar() {
            // What comes after it is not read.
        }

        @Override
        public void startComponent(String name) {
            Component component = named(name);
            open.element().inside().add(component);
            open.push(component);
        }

        @Override
        public void endComponent(String name) {
            if (open.size() > 1) {
                open.pop();
            }
        }

        @Override
        public void startProperty(String name) {
            parameters.clear();
            value = "";
        }

        @Override
        public void parameter(String name, String of) {
            parameters.put(name.toUpperCase(Locale.ROOT), of);
        }

        @Override
        public void propertyValue(String of) {
            value = of;
        }

        @Override
        public void endProperty(String name) {
            open.element().lines().add(new Line(name.toUpperCase(Locale.ROOT), Map.copyOf(parameters), value));
        }
    }
}
