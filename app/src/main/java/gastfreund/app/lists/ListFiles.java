package gastfreund.app.lists;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.pages.Address;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The list of bookings as files: exactly what the filter shows, all of it. */
@Controller
class ListFiles {

    private static final List<String> COLUMNS = List.of(
            "start",
            "end",
            "state",
            "offer",
            "people",
            "with",
            "place",
            "guest",
            "mail",
            "telephone",
            "order",
            "source",
            "total",
            "paid",
            "open",
            "currency");

    /** Which columns are numbers. */
    private static final Set<Integer> NUMBERS = Set.of(4, 10, 12, 13, 14);

    private final BookingLists lists;
    private final CatalogueService catalogues;
    private final Address address;
    private final Clock clock;

    ListFiles(BookingLists lists, CatalogueService catalogues, Address address, Clock clock) {
        this.lists = lists;
        this.catalogues = catalogues;
        this.address = address;
        this.clock = clock;
    }

    private Sheet sheet(BookingFilter.Asked asked, Model model) {
        Formats f = Formats.of(model);
        return new Sheet("bookings", f.text("lists.title"), COLUMNS, NUMBERS, rows(asked, f));
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
                        b.place() == null
                                ? ""
                                : catalogue.house().place(b.place()).name(),
                        "",
                        "",
                        address.of("/desk/orders/" + b.order())))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"bookings.ics\"")
                .body(CalendarFile.of(events, catalogue.zone().id(), clock.instant(), CalendarFile.Cover.NONE));
    }

    private List<List<String>> rows(BookingFilter.Asked asked, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        ReasonWords words = new ReasonWords(catalogue, f);
        return lists.all(asked.filter(lists.today())).stream()
                .map(b -> List.of(
                        Dates.plain(b.time().startInstant(), f),
                        Dates.plain(b.time().endInstant(), f),
                        f.text("status." + b.status().code()),
                        catalogue.offer(b.offer()).title(),
                        Integer.toString(b.party()),
                        words.names(b.staff()),
                        b.place() == null
                                ? ""
                                : catalogue.house().place(b.place()).name(),
                        b.guest(),
                        b.email(),
                        b.phone(),
                        Long.toString(b.order()),
                        b.source(),
                        f.decimal(b.total()),
                        f.decimal(b.paid()),
                        f.decimal(b.open()),
                        f.currencyCode()))
                .toList();
    }
}
