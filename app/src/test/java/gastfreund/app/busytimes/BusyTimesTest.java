package gastfreund.app.busytimes;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Busy times read from the stand-in's calendars. */
class BusyTimesTest extends OrdersTest {

    private static final StaffId MIRA = new StaffId("mira");
    private static final DateTimeFormatter UTC = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'");

    @Autowired
    private BusyTimes busy;

    @Autowired
    private TransactionTemplate transaction;

    private final HttpClient http = HttpClient.newHttpClient();

    @BeforeEach
    void nothingRead() throws Exception {
        transaction.executeWithoutResult(
                t -> jdbc.sql("DELETE FROM busy_sources").update());
        dav("DELETE", "");
    }

    /** Answers with the status. */
    private int dav(String method, String body, String... headers) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(STANDINS.address() + "/dav/mira/errand.ics"))
                .header("Content-Type", "text/calendar");
        if (headers.length > 0) {
            request.headers(headers);
        }
        return http.send(
                        request.method(method, HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    private static String event(Instant start, Instant end) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\nBEGIN:VEVENT\r\nUID:errand\r\nDTSTART:"
                + UTC.format(start.atOffset(ZoneOffset.UTC)) + "\r\nDTEND:" + UTC.format(end.atOffset(ZoneOffset.UTC))
                + "\r\nSUMMARY:Errand\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    private boolean isOffered(Answer.Entry opening) {
        LocalDate date =
                opening.time().startInstant().atZone(ZoneId.of("Europe/Berlin")).toLocalDate();
        return openings
                .openings(Query.of(new OfferId("private-lesson"), date, date, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withParty(1)
                        .withStaff(MIRA))
                .entries()
                .stream()
                .anyMatch(e -> e.time().equals(opening.time()));
    }

    private Answer.Entry ofMira() {
        LocalDate from =
                clock.instant().atZone(ZoneId.of("Europe/Berlin")).toLocalDate().plusDays(20);
        return openings.next(Query.of(new OfferId("private-lesson"), from, from, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withParty(1)
                        .withStaff(MIRA))
                .orElseThrow();
    }

    private Source only() {
        List<Source> all = busy.of(MIRA);
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    @Test
    void anEventMadeElsewhereTakesAnOpeningAwayAndGivesItBack() throws Exception {
        Answer.Entry opening = ofMira();
        Source source = busy.follow(MIRA, STANDINS.address() + "/calendars/mira.ics", "calendars.example");
        assertThat(source.error()).isEmpty();
        assertThat(isOffered(opening)).isTrue();
        assertThat(dav(
                        "PUT",
                        event(opening.time().startInstant(), opening.time().endInstant()),
                        "If-None-Match",
                        "*"))
                .isEqualTo(201);
        busy.readDue();
        assertThat(isOffered(opening)).as("not read yet").isTrue();
        clock.moveAhead(Duration.ofMinutes(10));
        busy.readDue();
        assertThat(isOffered(opening)).isFalse();
        assertThat(only().occurrences()).isEqualTo(1);
        clock.moveAhead(Duration.ofMinutes(10));
        busy.readDue();
        assertThat(isOffered(opening)).as("unchanged").isFalse();
        assertThat(dav("DELETE", "")).isEqualTo(204);
        clock.moveAhead(Duration.ofMinutes(10));
        busy.readDue();
        assertThat(isOffered(opening)).isTrue();
    }

    @Test
    void theLastGoodStateStaysWhileAnAddressFails() throws Exception {
        Answer.Entry opening = ofMira();
        dav("PUT", event(opening.time().startInstant(), opening.time().endInstant()));
        busy.follow(MIRA, STANDINS.address() + "/dav/mira/errand.ics", "calendars.example");
        assertThat(isOffered(opening)).isFalse();
        dav("DELETE", "");
        busy.read(only());
        assertThat(only().error()).isEqualTo("status-404");
        assertThat(only().failingAt()).isNotNull();
        assertThat(isOffered(opening)).isFalse();
        dav(
                "PUT",
                event(
                        opening.time().startInstant().plusSeconds(86400),
                        opening.time().endInstant().plusSeconds(86400)));
        busy.read(only());
        assertThat(only().error()).isEmpty();
        assertThat(only().failingAt()).isNull();
        assertThat(isOffered(opening)).isTrue();
        busy.remove(only());
        assertThat(jdbc.sql("SELECT count(*) FROM busy WHERE source IS NOT NULL")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void aFileIsTakenInAndReadFurtherAsTimeGoesOn() throws Exception {
        Answer.Entry opening = ofMira();
        String weekly = event(
                        opening.time().startInstant().minus(Duration.ofDays(700)),
                        opening.time().endInstant().minus(Duration.ofDays(700)))
                .replace("SUMMARY", "RRULE:FREQ=DAILY;INTERVAL=7\r\nSUMMARY");
        assertThat(busy.take(MIRA, "club.ics", weekly)).isEmpty();
        int before = only().occurrences();
        assertThat(isOffered(opening)).isFalse();
        String last = "SELECT max(end_at) FROM busy WHERE source IS NOT NULL";
        long until = jdbc.sql(last).query(Long.class).single();
        clock.moveAhead(Duration.ofDays(14));
        busy.readDue();
        assertThat(jdbc.sql(last).query(Long.class).single()).isEqualTo(until + 14 * 86400);
        assertThat(only().occurrences()).isEqualTo(before);
        assertThat(busy.take(MIRA, "page.ics", "<html></html>")).isEqualTo("no-calendar");
    }

    @Test
    void theDeskFollowsAddressesAndSaysWhatIsWrongWithThem() {
        HostBrowser browser = new HostBrowser(address(""), "10.8.8.1");
        browser.signIn("okka@quillmere.example", "clay and water");
        assertThat(browser.get("/desk/busy-times").body()).contains("No other calendar is read.");
        assertThat(browser.post("/desk/busy-times/address", Map.of("staff", "mira", "address", "ftp://x.example/a"))
                        .body())
                .contains("This is not an address", "ftp://x.example/a");
        browser.post(
                "/desk/busy-times/address",
                Map.of("staff", "mira", "address", STANDINS.address() + "/calendars/mira.ics"));
        assertThat(browser.get("/desk/busy-times").body()).contains("no events", "Read it now");
        browser.post("/desk/busy-times/address", Map.of("staff", "mira", "address", STANDINS.address() + "/mail"));
        assertThat(browser.get("/desk/busy-times").body()).contains("This is no calendar in the iCalendar format.");
        busy.of(MIRA).forEach(s -> browser.post("/desk/busy-times/remove", Map.of("id", Long.toString(s.id()))));
        assertThat(busy.of(MIRA)).isEmpty();
        assertThat(browser.post("/desk/busy-times/address", Map.of("staff", "nobody", "address", "https://x.example"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void theStandInKeepsCalDavsRules() throws Exception {
        Instant start = Instant.parse("2027-01-01T10:00:00Z");
        String one = event(start, start.plusSeconds(3600));
        assertThat(dav("PUT", one, "If-None-Match", "*")).isEqualTo(201);
        assertThat(dav("PUT", one, "If-None-Match", "*")).isEqualTo(412);
        assertThat(dav("PUT", one, "If-Match", "\"other\"")).isEqualTo(412);
        assertThat(dav("PUT", one)).isEqualTo(204);
        assertThat(dav("PUT", "nothing")).isEqualTo(403);
        assertThat(dav("DELETE", "", "If-Match", "\"other\"")).isEqualTo(412);
        assertThat(dav("DELETE", "", "If-Match", "*")).isEqualTo(204);
        assertThat(dav("DELETE", "")).isEqualTo(404);
    }
}
