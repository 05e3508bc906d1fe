package gastfreund.app.paying;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.bookings.BookingStatus;
import java.net.URI;
import java.net.http.HttpRequest;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What a gateway says is checked like any input: what makes no sense is an error of that payment alone. */
class GatewayAnswersTest extends OrdersTest {

    @Autowired
    private AllRounds job;

    @Autowired
    private PaymentService payments;

    private void says(String what) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(STANDINS.address() + "/gateway/control"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(what.isEmpty() ? "" : "telling=LOST&saying=" + what));
        assertThat(send(request).statusCode()).isEqualTo(302);
    }

    @AfterEach
    void backToUsual() {
        says("");
    }

    /** An order on its way to the gateway, and where its guest pays. */
    private record Going(Order order, String payAddress) {}

    private Going going(int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        String to = order(basket, "Hedda Moor", "hedda@post.example");
        return new Going(orders.newest(1).get(0), to);
    }

    @ParameterizedTest
    @ValueSource(strings = {"NULL", "NO_END", "FAR_END", "OTHER_HOST", "NONSENSE"})
    void whereTheAnswerMakesNoSenseThePlaceIsKeptAndTheGuestIsTold(String what) {
        says(what);
        Going going = going(16);
        assertThat(going.payAddress()).endsWith("?unreachable");
        assertThat(line(going.order()).status()).isEqualTo(BookingStatus.HELD);
        says("");
        String again = post("/bookings/" + going.order().token() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        assertThat(again).startsWith(STANDINS.address());
    }

    /** One payment of which the gateway says nonsense keeps no other order from its money, and none from its end. */
    @ParameterizedTest
    @ValueSource(strings = {"NULL", "NO_END", "NONSENSE"})
    void nonsenseOfOnePaymentKeepsNoOtherFromItsEnd(String what) {
        Going one = going(17);
        Going other = going(18);
        pay(other.payAddress(), "UNTOLD");
        says(what);
        clock.moveAhead(Duration.ofSeconds(30));
        job.run();
        assertThat(now(one.order()).status()).isEqualTo(OrderStatus.WAITING);
        assertThat(get("/bookings/" + one.order().token()).statusCode()).isEqualTo(200);
        says("");
        clock.moveAhead(Duration.ofMinutes(25));
        job.run();
        assertThat(now(one.order()).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(line(other.order()).status()).isEqualTo(BookingStatus.CONFIRMED);
    }

    @ParameterizedTest
    @ValueSource(strings = {"OTHER_AMOUNT", "OTHER_CURRENCY"})
    void anotherSumThanWasAskedForCountsAsNotPaidAndStandsInTheHostsList(String what) {
        Going going = going(19);
        pay(going.payAddress(), "UNTOLD");
        says(what);
        get("/bookings/" + going.order().token() + "/paid");
        assertThat(payment(going.order())).isEqualTo("failed 0 0 0");
        assertThat(line(going.order()).status()).isEqualTo(BookingStatus.HELD);
        assertThat(now(going.order()).paid().minor()).isZero();
        assertThat(payments.odd()).anySatisfy(p -> {
            assertThat(p.order()).isEqualTo(going.order().id());
            assertThat(p.oddity()).contains(what.equals("OTHER_AMOUNT") ? "EUR" : "ZZZ");
        });
        assertThat(get("/bookings/" + going.order().token()).body())
                .contains("Something is wrong with the payment")
                .doesNotContain("Nothing was charged");
        payments.odd().forEach(payments::seenTo);
        assertThat(payments.odd()).isEmpty();
    }

    @Test
    void anotherSumInTheFirstAnswerLeadsNobodyToPay() {
        says("OTHER_AMOUNT");
        Going going = going(20);
        assertThat(going.payAddress()).endsWith("?unreachable");
        assertThat(payments.odd()).anyMatch(p -> p.order() == going.order().id());
        payments.odd().forEach(payments::seenTo);
    }
}
