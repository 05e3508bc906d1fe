package gastfreund.app.lists;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Table;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.http.ContentDisposition;
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
    private static final List<Integer> NUMBERS = List.of(4, 10, 12, 13, 14);

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

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.csv")
    ResponseEntity<String> csv(BookingFilter.Asked asked, Model model) {
        Formats f = Formats.of(model);
        return Table.file("bookings.csv", COLUMNS, rows(asked, f));
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/bookings.xlsx")
    ResponseEntity<byte[]> xlsx(BookingFilter.Asked asked, Model model) throws IOException {
        Formats f = Formats.of(model);
        List<List<String>> rows = rows(asked, f);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Gastfreund", "1.0")) {
            Worksheet sheet = book.newWorksheet(f.text("lists.title"));
            for (int c = 0; c < COLUMNS.size(); c++) {
                sheet.value(0, c, COLUMNS.get(c));
                sheet.style(0, c).bold().set();
            }
            sheet.freezePane(0, 1);
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < COLUMNS.size(); c++) {
                    String value = rows.get(r).get(c);
                    if (NUMBERS.contains(c)) {
                        sheet.value(r + 1, c, Double.parseDouble(value));
                    } else {
                        sheet.value(r + 1, c, value);
                    }
                }
            }
        }
        return file("bookings.xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")
                .body(out.toByteArray());
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
        return file("bookings.ics", "text/calendar;charset=UTF-8")
                .body(CalendarFile.of(events, catalogue.zone().id(), clock.instant(), CalendarFile.Cover.NONE));
    }

    private static ResponseEntity.BodyBuilder file(String name, String type) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString());
    }

    private List<List<String>> rows(BookingFilter.Asked asked, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        ReasonWords words = new ReasonWords(catalogue, f);
        return lists.all(asked.filter(lists.today())).stream()
                .map(b -> List.of(
                        moment(b.time().startInstant(), f),
                        moment(b.time().endInstant(), f),
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

    private static String moment(Instant instant, Formats f) {
        return instant.atZone(f.zone().id()).format(DateTimeFormatter.ISO_OFFSET_DATE_TIME);
    }
}
