package gastfreund.app.lists;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import java.time.Clock;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The list of bookings as files: exactly what the filter shows, all of it. */
@Controller
class ListFiles {

    private final BookingLists lists;
    private final BookingColumns columns;
    private final CatalogueService catalogues;
    private final Address address;
    private final Clock clock;

    ListFiles(BookingLists lists, BookingColumns columns, CatalogueService catalogues, Address address, Clock clock) {
        this.lists = lists;
        this.columns = columns;
        this.catalogues = catalogues;
        this.address = address;
        this.clock = clock;
    }

    private Sheet sheet(BookingFilter.Asked asked, Model model) {
        BookingFilter filter = asked.filter(lists.today());
        return columns.sheet(lists.all(filter), filter, Formats.of(model));
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.csv")
    ResponseEntity<String> csv(BookingFilter.Asked asked, Model model) {
        return sheet(asked, model).csv();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.xlsx")
    ResponseEntity<byte[]> xlsx(BookingFilter.Asked asked, Model model) {
        return sheet(asked, model).xlsx();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.pdf")
    ResponseEntity<byte[]> pdf(BookingFilter.Asked asked, Model model) {
        return sheet(asked, model).pdf();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.ics")
    ResponseEntity<String> ics(BookingFilter.Asked asked) {
        Catalogue catalogue = catalogues.catalogue();
        List<CalendarFile.Event> events = lists.all(asked.filter(lists.today())).stream()
                .map(b -> new CalendarFile.Event(
                        b.id(),
                        b.moves(),
                        CalendarFile.State.of(b.status()),
                        b.time(),
                        catalogue.offer(b.offer()).title() + " · " + b.guest(),
                        BookingColumns.place(b, catalogue),
                        "",
                        "",
                        address.of("/desk/orders/" + b.order())))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"bookings.ics\"")
                .body(CalendarFile.of(events, catalogue.zone().id(), clock.instant(), CalendarFile.Cover.NONE));
    }
}
