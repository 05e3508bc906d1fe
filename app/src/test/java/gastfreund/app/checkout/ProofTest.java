package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Gateways;
import gastfreund.core.bookings.BookingStatus;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Orders of which nothing is paid now are booked when their guest has opened a link from the mail. */
class ProofTest extends OrdersTest {

    @Autowired
    private AllRounds job;

    @Autowired
    private Gateways gateways;

    private Order onTheSpot(int daysAhead, String email) {
        String basket = keep(
                "wheel-evenings",
                "150",
                1,
                opening("wheel-evenings", "150", 1, daysAhead).time().start());
        String line = jdbc.sql("SELECT id FROM bookings WHERE basket = ?")
                .param(basket.substring(basket.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
        post(basket + "/lines/" + line + "/pay", Map.of("later", true));
        assertThat(order(basket, "Stella Arp", email)).startsWith("/bookings/");
        return orders.newest(1).get(0);
    }

    private String link(Order order) {
        String text = letters.one(order.id(), "prove").text();
        Matcher link = Pattern.compile("/bookings/\\S+/prove\\?key=\\S+").matcher(text);
        assertThat(link.find()).isTrue();
        return link.group();
    }

    @Test
    void theBookingStandsOnceTheLinkIsOpenedAndAnswered() {
        Order order = onTheSpot(3, "stella@post.example");
        assertThat(order.status()).isEqualTo(OrderStatus.WAITING);
        assertThat(line(order).status()).isEqualTo(BookingStatus.HELD);
        assertThat(line(order).expires()).isEqualTo(order.placed().plus(Duration.ofHours(1)));
        assertThat(get("/bookings/" + order.token()).body())
                .contains("One more step, Stella Arp")
                .contains("stella@post.example")
                .doesNotContain("Put it in my calendar");
        String link = link(order);
        assertThat(get(link).body()).contains("Is this your booking?");
        assertThat(line(order).status())
                .as("a program that opens every link decides nothing")
                .isEqualTo(BookingStatus.HELD);
        String prove = link.substring(0, link.indexOf('?'));
        assertThat(post(prove, Map.of("key", "guessed")).statusCode()).isEqualTo(404);
        assertThat(get(prove).statusCode()).isEqualTo(404);
        confirm(order.id());
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(letters(order)).containsExactly("prove", "confirmation", "host");
        confirm(order.id());
        assertThat(letters(order)).as("a second time changes nothing").hasSize(3);
        booksAgree(order);
    }

    @Test
    void whoDoesNotOpenItKeepsThePlaceForAnHourAndWhoOpensItLateGetsItIfItIsFree() {
        Order order = onTheSpot(4, "invented@post.example");
        clock.moveAhead(Duration.ofMinutes(61));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(line(order).status()).isEqualTo(BookingStatus.LAPSED);
        confirm(order.id());
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
    }

    @Test
    void unpaidTransfersKeepAtMostTwoPlacesOfAnAddress() {
        gateways.keep(new GatewayAccount(
                GatewayAccount.Kind.TRANSFER,
                GatewayAccount.Mode.LIVE,
                true,
                Map.of("holder", "Quillmere Clay House", "iban", "DE02120300000000202051", "bank", "", "days", "14")));
        try {
            for (int i = 0; i < 2; i++) {
                assertThat(path(byTransfer(30 + i, "imke@post.example"))).startsWith("/bookings/");
            }
            assertThat(byTransfer(33, "Imke@post.example").body())
                    .contains("Two places of yours wait for a transfer already");
            assertThat(path(byTransfer(34, "other@post.example"))).startsWith("/bookings/");
            Order order = orders.newest(1).get(0);
            clock.moveAhead(Duration.ofHours(49));
            job.run();
            assertThat(now(order).status()).as("nobody confirmed the address").isEqualTo(OrderStatus.LAPSED);
        } finally {
            gateways.keep(gateways.account(GatewayAccount.Kind.TRANSFER, GatewayAccount.Mode.LIVE)
                    .switched(false));
        }
    }

    private HttpResponse<String> byTransfer(int daysAhead, String email) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        Map<String, Object> form = CheckoutPage.filled(get(basket + "/checkout").body(), "Imke Dahl", email);
        form.put("way", "transfer");
        return post(basket + "/checkout", form, FROM, somebody());
    }

    @Test
    void aSealOfACheckoutServesOnce() {
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 35).time().start());
        Map<String, Object> form =
                CheckoutPage.filled(get(basket + "/checkout").body(), "Jori Tamm", "jori@post.example");
        post(basket + "/checkout", form);
        long placed = jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single();
        long start = opening("wheel-hire", "60", 1, 36).time().start();
        post(
                "/offers/wheel-hire/keep?party=1&length=60&basket=" + basket.substring(8),
                Map.of("start", start),
                FROM,
                somebody());
        form.remove("shown");
        assertThat(post(basket + "/checkout", form).body()).contains("This page was open for a long time");
        assertThat(jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single())
                .isEqualTo(placed);
    }
}
