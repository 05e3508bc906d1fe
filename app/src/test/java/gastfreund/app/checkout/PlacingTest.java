package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Baskets and checkout over HTTP. */
class PlacingTest extends DemoHouseTest {

    @Test
    void whatIsWrongIsSaidAtItsFieldAndNothingTypedIsLost() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 10);
        String basket = keep("wheel-hire", "60", 1, entry.time().start());
        HttpResponse<String> page =
                post(basket + "/checkout", Map.of("name", "Jori <b>Tamm</b>", "email", "jori@", "phone", "12"));
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body())
                .contains("value=\"Jori &lt;b&gt;Tamm&lt;/b&gt;\"")
                .contains("value=\"jori@\"")
                .contains("Please write a mail address")
                .contains("at least six digits")
                .doesNotContain("Please tell us your name");
    }

    @Test
    void anExpiredLineIsNamedAndNothingIsOrdered() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 11);
        String basket = keep("wheel-hire", "60", 1, entry.time().start());
        Map<String, Object> form = CheckoutPage.filled(get(basket + "/checkout").body(), "Jori Tamm", "j@post.example");
        clock.moveAhead(Duration.ofMinutes(16));
        long before = count("orders");
        HttpResponse<String> placed = post(basket + "/checkout", form);
        assertThat(path(placed)).startsWith(basket).endsWith("?lost");
        assertThat(get(basket).body()).contains("The time ran out").contains("One click keeps one of these instead");
        assertThat(count("orders")).isEqualTo(before);
    }

    @Test
    void aPriceThatRoseSinceItWasShownIsNotTakenSilently() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 12);
        HttpResponse<String> kept = post(
                "/offers/wheel-hire/keep?party=1&length=60",
                Map.of("start", entry.time().start(), "price", 100));
        assertThat(path(kept)).contains("why=price");
        assertThat(get(path(kept)).body()).contains("its price has just changed");
    }

    @Test
    void aPlaceIsGivenBack() {
        Answer.Entry entry = opening("wheel-hire", "60", 4, 16);
        int before = entry.open().get(0).opening().left();
        String basket = keep("wheel-hire", "60", 4, entry.time().start());
        String page = get(basket).body();
        Matcher line = Pattern.compile("/lines/([^/\"]+)/release").matcher(page);
        assertThat(line.find()).isTrue();
        assertThat(path(post(basket + "/lines/" + line.group(1) + "/release", Map.of())))
                .endsWith("?released");
        assertThat(get(basket).body()).contains("There is nothing in it");
        assertThat(opening("wheel-hire", "60", 4, 16).open().get(0).opening().left())
                .isEqualTo(before);
    }

    @Test
    void startsThatAreNoneAreRefused() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 10);
        assertThat(keep("private-lesson", "60", 1, entry.time().start() + 7)).contains("gone=");
        assertThat(keep("private-lesson", "60", 1, 0)).contains("gone=");
    }

    @Test
    void whoDoesNotKnowTheTokenSeesNothing() {
        assertThat(get("/bookings/aaaaaaaaaaaaaaaaaaaaaa").statusCode()).isEqualTo(404);
        assertThat(get("/basket/aaaaaaaaaaaaaaaaaaaaaa").statusCode()).isEqualTo(404);
        assertThat(get("/offers/none").statusCode()).isEqualTo(404);
    }

    private long count(String table) {
        return jdbc.sql("SELECT count(*) FROM " + table).query(Long.class).single();
    }
}
