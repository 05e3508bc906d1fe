package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** How long a place is kept, and what more than one costs. */
class HoldTest extends DemoHouseTest {

    @Autowired
    private BasketService baskets;

    private BasketLine line(String basketPath) {
        return baskets.lines(basketPath.substring("/basket/".length())).get(0);
    }

    private Instant moved(String basketPath, int daysAhead) {
        Answer.Entry to = opening("wheel-hire", "60", 1, daysAhead);
        String change = basketPath + "/lines/" + line(basketPath).id() + "/change?party=1&length=60";
        assertThat(path(post(change, Map.of("start", to.time().start())))).contains("?changed=");
        return line(basketPath).expires();
    }

    @Test
    void aHoldGetsNewTimeOnlyWhenItsTimeChangesAtMostTwiceAndNeverMoreThan45Minutes() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 14);
        String basket = keep("wheel-hire", "60", 1, entry.time().start());
        Instant first = line(basket).expires();
        String change = basket + "/lines/" + line(basket).id() + "/change?party=2&length=60";
        for (int i = 0; i < 5; i++) {
            clock.moveAhead(Duration.ofMinutes(1));
            post(change, Map.of("start", entry.time().start()));
            assertThat(line(basket).expires()).as("the same start").isEqualTo(first);
        }
        clock.moveAhead(Duration.ofMinutes(9));
        Instant second = moved(basket, 15);
        assertThat(second).isAfter(first);
        clock.moveAhead(Duration.ofMinutes(14));
        Instant third = moved(basket, 16);
        assertThat(third).isAfter(second).isBeforeOrEqualTo(first.plus(Duration.ofMinutes(30)));
        clock.moveAhead(Duration.ofMinutes(14));
        assertThat(moved(basket, 17)).as("not a third time").isEqualTo(third);
        clock.moveAhead(Duration.ofMinutes(3));
        Answer.Entry to = opening("wheel-hire", "60", 1, 18);
        assertThat(path(post(change, Map.of("start", to.time().start()))))
                .as("it is over")
                .contains("gone=");
    }

    @Test
    void theFirstPlaceCostsNothingAndTheNextAMomentsWork() {
        String from = somebody();
        String keep = "/offers/wheel-hire/keep?party=1&length=60";
        long first = opening("wheel-hire", "60", 1, 20).time().start();
        assertThat(path(post(keep, Map.of("start", first), FROM, from))).startsWith("/basket/");
        long second = opening("wheel-hire", "60", 1, 21).time().start();
        HttpResponse<String> without = post(keep, Map.of("start", second), FROM, from);
        assertThat(path(without)).contains("why=moment").contains("gone=" + second);
        String page = send(request(path(without), from)).body();
        assertThat(page).contains("you keep a place already");
        Map<String, Object> form = CheckoutPage.sealed(page, new HashMap<>(Map.of("start", second)));
        assertThat(form).containsKeys("seal", "proof");
        assertThat(path(post(keep, form, FROM, from))).startsWith("/basket/");
        form.put("start", opening("wheel-hire", "60", 1, 22).time().start());
        assertThat(path(post(keep, form, FROM, from)))
                .as("a seal and its proof serve once")
                .contains("why=moment");
        assertThat(path(post(keep, form, FROM, somebody())))
                .as("another visitor's first place")
                .startsWith("/basket/");
    }

    @Test
    void withoutScriptsAMomentsPatienceDoes() {
        String from = somebody();
        String keep = "/offers/wheel-hire/keep?party=1&length=60";
        post(keep, Map.of("start", opening("wheel-hire", "60", 1, 23).time().start()), FROM, from);
        long start = opening("wheel-hire", "60", 1, 24).time().start();
        String page =
                send(request("/offers/wheel-hire?party=1&length=60", from)).body();
        Map<String, Object> form = CheckoutPage.sealed(page, new HashMap<>(Map.of("start", start)));
        form.put("proof", "");
        String soon = path(post(keep, form, FROM, from));
        assertThat(soon).contains("why=moment").contains("sealed=");
        assertThat(send(request(soon, from)).body())
                .as("the same seal, so that the wait goes on")
                .contains((String) form.get("seal"));
        clock.moveAhead(Duration.ofSeconds(16));
        assertThat(path(post(keep, form, FROM, from))).startsWith("/basket/");
    }

    /** The time of day stands where scripts count down. */
    @Test
    void withoutScriptsItIsSaidUntilWhenAPlaceIsKept() {
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 25).time().start());
        Document page = Jsoup.parse(get(basket).body());
        assertThat(page.select("header .kept").text()).matches("Basket · 1 place kept until \\d?\\d:\\d\\d");
        assertThat(page.select("main .held").text()).matches("kept until \\d?\\d:\\d\\d");
        assertThat(page.select(".held [data-words]").attr("data-words")).isEqualTo("for {0}");
    }

    private HttpRequest.Builder request(String path, String from) {
        return HttpRequest.newBuilder(URI.create(address(path))).header(FROM, from);
    }
}
