package gastfreund.app.letters;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.calendars.Reminder;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.pages.Address;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** An order's bookings for a calendar. */
@Component
public class OrderCalendar {

    private final CatalogueService catalogues;
    private final Speech speech;
    private final OrderRows pages;
    private final Address address;
    private final MovesStore moves;
    private final Clock clock;

    OrderCalendar(
            CatalogueService catalogues,
            Speech speech,
            OrderRows pages,
            Address address,
            MovesStore moves,
            Clock clock) {
        this.moves = moves;
        this.catalogues = catalogues;
        this.speech = speech;
        this.pages = pages;
        this.address = address;
        this.clock = clock;
    }

    /** The bookings that stand and wait for nobody's yes, as a calendar file. */
    public String of(Order order, Reminder reminder) {
        Catalogue catalogue = catalogues.catalogue();
        List<CalendarFile.Event> events = pages.rows(order.certain(), speech.in(order.locale(), catalogue)).stream()
                .map(row -> event(
                        row.line().booking().value(),
                        moves.of(row.line().booking()),
                        CalendarFile.State.CONFIRMED,
                        row.line().time(),
                        row.title() + " · " + catalogue.house().name(),
                        row.title(),
                        row.place(),
                        row.directions(),
                        address.inLetters("/bookings/" + order.token())))
                .toList();
        return CalendarFile.of(events, catalogue.zone().id(), clock.instant(), new CalendarFile.Cover("", reminder));
    }

    /**
     * @param moves how often it was moved
     * @param directions empty where the place needs none
     */
    static CalendarFile.Event event(
            String uid,
            int moves,
            CalendarFile.State state,
            Interval time,
            String summary,
            String title,
            String place,
            String directions,
            String page) {
        boolean online = isOnline(directions);
        return new CalendarFile.Event(
                uid,
                moves,
                state,
                time,
                summary,
                online ? "" : place,
                online ? directions : "",
                directions.isEmpty() ? title : directions,
                page);
    }

    /** Whether directions are the address of a meeting. */
    static boolean isOnline(String directions) {
        return (directions.startsWith("https://") || directions.startsWith("http://")) && directions.indexOf(' ') < 0;
    }
}
