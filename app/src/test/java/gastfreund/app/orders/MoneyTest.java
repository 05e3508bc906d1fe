package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.AllRounds;
import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Money that comes at once, twice told, untold, late, too late and never; over HTTP with the real stand-in. */
class MoneyTest extends DemoHouseTest {

    @Autowired
    private AllRounds job;

    @Autowired
    private Orders orders;

    private String payAddress;

    /** Places an order for one opening and goes as far as the gateway's page. */
    private Order ordered(Answer.Entry entry, String email) {
        String basket = keep("wheel-hire", "60", 1, entry.time().start());
        payAddress = order(basket, "Wenke Farrow", email);
        assertThat(payAddress).startsWith(STANDINS.address() + "/pay/");
        return orders.newest(1).get(0);
    }

    private Order now(Order order) {
        return orders.byToken(order.token()).orElseThrow();
    }

    private List<String> states(Order order) {
        return jdbc.sql("SELECT state FROM payments WHERE order_id = ? ORDER BY rowid")
                .param(order.id())
                .query(String.class)
                .list();
    }

    private int letters(Order order, String kind) {
        return jdbc.sql("SELECT count(*) FROM outbox WHERE order_id = ? AND kind = ?")
                .params(order.id(), kind)
                .query(Integer.class)
                .single();
    }

    @Test
    void aNotificationAloneConfirms() {
        Order order = ordered(opening("wheel-hire", "60", 1, 5), "a@post.example");
        pay(payAddress, "WORKS");
        await().untilAsserted(() -> assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED));
        assertThat(states(order)).containsExactly("captured");
        assertThat(letters(order, "confirmation")).isEqualTo(1);
    }

    @Test
    void toldTwiceItCountsOnce() {
        Order order = ordered(opening("wheel-hire", "60", 1, 6), "b@post.example");
        get(pay(payAddress, "TWICE"));
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        await().atMost(Duration.ofSeconds(20))
                .untilAsserted(() -> assertThat(notificationsOf(order)).isEqualTo(2));
        assertThat(states(order)).containsExactly("captured");
        assertThat(letters(order, "confirmation")).isEqualTo(1);
        assertThat(letters(order, "host")).isEqualTo(1);
    }

    /** How many notifications the gateway says were taken for an order's payment. */
    private int notificationsOf(Order order) {
        String reference = jdbc.sql("SELECT reference FROM payments WHERE order_id = ?")
                .param(order.id())
                .query(String.class)
                .single();
        return Integer.parseInt(
                STANDINS.page("/gateway/notifications/" + reference).trim());
    }

    @Test
    void whereNobodyIsToldTheOrderAsks() {
        Order order = ordered(opening("wheel-hire", "60", 1, 7), "c@post.example");
        pay(payAddress, "UNTOLD");
        assertThat(now(order).status()).isEqualTo(OrderStatus.WAITING);
        clock.moveAhead(Duration.ofSeconds(30));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        assertThat(letters(order, "confirmation")).isEqualTo(1);
    }

    @Test
    void whatIsNeverPaidLapsesAndCannotBePaidAnyMore() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 8);
        Order order = ordered(entry, "d@post.example");
        clock.moveAhead(Duration.ofMinutes(21));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(states(order)).containsExactly("voided");
        assertThat(STANDINS.page(payAddress.substring(STANDINS.address().length())))
                .contains("This payment is over");
        assertThat(get("/bookings/" + order.token()).body())
                .contains("Nothing was charged")
                .contains("These are the nearest that are free");
    }

    @Test
    void lateMoneyTakesThePlaceAgainWhileItIsFree() {
        Order order = ordered(opening("wheel-hire", "60", 1, 9), "e@post.example");
        clock.moveAhead(Duration.ofMinutes(21));
        get(pay(payAddress, "UNTOLD"));
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        assertThat(letters(order, "confirmation")).isEqualTo(1);
    }

    @Test
    void moneyThatComesTooLateGoesBackByItself() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 13);
        Order order = ordered(entry, "f@post.example");
        String lateAddress = payAddress;
        clock.moveAhead(Duration.ofMinutes(21));
        int left = entry.open().get(0).opening().left();
        for (int i = 0; i < left; i++) {
            assertThat(keep("wheel-hire", "60", 1, entry.time().start())).startsWith("/basket/");
        }
        get(pay(lateAddress, "UNTOLD"));
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        await().untilAsserted(() -> assertThat(states(order)).containsExactly("refunded"));
        assertThat(letters(order, "too-late")).isEqualTo(1);
        assertThat(get("/bookings/" + order.token()).body()).contains("It goes back to you in full");
    }

    @Test
    void aRefusedCardChargesNothingAndAnotherMayFollow() {
        Order order = ordered(opening("wheel-hire", "60", 1, 14), "g@post.example");
        get(pay(payAddress, "REFUSED"));
        assertThat(get("/bookings/" + order.token()).body())
                .contains("The card was refused")
                .contains("Nothing was charged");
        Instant kept = now(order).lines().get(0).expires();
        clock.moveAhead(Duration.ofMinutes(5));
        String again = post("/bookings/" + order.token() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        assertThat(now(order).lines().get(0).expires())
                .as("the place is kept no longer for it")
                .isEqualTo(kept);
        get(pay(again, "WORKS"));
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        assertThat(states(order)).containsExactly("failed", "captured");
    }

    @Test
    void theConfirmationReachesTheMailServerWithBothPartsAndTheCalendar() {
        Order order = ordered(opening("wheel-hire", "60", 1, 15), "ottilie@post.example");
        get(pay(payAddress, "WORKS"));
        await().untilAsserted(() -> assertThat(STANDINS.page("/mail")).contains("ottilie@post.example"));
        String list = STANDINS.page("/mail");
        int at = list.indexOf("ottilie@post.example");
        String number =
                list.substring(list.lastIndexOf("/mail/", at) + 6, list.indexOf('"', list.lastIndexOf("/mail/", at)));
        assertThat(STANDINS.page("/mail/" + number)).contains("booking.ics").contains("/bookings/" + order.token());
        assertThat(STANDINS.page("/mail/" + number + "/html"))
                .contains("your places are booked")
                .contains(order.token());
        assertThat(STANDINS.page("/mail/" + number + "/attachments/0"))
                .contains("BEGIN:VCALENDAR", "BEGIN:VEVENT", "SUMMARY:Wheel hire");
        assertThat(get("/bookings/" + order.token() + "/calendar.ics").body()).contains("BEGIN:VEVENT");
    }
}
