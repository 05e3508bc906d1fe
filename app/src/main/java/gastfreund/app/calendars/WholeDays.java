package gastfreund.app.calendars;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Summary;

/** The events of an iCalendar file (RFC 5545) that take whole days, such as holidays. */
public final class WholeDays {

    private static final int MOST = 200;

    /**
     * An event.
     *
     * @param from its first date (inclusive)
     * @param to its last date (inclusive)
     */
    public record Event(LocalDate from, LocalDate to, String summary) {}

    private WholeDays() {}

    /**
     * Those that lie within some dates, by date; events that come again each time that they do.
     *
     * @param from the first date (inclusive)
     * @param to the last date (inclusive)
     * @return empty where the text is no iCalendar file
     */
    public static Optional<List<Event>> read(String text, LocalDate from, LocalDate to) {
        Calendar calendar;
        try {
            calendar = new CalendarBuilder().build(new StringReader(text));
        } catch (ParserException | IOException | IllegalArgumentException e) {
            return Optional.empty();
        }
        List<Event> events = new ArrayList<>();
        for (Component component : calendar.getComponents(Component.VEVENT)) {
            if (component instanceof VEvent event) {
                events.addAll(read(event, from, to));
            }
        }
        return Optional.of(events.stream()
                .distinct()
                .sorted(Comparator.comparing(Event::from).thenComparing(Event::summary))
                .limit(MOST)
                .toList());
    }

    private static List<Event> read(VEvent event, LocalDate from, LocalDate to) {
        List<Event> events = new ArrayList<>();
        DtStart<?> start = event.getDateTimeStart();
        if (start == null || !(start.getDate() instanceof LocalDate first)) {
            return events;
        }
        DtEnd<?> end = event.getDateTimeEnd();
        long days = end != null && end.getDate() instanceof LocalDate after
                ? Math.max(1, ChronoUnit.DAYS.between(first, after))
                : 1;
        Summary summary = event.getSummary();
        String words = summary == null || summary.getValue() == null
                ? ""
                : summary.getValue().strip();
        Period<LocalDate> asked = new Period<>(from.minusDays(days), to.plusDays(1));
        for (Period<LocalDate> period : event.<LocalDate>calculateRecurrenceSet(asked)) {
            LocalDate begin = period.getStart();
            LocalDate last = begin.plusDays(days - 1);
            if (!last.isBefore(from) && !begin.isAfter(to)) {
                events.add(new Event(begin, last, words));
            }
        }
        return events;
    }
}
