package gastfreund.app.paying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.net.URI;
import java.net.http.HttpRequest;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What becomes of orders while the gateway misbehaves: told late, twice, out of order or not at all; refused; down. */
class MisbehaviourTest extends OrdersTest {

    @Autowired
    private Endings endings;

    private void control(String form) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(STANDINS.address() + "/gateway/control"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form));
        assertThat(send(request).statusCode()).isEqualTo(302);
    }

    @AfterEach
    void backToUsual() {
        control("");
    }

    /** Pays and does not come back, so that nobody asks the gateway: only the notification tells. */
    private Order paidWithoutComingBack(int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        pay(order(basket, "Hedda Moor", "hedda@post.example"), "WORKS");
        return orders.newest(1).get(0);
    }

    private int taken(Order order) {
        String reference = jdbc.sql("SELECT reference FROM payments WHERE order_id = ?")
                .param(order.id())
                .query(String.class)
                .single();
        return Integer.parseInt(STANDINS.page("/gateway/notifications/" + reference));
    }

    @ParameterizedTest
    @ValueSource(strings = {"USUAL 1", "LATE 1", "TWICE 2", "OUT_OF_ORDER 2"})
    void howeverItIsToldTheBookingStandsOnce(String telling) {
        control("telling=" + telling.replaceAll(" .*", ""));
        Order order = paidWithoutComingBack(35);
        int told = Integer.parseInt(telling.replaceAll(".* ", ""));
        await().untilAsserted(() -> assertThat(taken(order)).isEqualTo(told));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(payment(order)).startsWith("captured");
        assertThat(letters(order)).containsExactly("confirmation", "host");
        ledgersAgree(order);
    }

    @Test
    void whatNobodyToldIsAskedFor() {
        control("telling=LOST");
        Order order = paidWithoutComingBack(36);
        assertThat(now(order).status()).isEqualTo(OrderStatus.WAITING);
        get("/bookings/" + order.token() + "/paid");
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
    }

    @Test
    void aRefusalSaysWhyAtTheDesk() {
        control("refusal=The+card+has+expired.");
        Order order = paidWithoutComingBack(37);
        await().untilAsserted(() -> assertThat(payment(order)).startsWith("failed"));
        assertThat(jdbc.sql("SELECT reason FROM payments WHERE order_id = ?")
                        .param(order.id())
                        .query(String.class)
                        .single())
                .isEqualTo("The card has expired.");
        assertThat(get("/bookings/" + order.token()).body())
                .contains("The card was refused")
                .contains("Nothing was charged");
    }

    @Test
    void aGatewayThatIsDownIsAskedAgainAndNothingIsDoneTwice() {
        Order order = paid("wheel-hire", "60", 38, "WORKS");
        control("down-refund=2");
        Money half = Money.ofMinor(line(order).paid().minor() / 2);
        endings.refund(order, line(order).booking(), half, line(order).paid(), "", HOST);
        await().atMost(Duration.ofSeconds(40)).untilAsserted(() -> {
            clock.moveAhead(Duration.ofSeconds(5));
            assertThat(payment(order)).endsWith(" 0 " + half.minor());
        });
        ledgersAgree(order);
    }

    @Test
    void whereNothingCanBePaidThePlaceIsStillKept() {
        control("down-any=1");
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 39).time().start());
        String to = order(basket, "Hedda Moor", "hedda@post.example");
        assertThat(to).endsWith("?unreachable");
        Order order = orders.newest(1).get(0);
        assertThat(line(order).status()).isEqualTo(BookingStatus.HELD);
        String again = post("/bookings/" + order.token() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(again, "WORKS"));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
    }
}
