package gastfreund.app.paying;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.Orders;
import gastfreund.app.payments.PaymentService;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Guests who pay with a token on the house's own page. */
class TokenTest extends DemoHouseTest {

    @Autowired
    private Orders orders;

    @Autowired
    private PaymentService payments;

    @Autowired
    private AllRounds rounds;

    private HostBrowser host;

    @BeforeEach
    void switchOn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        HttpResponse<String> kept = host.post(
                "/desk/ways/wallet/practice",
                Map.of("url", STANDINS.address(), "key", "practice-key", "enabled", "true"));
        assertThat(kept.statusCode()).isEqualTo(302);
    }

    /** The path of the page on which the token is typed. */
    private String ordered(int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        Map<String, Object> form =
                new HashMap<>(CheckoutPage.filled(get(basket + "/checkout").body(), "Tove Lind", "tove@post.example"));
        form.put("way", "practice-wallet");
        return path(post(basket + "/checkout", form));
    }

    private Order order() {
        return orders.newest(1).get(0);
    }

    @Test
    void aTokenPaysAndTheBookingStands() {
        String page = ordered(3);
        assertThat(get(page).body()).contains("18.00", "Token of your wallet");
        assertThat(post(page, Map.of("token", " ")).body()).contains("Please type the token");
        HttpResponse<String> refused = post(page, Map.of("token", "EMPTY"));
        assertThat(refused.body()).contains("there is too little in it");
        assertThat(order().status()).isEqualTo(OrderStatus.WAITING);
        String back = path(post(page, Map.of("token", "WORKS")));
        get(back);
        assertThat(order().status()).isEqualTo(OrderStatus.PLACED);
        assertThat(order().balance().isZero()).isTrue();
        assertThat(payments.ofOrder(order().id())).singleElement().satisfies(p -> {
            assertThat(p.gateway()).isEqualTo("practice-wallet");
            assertThat(p.isPaid()).isTrue();
        });
        assertThat(jdbc.sql("SELECT count(*) FROM journal WHERE why LIKE '%WORKS%'")
                        .query(Long.class)
                        .single())
                .as("the token is kept nowhere")
                .isZero();
        assertThat(path(get(page))).isEqualTo(back);
    }

    @Test
    void anOutcomeThatNobodyTellsIsAskedFor() {
        String page = ordered(4);
        post(page, Map.of("token", "LATER"));
        assertThat(order().status()).isEqualTo(OrderStatus.WAITING);
        clock.moveAhead(java.time.Duration.ofMinutes(2));
        rounds.run();
        rounds.run();
        rounds.run();
        assertThat(order().status()).isEqualTo(OrderStatus.PLACED);
    }

    @Test
    void threeRefusalsAreTheEndOfATryAndAnotherCanBegin() {
        String page = ordered(5);
        post(page, Map.of("token", "EMPTY"));
        post(page, Map.of("token", "EMPTY"));
        HttpResponse<String> last = post(page, Map.of("token", "EMPTY"));
        assertThat(last.statusCode()).isEqualTo(302);
        String order = "/bookings/" + order().token();
        String again = path(post(order + "/pay", Map.of("way", "practice-wallet")));
        assertThat(again).contains("/tokens/").isNotEqualTo(page);
        post(again, Map.of("token", "WORKS"));
        get(order + "/paid");
        assertThat(order().status()).isEqualTo(OrderStatus.PLACED);
        assertThat(get("/payments/practice-wallet/tokens/nothing").statusCode()).isEqualTo(404);
    }
}
