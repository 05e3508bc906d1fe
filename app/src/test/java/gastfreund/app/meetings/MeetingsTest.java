package gastfreund.app.meetings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A booking online gets a link of its own from the meeting service, which stands on its page and opens a room. */
class MeetingsTest extends OrdersTest {

    @Autowired
    private Meetings meetings;

    @Autowired
    private Endings endings;

    @Test
    void eachBookingOnlineGetsItsOwnRoomOnceAndNobodyElseDoes() throws Exception {
        String one = booked("glaze-call", "25", 8);
        String other = booked("glaze-call", "25", 9);
        String elsewhere = booked("wheel-hire", "60", 9);
        assertThat(get(one).body()).contains("The link for it will stand on your booking’s page.");
        meetings.make();
        String page = get(one).body();
        String link = link(page);
        assertThat(link).startsWith(STANDINS.address() + "/meetings/rooms/");
        assertThat(link(get(other).body())).isNotEqualTo(link);
        assertThat(get(elsewhere).body()).doesNotContain("/meetings/rooms/");
        meetings.make();
        assertThat(link(get(one).body())).isEqualTo(link);
        assertThat(jdbc.sql(
                                "SELECT count(*) FROM meetings m JOIN bookings b ON b.id = m.booking WHERE b.offer <> 'glaze-call'")
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(HttpClient.newHttpClient()
                        .send(HttpRequest.newBuilder(URI.create(link)).build(), BodyHandlers.ofString())
                        .body())
                .startsWith("A room from 2027-");
        assertThat(get("/offers/glaze-call").body()).doesNotContain("/meetings/");
    }

    private String booked(String offer, String length, int daysAhead) {
        String basket = keep(
                offer, length, 1, opening(offer, length, 1, daysAhead).time().start());
        String placed = order(basket, "Wenke Farrow", "wenke@post.example");
        long number = jdbc.sql("SELECT max(id) FROM orders").query(Long.class).single();
        if (placed.startsWith("http")) {
            get(pay(placed, "WORKS"));
        } else {
            confirm(number);
        }
        String token = jdbc.sql("SELECT token FROM orders WHERE id = ?")
                .param(number)
                .query(String.class)
                .single();
        Order order = orders.byToken(token).orElseThrow();
        if (line(order).status() == BookingStatus.REQUESTED) {
            endings.accept(order, line(order).booking(), HOST);
        }
        return "/bookings/" + token;
    }

    private static String link(String page) {
        return page.replaceAll("(?s).*?(http://localhost:\\d+/meetings/rooms/[0-9a-f-]+).*", "$1");
    }
}
