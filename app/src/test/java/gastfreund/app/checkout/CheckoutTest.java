package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a checkout asks, and whom it keeps out. */
class CheckoutTest extends DemoHouseTest {

    @Autowired
    private Orders orders;

    private String lesson(int daysAhead) {
        return keep(
                "private-lesson",
                "60",
                2,
                opening("private-lesson", "60", 2, daysAhead).time().start());
    }

    private Map<String, Object> filled(String basket) {
        return CheckoutPage.filled(get(basket + "/checkout").body(), "Lene Dorsch", "lene@post.example");
    }

    private HttpResponse<String> send(String basket, Map<String, Object> form) {
        return post(basket + "/checkout", form);
    }

    private static String answerField(Map<String, Object> form) {
        return form.keySet().stream()
                .filter(k -> k.startsWith("answer."))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void eachPersonIsAskedAndWhatIsMissingIsSaidThere() {
        String basket = lesson(21);
        Map<String, Object> form = filled(basket);
        String first = answerField(form);
        assertThat(first).contains(".1.before");
        form.remove(first);
        form.remove("agree");
        String page = send(basket, form).body();
        assertThat(page)
                .contains("id=\"" + first + "-error\"")
                .doesNotContain("id=\"" + first.replace(".1.before", ".2.before") + "-error\"")
                .contains("id=\"agree-rules-error\"")
                .contains("value=\"lene@post.example\"");
        assertThat(page)
                .containsPattern("name=\"" + first.replace(".1.before", ".2.before") + "\" value=\"None yet\" checked");
    }

    @Test
    void whatIsAnsweredIsKeptWithTheOrderAndCanBeChanged() {
        String basket = lesson(22);
        Map<String, Object> form = filled(basket);
        form.put(answerField(form), "Regularly");
        form.put("notes", "We bring our own aprons.");
        form.put("company", "Dorsch & Daughters");
        pay(send(basket, form).headers().firstValue("Location").orElseThrow(), "WORKS");
        Order order = orders.newest(1).get(0);
        OrderLine line = order.lines().get(0);
        assertThat(order.contact().company()).isEqualTo("Dorsch & Daughters");
        assertThat(orders.answersOf(line.booking()).get(0).value()).isEqualTo("Regularly");
        assertThat(jdbc.sql("SELECT wording FROM agreements WHERE order_id = ?")
                        .param(order.id())
                        .query(String.class)
                        .single())
                .startsWith("Clay is slippery");
        String details = get("/bookings/" + order.token() + "/details").body();
        assertThat(details).contains("We bring our own aprons.").containsPattern("value=\"Regularly\" checked");

        form.put(answerField(form), "A few times");
        form.put("notes", "");
        assertThat(path(post("/bookings/" + order.token() + "/details", form))).endsWith("?changed");
        assertThat(orders.answersOf(line.booking()).get(0).value()).isEqualTo("A few times");
        form.remove(answerField(form));
        assertThat(post("/bookings/" + order.token() + "/details", form).body()).contains("Please answer this.");
        assertThat(orders.answersOf(line.booking())).hasSize(3);
    }

    @Test
    void whatCostsSomethingElseThanWasShownIsNotOrdered() {
        String basket = lesson(28);
        post(basket + "/code", Map.of("code", "WELCOME5"));
        Map<String, Object> form = filled(basket);
        post(basket + "/code", Map.of("code", ""));
        long before = jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single();
        String page = send(basket, form).body();
        assertThat(page)
                .contains("What this costs has changed")
                .contains("value=\"Lene Dorsch\"")
                .doesNotContain("Something is still missing");
        assertThat(jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single())
                .isEqualTo(before);
        assertThat(send(basket, filled(basket)).headers().firstValue("Location").orElseThrow())
                .startsWith(STANDINS.address());
    }

    @Test
    void anAnswerThatIsNoneOfTheChoicesIsNone() {
        String basket = lesson(23);
        Map<String, Object> form = filled(basket);
        form.put(answerField(form), "All my life");
        assertThat(send(basket, form).body()).contains("Please answer this.");
    }

    @Test
    void withoutScriptsThePageMustHaveBeenOpenForAMoment() {
        String basket = lesson(24);
        Map<String, Object> form = filled(basket);
        form.put("proof", "");
        HttpResponse<String> soon = send(basket, form);
        assertThat(soon.body())
                .contains("That was very quick")
                .contains("value=\"Lene Dorsch\"")
                .contains(form.get("seal").toString());
        clock.moveAhead(Duration.ofSeconds(16));
        assertThat(send(basket, form).headers().firstValue("Location").orElseThrow())
                .startsWith(STANDINS.address());
    }

    @Test
    void programsStayOutside() {
        String basket = lesson(25);
        Map<String, Object> trapped = filled(basket);
        trapped.put("website", "https://pills.example");
        assertThat(send(basket, trapped).body()).contains("That was very quick");

        Map<String, Object> foreign = filled(lesson(26));
        Map<String, Object> mixed = filled(basket);
        mixed.put("seal", foreign.get("seal"));
        mixed.put("proof", foreign.get("proof"));
        assertThat(send(basket, mixed).body()).contains("This page was open for a long time");

        Map<String, Object> old = filled(basket);
        old.put("seal", "1" + old.get("seal"));
        assertThat(send(basket, old).body()).contains("This page was open for a long time");
    }

    @Test
    void theHousesTextsCanBeRead() {
        assertThat(get("/texts/rules").body())
                .contains("<h1 class=\"mb-6\">House rules</h1>")
                .contains("Children under ten");
        assertThat(get("/texts/none").statusCode()).isEqualTo(404);
    }
}
