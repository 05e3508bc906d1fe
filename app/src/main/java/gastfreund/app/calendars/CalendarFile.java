package gastfreund.app.calendars;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.time.Interval;
import java.net.URI;
import java.net.URISyntaxException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import org.jspecify.annotations.Nullable;

/** Events as an iCalendar file (RFC 5545), in the times of a zone that the file describes. */
public final class CalendarFile {

    /** What all our events' names end with, by which they are known when they come back. */
    public static final String OURS = "@gastfreund";

    private static final TimeZoneRegistry ZONES =
            TimeZoneRegistryFactory.getInstance().createRegistry();

    /** What files say of each zone; empty: it is not known to other programs, times are told in UTC. */
    private static final Map<ZoneId, String> TOLD = new ConcurrentHashMap<>();

    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss");
    private static final DateTimeFormatter UTC =
            DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);

    /** Whether an event takes place. */
    public enum State {
        CONFIRMED,
        TENTATIVE,
        CANCELLED;

        /** What a booking's status is for a calendar. */
        public static State of(BookingStatus status) {
            return switch (status) {
                case REQUESTED, HELD -> TENTATIVE;
                case CANCELLED, DECLINED, LAPSED -> CANCELLED;
                case CONFIRMED, COMPLETED, NO_SHOW -> CONFIRMED;
            };
        }
    }

    /**
     * Something that takes place.
     *
     * @param uid the same for the same event in every file
     * @param moves how often it was moved; a cancellation is one change more
     * @param location empty where there is none
     * @param conference the address at which it takes place online (RFC 7986); empty: it does not
     * @param url where more is to be read; empty: nowhere
     */
    public record Event(
            String uid,
            int moves,
            State state,
            Interval time,
            String summary,
            String location,
            String conference,
            String description,
            String url) {}

    /**
     * Who is told of a change by their mail program, and by whom (RFC 5546).
     *
     * @param organizer the sender's mail address
     * @param organizerName what they are called
     * @param attendee the mail address of whoever takes part
     */
    public record Parties(String organizer, String organizerName, String attendee) {}

    /**
     * What a file that is followed or kept says of itself.
     *
     * @param name of the calendar, for programs that follow it; empty: none
     * @param reminder of each start
     */
    public record Cover(String name, Reminder reminder) {

        /** Without a name and without reminders. */
        public static final Cover NONE = new Cover("", Reminder.NONE);
    }

    private CalendarFile() {}

    /** A change of events that somebody has in their calendar already: moved ones, or, where they all are, cancelled ones. */
    public static String update(List<Event> events, Parties parties, ZoneId zone, Instant now) {
        boolean cancelled = events.stream().allMatch(e -> e.state() == State.CANCELLED);
        return written(events, cancelled ? "CANCEL" : "REQUEST", parties, zone, now, Cover.NONE);
    }

    /**
     * @param zone of the times
     * @param now when the file is made
     */
    public static String of(List<Event> events, ZoneId zone, Instant now, Cover cover) {
        return written(events, "PUBLISH", null, zone, now, cover);
    }

    private static String written(
            List<Event> events, String method, @Nullable Parties parties, ZoneId zone, Instant now, Cover cover) {
        String described = TOLD.computeIfAbsent(zone, CalendarFile::described);
        FileLines lines = new FileLines()
                .put("BEGIN", "VCALENDAR")
                .put("PRODID", "-//Gastfreund//Bookings//EN")
                .put("VERSION", "2.0")
                .put("CALSCALE", "GREGORIAN")
                .put("METHOD", method)
                .words("X-WR-CALNAME", cover.name())
                .whole(described);
        String stamp = UTC.format(now);
        ZoneId told = described.isEmpty() ? ZoneOffset.UTC : zone;
        events.forEach(event -> entry(lines, event, parties, told, stamp, cover.reminder()));
        return lines.put("END", "VCALENDAR").toString();
    }

    private static String described(ZoneId zone) {
        TimeZone known = ZONES.getTimeZone(zone.getId());
        return known == null ? "" : known.getVTimeZone().toString();
    }

    private static void entry(
            FileLines lines, Event event, @Nullable Parties parties, ZoneId zone, String stamp, Reminder reminder) {
        boolean cancelled = event.state() == State.CANCELLED;
        lines.put("BEGIN", "VEVENT").put("DTSTAMP", stamp);
        time(lines, "DTSTART", event.time().startInstant(), zone);
        time(lines, "DTEND", event.time().endInstant(), zone);
        lines.words("SUMMARY", event.summary())
                .words("UID", event.uid() + OURS)
                .put("SEQUENCE", Integer.toString(event.moves() + (cancelled ? 1 : 0)))
                .put("STATUS", event.state().name())
                .words("DESCRIPTION", event.description());
        if (!event.url().isEmpty()) {
            lines.put("URL", URI.create(event.url()).toString());
        }
        lines.words("LOCATION", event.location());
        if (!event.conference().isEmpty()) {
            lines.put("CONFERENCE;VALUE=URI", URI.create(event.conference()).toString());
        }
        if (parties != null) {
            lines.put("ORGANIZER;CN=" + FileLines.parameter(parties.organizerName()), mailto(parties.organizer()))
                    .put("ATTENDEE;PARTSTAT=ACCEPTED", mailto(parties.attendee()));
        }
        if (reminder != Reminder.NONE && !cancelled) {
            lines.put("BEGIN", "VALARM")
                    .put("ACTION", "DISPLAY")
                    .words("DESCRIPTION", event.summary())
                    .put("TRIGGER", "-" + reminder.before())
                    .put("END", "VALARM");
        }
        lines.put("END", "VEVENT");
    }

    private static void time(FileLines lines, String name, Instant at, ZoneId zone) {
        if (zone.equals(ZoneOffset.UTC)) {
            lines.put(name, UTC.format(at));
        } else {
            lines.put(name + ";TZID=" + zone.getId(), LOCAL.format(at.atZone(zone)));
        }
    }

    private static String mailto(String address) {
        try {
            return new URI("mailto", address, null).toASCIIString();
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException("no mail address: " + address, e);
        }
    }
}
