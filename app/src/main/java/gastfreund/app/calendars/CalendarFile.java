package gastfreund.app.calendars;

import gastfreund.core.time.Interval;
import java.net.URI;
import java.time.Instant;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Events as an iCalendar file (RFC 5545). */
public final class CalendarFile {

    /**
     * Something that takes place.
     *
     * @param uid the same for the same event in every file
     * @param location empty where there is none
     * @param url where more is to be read
     */
    public record Event(String uid, Interval time, String summary, String location, String description, String url) {}

    private CalendarFile() {}

    /** @param now when the file is made */
    public static String of(List<Event> events, Instant now) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Gastfreund//Bookings//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        for (Event event : events) {
            VEvent entry = new VEvent(event.time().startInstant(), event.time().endInstant(), event.summary());
            entry.replace(new DtStamp(now));
            entry.add(new Uid(event.uid() + "@gastfreund"));
            entry.add(ImmutableStatus.VEVENT_CONFIRMED);
            entry.add(new Description(event.description()));
            entry.add(new Url(URI.create(event.url())));
            if (!event.location().isEmpty()) {
                entry.add(new Location(event.location()));
            }
            calendar.add(entry);
        }
        return calendar.toString();
    }
}
