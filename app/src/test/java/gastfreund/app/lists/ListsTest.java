package gastfreund.app.lists;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** The list of bookings, and its ways out, read by other programs. */
class ListsTest extends OrdersTest {

    private static final Pattern ROW = Pattern.compile("href=\"/desk\\?day=[\\d-]+&amp;booking=([\\w-]+)\"");
    private static final Pattern MORE = Pattern.compile("href=\"(/desk/bookings\\?[^\"]*after=[^\"]*)\"");

    @Autowired
    private TransactionTemplate transaction;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private static List<String> ids(String page) {
        return ROW.matcher(page).results().map(m -> m.group(1)).toList();
    }

    private String span() {
        return "from=" + today().minusYears(1) + "&to=" + today().plusYears(1);
    }

    private List<String> booked(String where) {
        return jdbc.sql("SELECT b.id FROM bookings b JOIN orders o ON o.id = b.order_id WHERE b.status <> 'held' AND "
                        + where + " ORDER BY b.start_at, b.id")
                .query(String.class)
                .list();
    }

    @Test
    void whatIsLookedForIsFoundAndNothingElse() {
        Order order = paid("wheel-hire", "60", 24, "WORKS");
        String booking = line(order).booking().value();
        assertThat(ids(host.get("/desk/bookings?" + span() + "&q=wen+farr").body()))
                .contains(booking)
                .containsExactlyElementsOf(booked("o.name LIKE '%Wen%Farr%'"));
        assertThat(ids(host.get("/desk/bookings?" + span() + "&offer=firing").body()))
                .containsExactlyElementsOf(booked("b.offer = 'firing'"));
        assertThat(ids(host.get("/desk/bookings?" + span() + "&state=cancelled&person=mira")
                        .body()))
                .containsExactlyElementsOf(booked("b.status = 'cancelled' AND EXISTS (SELECT 1 FROM booking_staff s"
                        + " WHERE s.booking = b.id AND s.staff = 'mira')"));
        assertThat(host.get("/desk/bookings?" + span() + "&q=%22%29%20OR%201").body())
                .contains("Nothing of that kind is booked");
        LocalDate day = today().plusDays(400);
        assertThat(host.get("/desk/bookings?from=" + day + "&to=" + day).body()).contains("No bookings, nobody");
        assertThat(host.get("/desk/bookings?from=never&to=1&state=odd&money=much")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void sumsAreThoseOfTheRows() {
        String page = host.get("/desk/bookings?" + span() + "&money=open").body();
        List<Long> open = jdbc.sql(
                        "SELECT l.total - l.waived - l.paid FROM order_lines l JOIN bookings b ON b.id = l.booking"
                                + " WHERE b.status IN ('requested', 'confirmed', 'completed')"
                                + " AND l.total - l.waived - l.paid > 0")
                .query(Long.class)
                .list();
        long sum = open.stream().mapToLong(n -> n).sum();
        assertThat(page)
                .contains(String.format(java.util.Locale.ROOT, "%,.2f", sum / 100.0) + "\u00a0€ to pay")
                .contains(open.size() + " bookings");
    }

    @Test
    void veryManyAreShownAPartAtATimeEachOnce() {
        String page = host.get("/desk/bookings?" + span()).body();
        List<String> seen = new ArrayList<>(ids(page));
        assertThat(seen).hasSize(BookingLists.PAGE);
        for (var more = MORE.matcher(page); more.find(); more = MORE.matcher(page)) {
            page = host.get(more.group(1).replace("&amp;", "&")).body();
            seen.addAll(ids(page));
        }
        assertThat(seen).doesNotHaveDuplicates().containsExactlyElementsOf(booked("1"));
    }

    @Test
    void filesHaveExactlyWhatTheFilterShows() throws Exception {
        Order order = paid("wheel-hire", "60", 25, "WORKS");
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE orders SET name = '=1+1, \"Ann\"' WHERE id = ?")
                .param(order.id())
                .update());
        String filter = span() + "&offer=wheel-hire";
        List<String> shown = booked("b.offer = 'wheel-hire'");
        List<CSVRecord> csv = CSVParser.parse(
                        new StringReader(
                                host.get("/desk/bookings.csv?" + filter).body()),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
        assertThat(csv).hasSameSizeAs(shown);
        assertThat(csv).extracting(r -> r.get("guest")).contains("'=1+1, \"Ann\"");
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(
                host.bytes("/desk/bookings.xlsx?" + filter).body()))) {
            Sheet sheet = book.getSheetAt(0);
            assertThat(sheet.getLastRowNum()).isEqualTo(shown.size());
            for (int r = 0; r < csv.size(); r++) {
                Row row = sheet.getRow(r + 1);
                assertThat(row.getCell(0).getStringCellValue())
                        .isEqualTo(csv.get(r).get("start"));
                assertThat(row.getCell(12).getNumericCellValue())
                        .isEqualTo(Double.parseDouble(csv.get(r).get("total")));
            }
        }
        Calendar calendar = new CalendarBuilder()
                .build(new StringReader(host.get("/desk/bookings.ics?" + filter).body()));
        calendar.validate();
        assertThat(calendar.getComponents(Component.VEVENT)).hasSameSizeAs(shown);
        assertThat(get("/desk/bookings.csv").statusCode()).isNotEqualTo(200);
    }

    @Test
    void aBookingIsLookedAtBesideTheListAndWhatIsDoneThereLeadsBack() {
        Order order = paid("wheel-hire", "60", 24, "WORKS");
        String beside = "/desk/bookings?" + span() + "&offer=wheel-hire&booking="
                + line(order).booking();
        String page = host.get(beside).body();
        assertThat(page.substring(page.indexOf("id=\"beside\""))).contains("Wenke Farrow", "Write …", "Note …");
        String board = Pattern.compile("name=\"board\" value=\"([^\"]+)\"")
                .matcher(page)
                .results()
                .map(r -> r.group(1).replace("&amp;", "&"))
                .findFirst()
                .orElseThrow();
        String note =
                "/desk/orders/" + order.number() + "/bookings/" + line(order).booking() + "/note";
        assertThat(path(host.post(note, Map.of("words", "by the window", "board", board))))
                .isEqualTo(board + "&said=noted");
        assertThat(host.get(board).body()).contains("by the window");
        assertThat(host.get("/desk/bookings?booking=nothing").statusCode()).isEqualTo(200);
    }

    @Test
    void columnsAreChosenAndFilesHaveThose() throws Exception {
        paid("wheel-hire", "60", 23, "WORKS");
        String filter = span() + "&offer=wheel-hire&cols=guest&cols=people&cols=when";
        String page = host.get("/desk/bookings?" + filter).body();
        String heads = page.substring(page.indexOf("<thead>"), page.indexOf("</thead>"));
        assertThat(heads).contains(">When<", ">Guest<", ">People<").doesNotContain(">Total<", ">Order<");
        assertThat(host.get("/desk/bookings.csv?" + filter).body()).startsWith("start,end,people,guest\r\n");
        assertThat(host.get("/desk/bookings.csv?" + span()).body()).startsWith("start,end,state,offer,people,with,");
    }

    @Test
    void aViewIsKeptUnderAName() {
        host.post("/desk/bookings/views?" + span() + "&person=mira", Map.of("name", "Mira's <year>"));
        String page = host.get("/desk/bookings").body();
        assertThat(page).contains(">Mira&#39;s &lt;year&gt;</a>").contains("person=mira&amp;");
        host.post("/desk/bookings/views?" + span(), Map.of("name", "  "));
        assertThat(path(host.post("/desk/bookings/views?" + span() + "&q=%7Bx%7D+%26+y%2Bz", Map.of("name", ""))))
                .as("what is looked for is no template, and comes back as it was")
                .contains("q={x} & y+z&");
        assertThat(page.split("/views/\\d+/remove", -1)).hasSize(2);
    }

    @Test
    void whoComesStandsByWhoServesThemAndToOneSession() {
        Order order = paid("private-lesson", "60", 26, "WORKS");
        LocalDate day = LocalDate.ofInstant(line(order).time().startInstant(), java.time.ZoneId.of("Europe/Berlin"));
        String page = host.get("/desk/bookings/day?day=" + day).body();
        String person = line(order).sold().staff().values().iterator().next();
        assertThat(page.substring(page.indexOf("<span>" + person + "</span>"))).contains("Wenke Farrow");
        assertThat(page).contains("/desk/orders/" + order.number());
        String session = "/desk/bookings/day?day=" + day + "&offer=private-lesson&at="
                + line(order).time().start();
        assertThat(host.get(session).body()).contains("Wenke Farrow");
        assertThat(host.get(session + "1").body()).contains("Nobody comes on that day.");
        assertThat(host.get("/desk/bookings/day?day=never").statusCode()).isEqualTo(200);
    }
}
