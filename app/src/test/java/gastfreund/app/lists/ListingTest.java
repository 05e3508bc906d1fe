package gastfreund.app.lists;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The lists of orders and payments show what there is, each once, and their files exactly what the filter shows. */
class ListingTest extends OrdersTest {

    private static final String ALWAYS = "from=2020-01-01&to=2029-12-31";
    private static final Pattern NUMBER = Pattern.compile("href=\"/desk/orders/(\\d+)\">\\d+</a>");
    private static final Pattern MORE = Pattern.compile("href=\"(/desk/lists/orders\\?[^\"]*before=[^\"]*)\"");

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private static List<String> numbers(String page) {
        return NUMBER.matcher(page).results().map(r -> r.group(1)).toList();
    }

    private static List<CSVRecord> csv(String text) throws IOException {
        return CSVParser.parse(
                        new StringReader(text),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
    }

    @Test
    void everyOrderIsShownOnceAPartAtATime() {
        String page = host.get("/desk/lists/orders?" + ALWAYS).body();
        List<String> seen = new ArrayList<>(numbers(page));
        for (var more = MORE.matcher(page); more.find(); more = MORE.matcher(page)) {
            page = host.get(more.group(1).replace("&amp;", "&")).body();
            seen.addAll(numbers(page));
        }
        assertThat(seen)
                .hasSizeGreaterThan(100)
                .containsExactlyElementsOf(jdbc.sql("SELECT number FROM orders ORDER BY id DESC")
                        .query(String.class)
                        .list());
    }

    @Test
    void columnsAreChosenAndAViewIsKeptUnderAName() {
        String page = host.get("/desk/lists/orders?" + ALWAYS + "&cols=order&cols=mail&cols=nonsense")
                .body();
        String heads = page.substring(page.indexOf("<thead>"), page.indexOf("</thead>"));
        assertThat(heads).contains(">Order<", ">Mail<").doesNotContain(">Total<");
        host.post(
                "/desk/lists/orders/views?" + ALWAYS + "&cols=order&cols=open&money=open",
                Map.of("name", "To be paid"));
        String kept = host.get("/desk/lists/orders").body();
        assertThat(kept).contains(">To be paid</a>").contains("money=open&amp;from=2020-01-01");
        var remove = Pattern.compile("action=\"(/desk/lists/orders/views/\\d+/remove)\"")
                .matcher(kept);
        assertThat(remove.find()).isTrue();
        for (String other : List.of("/desk/lists/none/", "/desk/lists/payments/", "/desk/guests/")) {
            host.post(remove.group(1).replace("/desk/lists/orders/", other), Map.of());
            assertThat(host.get("/desk/lists/orders").body())
                    .as("a view is taken away where it is shown only")
                    .contains(">To be paid</a>");
        }
        host.post(remove.group(1), Map.of());
        assertThat(host.get("/desk/lists/orders").body()).doesNotContain(">To be paid</a>");
        assertThat(host.get("/desk/lists/none").statusCode()).isEqualTo(404);
    }

    @Test
    void filesOfOrdersHaveWhatTheFilterShows() throws IOException {
        Order order = paid("wheel-hire", "60", 27, "WORKS");
        String filter = "q=wenke&cols=order&cols=guest&cols=total&" + ALWAYS;
        List<CSVRecord> rows =
                csv(host.get("/desk/lists/orders/file.csv?" + filter).body());
        assertThat(rows).allMatch(r -> r.get("guest").equals("Wenke Farrow"));
        assertThat(rows).extracting(r -> r.get("order")).contains(Long.toString(order.number()));
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(
                host.bytes("/desk/lists/orders/file.xlsx?" + filter).body()))) {
            assertThat(book.getSheetAt(0).getLastRowNum()).isEqualTo(rows.size());
            assertThat(book.getSheetAt(0).getRow(1).getCell(2).getNumericCellValue())
                    .isEqualTo(Double.parseDouble(rows.get(0).get("total")));
        }
        byte[] pdf = host.bytes("/desk/lists/orders/file.pdf?" + filter).body();
        assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
        assertThat(new String(host.bytes("/desk/bookings.pdf").body(), 0, 5, StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
    }

    @Test
    void paymentsAddUpToWhatTheTablesSay() throws IOException {
        paid("wheel-hire", "60", 28, "WORKS");
        List<CSVRecord> rows = csv(host.get("/desk/lists/payments/file.csv?cols=received&cols=back&cols=way&" + ALWAYS)
                .body());
        long captured =
                jdbc.sql("SELECT sum(captured) FROM payments").query(Long.class).single();
        assertThat(rows.stream()
                        .map(r -> r.get("received").replace(".", ""))
                        .mapToLong(Long::parseLong)
                        .sum())
                .isEqualTo(captured);
        assertThat(csv(host.get("/desk/lists/payments/file.csv?way=practice-card&" + ALWAYS)
                        .body()))
                .isNotEmpty()
                .allMatch(r -> r.get("way").contains("card"));
    }

    @Test
    void ordersAndPaymentsAreFoundByWhatIsBooked() throws IOException {
        Order order = paid("firing", "biscuit", 32, "WORKS");
        for (String list : List.of("orders", "payments")) {
            List<CSVRecord> of = csv(host.get("/desk/lists/" + list + "/file.csv?offer=firing&cols=order&" + ALWAYS)
                    .body());
            assertThat(of).extracting(r -> r.get("order")).contains(Long.toString(order.number()));
            assertThat(csv(host.get("/desk/lists/" + list + "/file.csv?offer=firing&person=nobody&cols=order&" + ALWAYS)
                            .body()))
                    .isEmpty();
        }
        int kiln = jdbc.sql(
                        "SELECT count(DISTINCT order_id) FROM bookings WHERE offer = 'firing' AND order_id IS NOT NULL")
                .query(Integer.class)
                .single();
        assertThat(csv(host.get("/desk/lists/orders/file.csv?offer=firing&" + ALWAYS)
                        .body()))
                .hasSize(kiln);
    }

    @Test
    void anOrderIsLookedAtBesideTheList() {
        Order order = paid("wheel-hire", "60", 30, "WORKS");
        String beside = "/desk/lists/orders?" + ALWAYS + "&order=" + order.number();
        String page = host.get(beside).body();
        assertThat(page.substring(page.indexOf("id=\"beside\""))).contains("Wenke Farrow", "Write …", "Note …");
        var board = Pattern.compile("name=\"board\" value=\"([^\"]+)\"").matcher(page);
        assertThat(board.find()).isTrue();
        String back = board.group(1).replace("&amp;", "&");
        String note =
                "/desk/orders/" + order.number() + "/bookings/" + line(order).booking() + "/note";
        assertThat(path(host.post(note, Map.of("words", "near the kiln", "board", back))))
                .isEqualTo(back + "&said=noted");
        assertThat(host.get(back).body()).contains("near the kiln");
        assertThat(host.get("/desk/lists/orders?order=999999").statusCode()).isEqualTo(200);
    }

    @Test
    void guestsAreLookedAtBesideTheirListWithColumnsAndKeptViews() throws IOException {
        Order order = paid("wheel-hire", "60", 31, "WORKS");
        String asked = "q=wenke&tag=&cols=guest&cols=mail&cols=last";
        String page =
                host.get("/desk/guests?" + asked + "&guest=" + order.number()).body();
        assertThat(page.substring(page.indexOf("<thead>"), page.indexOf("</thead>")))
                .contains(">Guest<", ">Mail<", ">Last<")
                .doesNotContain(">Paid<");
        assertThat(page.substring(page.indexOf("id=\"beside\"")))
                .contains("Wenke Farrow", "wenke@post.example", "/desk/orders/" + order.number());
        host.post("/desk/guests/views?" + asked, Map.of("name", "Those called Wenke"));
        assertThat(host.get("/desk/guests").body())
                .contains(">Those called Wenke</a>")
                .contains("/desk/guests?q=wenke&amp;tag=&amp;cols=guest");
        assertThat(csv(host.get("/desk/guests/file.csv?" + asked).body()).get(0).toMap())
                .containsOnlyKeys("guest", "mail", "last");
    }

    @Test
    void guestsGoOutToo() throws IOException {
        paid("wheel-hire", "60", 29, "WORKS");
        List<CSVRecord> rows =
                csv(host.get("/desk/guests/file.csv?q=wenke&cols=mail").body());
        assertThat(rows)
                .extracting(r -> r.get("mail"))
                .doesNotHaveDuplicates()
                .contains("wenke@post.example")
                .allMatch(m -> m.startsWith("wenke"));
    }
}
