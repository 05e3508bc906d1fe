package gastfreund.app.calendars;

import gastfreund.core.time.Interval;
import java.net.URI;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Events as an iCalendar file (RFC 5545), in the times of a zone that the file describes. */
public final class CalendarFile {

    /** What all our events' names end with, by which they are known when they come back. */
    public static final String OURS = "@gastfreund";

    private static final TimeZoneRegistry ZONES =
            TimeZoneRegistryFactory.getInstance().createRegistry();

    /** Whether an event takes place. */
    public enum State {
        CONFIRMED,
        TENTATIVE,
        CANCELLED;

        private Status status() {
            return switch (this) {
                case CONFIRMED -> ImmutableStatus.VEVENT_CONFIRMED;
                case TENTATIVE -> ImmutableStatus.VEVENT_TENTATIVE;
                case CANCELLED -> ImmutableStatus.VEVENT_CANCELLED;
            };
        }
    }

    /**
     * Something that takes place.
     *
     * @param uid the same for the same event in every file
     * @param sequence how often it was moved
     * @param location empty where there is none
     * @param url where more is to be read; empty: nowhere
     */
    public record Event(
            String uid,
            int sequence,
            State state,
            Interval time,
            String summary,
            String location,
            String description,
            String url) {}

    private CalendarFile() {}

    /**
     * @param zone of the times
     * @param now when the file is made
     */
    public static String of(List<Event> events, ZoneId zone, Instant now) {
        return of(events, zone, now, "");
    }

    /** @param name of the calendar, for programs that follow it; empty: none */
    public static String of(List<Event> events, ZoneId zone, Instant now, String name) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Gastfreund//Bookings//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        if (!name.isEmpty()) {
            calendar.add(new XProperty("X-WR-CALNAME", name));
        }
        TimeZone known = ZONES.getTimeZone(zone.getId());
        ZoneId told = known == null ? ZoneOffset.UTC : zone;
        if (known != null) {
            calendar.add(known.getVTimeZone());
        }
        events.forEach(event -> calendar.add(entry(event, told, now)));
        return calendar.toString();
    }

    private static VEvent entry(Event event, ZoneId zone, Instant now) {
        Instant start = event.time().startInstant();
        Instant end = event.time().endInstant();
        VEvent entry = zone.equals(ZoneOffset.UTC)
                ? new VEvent(start, end, event.summary())
                : new VEvent(start.atZone(zone), end.atZone(zone), event.summary());
        entry.replace(new DtStamp(now));
        entry.add(new Uid(event.uid() + OURS));
        entry.add(new Sequence(event.sequence()));
        entry.add(event.state().status());
        if (!event.description().isEmpty()) {
            entry.add(new Description(event.description()));
        }
        if (!event.url().isEmpty()) {
            entry.add(new Url(URI.create(event.url())));
        }
        if (!event.location().isEmpty()) {
            entry.add(new Location(event.location()));
        }
        return entry;
    }
}
