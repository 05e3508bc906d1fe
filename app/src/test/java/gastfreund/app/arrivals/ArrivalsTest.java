package gastfreund.app.arrivals;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.time.HouseZone;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Guests and bookings of another program: looked at, taken over all or not at all, and taken back. */
class ArrivalsTest extends DemoHouseTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final String OWN = "/desk/house/arrivals";
    private static final DateTimeFormatter GERMAN = DateTimeFormatter.ofPattern("dd.MM.uuuu HH:mm");

    @Autowired
    private Orders orders;

    @Autowired
    private Endings endings;

    private HostBrowser host;

    @BeforeEach
    void atTheDesk() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get(OWN);
    }

    /** Sends a table; the address of the page that follows. */
    private String send(String table, Charset charset) {
        String head = "--x\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + host.token()
                + "\r\n--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"old shop.csv\"\r\n\r\n";
        byte[] begin = head.getBytes(StandardCharsets.UTF_8);
        byte[] middle = table.getBytes(charset);
        byte[] end = "\r\n--x--\r\n".getBytes(StandardCharsets.UTF_8);
        byte[] all = Arrays.copyOf(begin, begin.length + middle.length + end.length);
        System.arraycopy(middle, 0, all, begin.length, middle.length);
        System.arraycopy(end, 0, all, begin.length + middle.length, end.length);
        HttpResponse<String> answer = host.send(host.request(OWN + "/file")
                .header("Content-Type", "multipart/form-data; boundary=x")
                .POST(HttpRequest.BodyPublishers.ofByteArray(all)));
        return path(answer);
    }

    /** Says what the columns are as they were guessed, and gives the page that follows. */
    private String guessed(String columnsPage) {
        String page = host.get(columnsPage).body();
        Map<String, String> form = new HashMap<>();
        Matcher select = Pattern.compile("<select[^>]*name=\"(column-\\d+)\".*?</select>", Pattern.DOTALL)
                .matcher(page);
        while (select.find()) {
            Matcher chosen = Pattern.compile("value=\"([a-z]+)\" selected").matcher(select.group());
            form.put(select.group(1), chosen.find() ? chosen.group(1) : "nothing");
        }
        assertThat(form).isNotEmpty();
        return path(host.post(columnsPage, form));
    }

    private String said(String offer, String length, int daysAhead) {
        return GERMAN.format(start(offer, length, daysAhead));
    }

    private LocalDateTime start(String offer, String length, int daysAhead) {
        return ZONE.localOf(opening(offer, length, 1, daysAhead).time().start());
    }

    private long count() {
        return jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single();
    }

    @Test
    void aTableIsLookedAtTakenOverAndTakenBack() {
        long before = count();
        String table = "Kunde;E-Mail;Telefon;Leistung;Beginn;Dauer;Personen;Preis;Bezahlt;Bemerkung\r\n"
                + "Jörn Ältermann;joern@post.example;030 5550 1;Wheel hire;" + said("wheel-hire", "60", 4)
                + ";60;2;30,50 €;10,00;kommt mit dem Rad\r\n"
                + "Petra Sund;petra@post.example;;wheel-hire;04.01.2027 10:00;60;1;18,00;18,00;\r\n"
                + "Nur Gast;nurgast@post.example;;;;;;;;\r\n";
        String columns = send(table, Charset.forName("windows-1252"));
        String look = guessed(columns);
        String page = host.get(look).body();
        assertThat(page).contains("Jörn Ältermann", "3 rows can be taken over", "Take 3 rows over");
        assertThat(count()).as("looking changes nothing").isEqualTo(before);
        assertThat(path(host.post(look + "/take", Map.of()))).isEqualTo(OWN + "?said=taken");
        assertThat(count()).isEqualTo(before + 3);
        Order guest = orders.newest(3).get(0);
        assertThat(guest.lines()).isEmpty();
        Order over = orders.newest(3).get(1);
        assertThat(over.lines().get(0).status()).isEqualTo(BookingStatus.COMPLETED);
        assertThat(over.balance().isZero()).isTrue();
        Order order = orders.newest(3).get(2);
        assertThat(order.contact().name()).isEqualTo("Jörn Ältermann");
        assertThat(order.contact().notes()).isEqualTo("kommt mit dem Rad");
        assertThat(order.total().minor()).isEqualTo(3050);
        assertThat(order.paid().minor()).isEqualTo(1000);
        assertThat(order.balance().minor()).isEqualTo(2050);
        assertThat(order.lines().get(0).party()).isEqualTo(2);
        assertThat(order.lines().get(0).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(letters.to("joern@post.example")).as("nobody is told").isEmpty();
        assertThat(host.get("/desk/orders/" + order.number()).body()).contains("old shop.csv");
        assertThat(jdbc.sql("SELECT content FROM arrivals ORDER BY id DESC LIMIT 1")
                        .query(String.class)
                        .single())
                .as("who booked does not lie about twice")
                .isEmpty();

        String again = guessed(send(table, StandardCharsets.UTF_8));
        assertThat(host.get(again).body())
                .contains("has this booking already", "is known already")
                .doesNotContain("rows over<");

        Matcher undo = Pattern.compile("action=\"(" + OWN + "/\\d+/undo)\"")
                .matcher(host.get(OWN).body());
        assertThat(undo.find()).isTrue();
        assertThat(path(host.post(undo.group(1), Map.of()))).isEqualTo(OWN + "?said=undone");
        assertThat(count()).isEqualTo(before);
        assertThat(jdbc.sql("SELECT count(*) FROM bookings b WHERE NOT EXISTS (SELECT 1 FROM order_lines l"
                                + " WHERE l.booking = b.id) AND b.status = 'confirmed'")
                        .query(Long.class)
                        .single())
                .isZero();
        assertThat(path(host.post(undo.group(1), Map.of()))).isEqualTo(OWN + "?said=not-undone");
    }

    @Test
    void allOrNothingAndWhatCannotBeIsSaidOrLeftOut() {
        String free = said("private-lesson", "60", 6);
        String table = "name,email,offer,start,length,person\n"
                + "Ada,ada@post.example,private-lesson," + free + ",60,Mira\n"
                + "Bo,bo@post.example,private-lesson," + free + ",60,Mira\n"
                + "Cy,no-mail,Yoga,tomorrow,60,\n"
                + ",dora@post.example,private-lesson," + free + ",61,Nobody\n";
        String columns = send(table, StandardCharsets.UTF_8);
        Map<String, String> form = new HashMap<>();
        List<String> what = List.of("name", "email", "offer", "start", "length", "staff");
        for (int i = 0; i < what.size(); i++) {
            form.put("column-" + i, what.get(i));
        }
        String look = path(host.post(columns, form));
        String page = host.get(look).body();
        assertThat(page)
                .contains(
                        "no mail address",
                        "no offer called “Yoga”",
                        "no date with a time",
                        "says no name",
                        "no length of “61”",
                        "Nobody called “Nobody”")
                .contains("One row can be taken over, 3 cannot")
                .doesNotContain("rows over<");
        long before = count();
        assertThat(path(host.post(look + "/take", Map.of()))).isEqualTo(look + "?said=changed");
        assertThat(count()).as("all or nothing").isEqualTo(before);
        host.get(look);
        host.send(host.request(look + "/leave")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("out=2&out=3&out=4&out=x&_csrf=" + host.token())));
        assertThat(host.get(look).body()).contains("One row can be taken over, 3 are left out", "Take one row over");
        assertThat(path(host.post(look + "/take", Map.of()))).isEqualTo(OWN + "?said=taken");
        assertThat(count()).isEqualTo(before + 1);

        Order order = orders.newest(1).get(0);
        endings.cancelByGuest(
                order,
                order.lines().get(0).booking(),
                endings.byTheTerms(order.lines().get(0)).refund(),
                "");
        Matcher undo = Pattern.compile("action=\"(" + OWN + "/\\d+/undo)\"")
                .matcher(host.get(OWN).body());
        assertThat(undo.find()).isTrue();
        assertThat(path(host.post(undo.group(1), Map.of()))).isEqualTo(OWN + "?said=not-undone");
        assertThat(orders.byId(order.id()).lines().get(0).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(host.get(OWN + "?said=not-undone").body()).contains("cancel them one by one");
    }

    @Test
    void whatIsNoTableIsRefusedAndColumnsMustSayEnough() {
        assertThat(send("hello", StandardCharsets.UTF_8)).isEqualTo(OWN + "?said=no-table");
        assertThat(host.get(OWN + "?said=no-table").body()).contains("no table with heads");
        String columns = send("a,b\n1,2\n", StandardCharsets.UTF_8);
        assertThat(host.post(columns, Map.of("column-0", "email")).body()).contains("what guests are called");
        assertThat(host.post(columns, Map.of("column-0", "name", "column-1", "offer"))
                        .body())
                .contains("both columns are needed");
        assertThat(host.get(OWN + "/99999").statusCode()).isEqualTo(404);
        StringBuilder large = new StringBuilder("name,email\n");
        for (int i = 0; i < 501; i++) {
            large.append("G").append(i).append(",g").append(i).append("@post.example\n");
        }
        assertThat(send(large.toString(), StandardCharsets.UTF_8)).isEqualTo(OWN + "?said=no-table");
    }

    @Test
    void moreThanItCostsIsNotPaidAndWhatGoesOnIsNotOver() {
        String start = GERMAN.format(LocalDateTime.ofInstant(clock.instant(), ZoneId.of("Europe/Berlin"))
                .minusMinutes(10));
        String look = guessed(send(
                "name,email,offer,start,length,price,paid\nAda,ada-now@post.example,wheel-hire," + start
                        + ",60,18.00,18.01\nBo,bo-now@post.example,wheel-hire," + start + ",60,18.00,18.00\n",
                StandardCharsets.UTF_8));
        assertThat(host.get(look).body())
                .contains("More was paid than it costs", "One row can be taken over, one cannot");
        host.post(look + "/leave", Map.of("out", "1"));
        assertThat(path(host.post(look + "/take", Map.of()))).isEqualTo(OWN + "?said=taken");
        Order order = orders.newest(1).get(0);
        assertThat(order.lines().get(0).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(order.balance().isZero()).isTrue();
    }

    @Test
    void datesAreReadAsTheyAreWritten() {
        LocalDateTime start = start("wheel-hire", "60", 9);
        for (String pattern :
                List.of("uuuu-MM-dd'T'HH:mm", "uuuu-MM-dd HH:mm:ss", "d/M/uuuu H:mm", "d/M/uuuu h:mm a")) {
            String said = DateTimeFormatter.ofPattern(pattern, java.util.Locale.ENGLISH)
                    .format(start);
            String look = guessed(send(
                    "name,email,offer,start,end\nAda,ada" + pattern.hashCode() + "@post.example,wheel-hire," + said
                            + "," + DateTimeFormatter.ofPattern("HH:mm").format(start.plusHours(2)) + "\n",
                    StandardCharsets.UTF_8));
            assertThat(host.get(look).body()).as(said).contains("Take one row over", "fine");
        }
    }
}
