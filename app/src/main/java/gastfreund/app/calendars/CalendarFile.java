package gastfreund.app.calendars;

import gastfreund.core.time.Interval;
import java.net.URI;
import java.net.URISyntaxException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Cn;
import net.fortuna.ical4j.model.parameter.PartStat;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Attendee;
import net.fortuna.ical4j.model.property.Conference;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Method;
import net.fortuna.ical4j.model.property.Organizer;
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
import org.jspecify.annotations.Nullable;

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

    private CalendarFile() {}

    /** A change of events that somebody has in their calendar already: moved ones, or, where they all are, cancelled ones. */
    public static String update(List<Event> events, Parties parties, ZoneId zone, Instant now) {
        boolean cancelled = events.stream().allMatch(e -> e.state() == State.CANCELLED);
        Method method = cancelled ? ImmutableMethod.CANCEL : ImmutableMethod.REQUEST;
        return written(events, method, parties, zone, now, "");
    }

    /**
     * @param zone of the times
     * @param now when the file is made
     */
    public static String of(List<Event> events, ZoneId zone, Instant now) {
        return of(events, zone, now, "");
    }

    /** @param name of the calendar, for programs that follow it; empty: none */
    public static String of(List<Event> events, ZoneId zone, Instant now, String name) {
        return written(events, ImmutableMethod.PUBLISH, null, zone, now, name);
    }

    private static String written(
            List<Event> events, Method method, @Nullable Parties parties, ZoneId zone, Instant now, String name) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Gastfreund//Bookings//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(method);
        if (!name.isEmpty()) {
            calendar.add(new XProperty("X-WR-CALNAME", name));
        }
        TimeZone known = ZONES.getTimeZone(zone.getId());
        ZoneId told = known == null ? ZoneOffset.UTC : zone;
        if (known != null) {
            calendar.add(known.getVTimeZone());
        }
        events.forEach(event -> calendar.add(entry(event, parties, told, now)));
        return calendar.toString();
    }

    private static VEvent entry(Event event, @Nullable Parties parties, ZoneId zone, Instant now) {
        Instant start = event.time().startInstant();
        Instant end = event.time().endInstant();
        VEvent entry = zone.equals(ZoneOffset.UTC)
                ? new VEvent(start, end, event.summary())
                : new VEvent(start.atZone(zone), end.atZone(zone), event.summary());
        entry.replace(new DtStamp(now));
        entry.add(new Uid(event.uid() + OURS));
        entry.add(new Sequence(event.moves() + (event.state() == State.CANCELLED ? 1 : 0)));
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
        if (!event.conference().isEmpty()) {
            Conference conference = new Conference(event.conference());
            conference.add(Value.URI);
            entry.add(conference);
        }
        if (parties != null) {
            Organizer organizer = new Organizer(mailto(parties.organizer()));
            organizer.add(new Cn(parties.organizerName()));
            entry.add(organizer);
            Attendee attendee = new Attendee(mailto(parties.attendee()));
            attendee.add(PartStat.ACCEPTED);
            entry.add(attendee);
        }
        return entry;
    }

    private static URI mailto(String address) {
        try {
            return new URI("mailto", address, null);
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException("no mail address: " + address, e);
        }
    }
}
