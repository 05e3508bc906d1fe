package gastfreund.app.feeds;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.openings.Answer;
import gastfreund.core.terms.Terms;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Calendars that can be followed, read back by another program's eyes. */
class FeedsTest extends OrdersTest {

    @Autowired
    private Feeds feeds;

    @Autowired
    private Endings endings;

    @Autowired
    private TransactionTemplate transaction;

    private Calendar read(String file) throws Exception {
        Calendar calendar = new CalendarBuilder().build(new StringReader(file));
        calendar.validate();
        return calendar;
    }

    private String file(String address) {
        return get(address.substring(address("").length())).body();
    }

    private static List<VEvent> events(Calendar calendar) {
        return calendar.<VEvent>getComponents(Component.VEVENT);
    }

    private static VEvent one(Calendar calendar, BookingId booking) {
        return events(calendar).stream()
                .filter(e -> e.getUid().orElseThrow().getValue().equals(booking.value() + "@gastfreund"))
                .findFirst()
                .orElseThrow();
    }

    private static String value(VEvent event, String name) {
        return event.getProperty(name).map(p -> p.getValue()).orElse("");
    }

    @Test
    void theHousesCalendarIsValidAndFollowsABooking() throws Exception {
        Order order = paid("wheel-hire", "60", 30, "WORKS");
        String address = feeds.address(new Feed(Feed.Kind.HOUSE, ""));
        assertThat(feeds.address(new Feed(Feed.Kind.HOUSE, ""))).isEqualTo(address);
        String text = file(address);
        assertThat(text).contains("BEGIN:VTIMEZONE", "TZID:Europe/Berlin", "DTSTART;TZID=Europe/Berlin:");
        VEvent event = one(read(text), line(order).booking());
        assertThat(((ZonedDateTime) event.getDateTimeStart().getDate()).toInstant())
                .isEqualTo(line(order).time().startInstant());
        assertThat(value(event, "SEQUENCE")).isEqualTo("0");
        assertThat(value(event, "STATUS")).isEqualTo("CONFIRMED");
        assertThat(value(event, "SUMMARY")).isEqualTo("Wheel hire · Wenke Farrow");
        assertThat(text).doesNotContain("€", "wenke@post.example");
        Answer.Entry to = opening("wheel-hire", "60", 1, 33);
        moveAtDesk(order, to, false);
        VEvent moved = one(read(file(address)), line(order).booking());
        assertThat(value(moved, "SEQUENCE")).isEqualTo("1");
        assertThat(((ZonedDateTime) moved.getDateTimeStart().getDate()).toInstant())
                .isEqualTo(to.time().startInstant());
    }

    @Test
    void whatPeopleWroteIsReadBackAsTheyWroteItAndNoLineIsTooLong() throws Exception {
        Order order = paid("wheel-hire", "60", 35, "WORKS");
        String name = "Wenke; \\ \"Farrow\", Straße 😀 ".repeat(6).strip();
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE orders SET name = ? WHERE id = ?")
                .params(name, order.id())
                .update());
        String text = file(feeds.address(new Feed(Feed.Kind.HOUSE, "")));
        assertThat(value(one(read(text), line(order).booking()), "SUMMARY")).isEqualTo("Wheel hire · " + name);
        assertThat(text.split("\r\n")).allSatisfy(l -> assertThat(l.getBytes(StandardCharsets.UTF_8).length)
                .isLessThanOrEqualTo(75));
    }

    @Test
    void aReminderIsThereOnlyWhereTheGuestWantsOne() throws Exception {
        Order order = paid("wheel-hire", "60", 36, "WORKS");
        String path = "/bookings/" + order.token() + "/calendar.ics";
        assertThat(read(get(path).body()).toString()).doesNotContain("VALARM");
        String reminding =
                get("/bookings/" + order.token()).body().replaceAll("(?s).*href=\"([^\"]*remind=hour)\".*", "$1");
        VEvent event = one(read(get(reminding).body()), line(order).booking());
        assertThat(event.getAlarms()).singleElement().satisfies(alarm -> assertThat(
                        alarm.getTrigger().orElseThrow().getDuration())
                .isEqualTo(Duration.ofHours(-1)));
        String all = feeds.address(new Feed(Feed.Kind.HOUSE, ""));
        assertThat(file(all + "?remind=day")).contains("TRIGGER:-PT24H");
        assertThat(file(all + "?remind=never")).doesNotContain("VALARM");
    }

    @Test
    void aRequestIsTentativeAndWhatIsCancelledSaysSo() throws Exception {
        Order asked = paid("firing", "biscuit", 31, "WORKS");
        String address = feeds.address(new Feed(Feed.Kind.HOUSE, ""));
        assertThat(value(one(read(file(address)), line(asked).booking()), "STATUS"))
                .isEqualTo("TENTATIVE");
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE bookings SET status = 'cancelled' WHERE id = ?")
                .param(line(asked).booking().value())
                .update());
        assertThat(value(one(read(file(address)), line(asked).booking()), "STATUS"))
                .isEqualTo("CANCELLED");
    }

    @Test
    void aGuestFollowsTheirOwnBookingsAndNobodyElses() throws Exception {
        Order mine = paid("wheel-hire", "60", 32, "WORKS");
        String page = get("/bookings/" + mine.token() + "/follow").body();
        assertThat(page).contains("Make an address").doesNotContain(".ics");
        post("/bookings/" + mine.token() + "/follow", Map.of());
        String address = get("/bookings/" + mine.token() + "/follow")
                .body()
                .replaceAll("(?s).*(http://localhost:\\d+/calendars/[\\w-]+\\.ics).*", "$1");
        Calendar calendar = read(file(address));
        assertThat(one(calendar, line(mine).booking())).isNotNull();
        assertThat(events(calendar))
                .allSatisfy(e -> assertThat(value(e, "SUMMARY")).endsWith("Quillmere Clay House"));
        post("/bookings/" + mine.token() + "/follow", Map.of());
        assertThat(get(address.substring(address("").length())).statusCode()).isEqualTo(404);
    }

    @Test
    void aPersonsCalendarHasWhatTheyServe() throws Exception {
        String address = feeds.address(new Feed(Feed.Kind.PERSON, "mira"));
        List<String> served = jdbc.sql("SELECT b.id FROM bookings b JOIN booking_staff s ON s.booking = b.id"
                        + " WHERE s.staff = 'mira' AND b.order_id IS NOT NULL AND b.status <> 'held'")
                .query(String.class)
                .list();
        assertThat(served).isNotEmpty();
        assertThat(events(read(file(address))).stream()
                        .map(e -> e.getUid().orElseThrow().getValue().replace("@gastfreund", "")))
                .containsExactlyInAnyOrderElementsOf(served);
    }

    @Test
    void whatIsOnIsForEverybodyAndWhatHasNotChangedIsNotSentAgain() throws Exception {
        HttpResponse<String> on = get("/calendars/what-is-on.ics");
        assertThat(events(read(on.body()))).isNotEmpty().allSatisfy(e -> assertThat(value(e, "DESCRIPTION"))
                .contains("left"));
        String tag = on.headers().firstValue("ETag").orElseThrow();
        HttpResponse<String> again = send(HttpRequest.newBuilder(URI.create(address("/calendars/what-is-on.ics")))
                .header("If-None-Match", tag));
        assertThat(again.statusCode()).isEqualTo(304);
        String since = on.headers().firstValue("Last-Modified").orElseThrow();
        HttpResponse<String> known = send(HttpRequest.newBuilder(URI.create(address("/calendars/what-is-on.ics")))
                .header("If-Modified-Since", since));
        assertThat(known.statusCode()).isEqualTo(304);
        assertThat(get("/").body()).contains("/calendars/what-is-on.ics");
    }

    @Test
    void addressesAreMadeAnewAtTheDesk() {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String before = feeds.address(new Feed(Feed.Kind.THING, "wheel"));
        assertThat(host.get("/desk/calendars").body()).contains(before);
        host.post("/desk/calendars", Map.of("kind", "thing", "subject", "wheel"));
        assertThat(host.get("/desk/calendars").body()).doesNotContain(before);
        assertThat(get(before.substring(address("").length())).statusCode()).isEqualTo(404);
        assertThat(host.post("/desk/calendars", Map.of("kind", "guest", "subject", "x@y.example"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aMoveAndACancellationComeAsChangesOfTheSameEvent() throws Exception {
        Order order = paid("wheel-hire", "60", 36, "WORKS");
        moveAtDesk(order, opening("wheel-hire", "60", 1, 39), true);
        String changed = letters.one(order.id(), "moved-by-host").calendar();
        Calendar moved = read(changed);
        assertThat(changed.replace("\r\n ", ""))
                .contains("METHOD:REQUEST", "ORGANIZER;CN=Quillmere Clay House:mailto:" + MAILBOX);
        VEvent event = one(moved, line(order).booking());
        assertThat(value(event, "SEQUENCE")).isEqualTo("1");
        assertThat(value(event, "ATTENDEE"))
                .isEqualTo("mailto:" + order.contact().email());
        assertThat(((ZonedDateTime) event.getDateTimeStart().getDate()).toInstant())
                .isEqualTo(line(now(order)).time().startInstant());
        OrderLine booked = line(now(order));
        endings.cancelByGuest(
                now(order),
                booked.booking(),
                endings.proposal(booked, Terms.By.GUEST).refund(),
                "");
        String ended = letters.one(order.id(), "cancelled").calendar();
        VEvent gone = one(read(ended), line(order).booking());
        assertThat(ended).contains("METHOD:CANCEL");
        assertThat(value(gone, "STATUS")).isEqualTo("CANCELLED");
        assertThat(value(gone, "SEQUENCE")).isEqualTo("2");
        VEvent followed = one(
                read(file(feeds.address(new Feed(Feed.Kind.HOUSE, "")))),
                line(order).booking());
        assertThat(value(followed, "SEQUENCE")).isEqualTo("2");
        assertThat(value(followed, "STATUS")).isEqualTo("CANCELLED");
    }
}
