package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Whoever needs more time gets it once, without losing what they typed. */
class LongerTest extends DemoHouseTest {

    @AfterEach
    void backToNow() {
        clock.reset();
    }

    private String kept(int daysAhead) {
        return keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, daysAhead).time().start());
    }

    private Instant until(String basket) {
        return Instant.ofEpochSecond(jdbc.sql("SELECT max(expires_at) FROM bookings WHERE basket = ?")
                .param(basket.substring("/basket/".length()))
                .query(Long.class)
                .single());
    }

    private Document page(String path) {
        return Jsoup.parse(get(path).body());
    }

    @Test
    void timeBeginsAnewOnce() {
        String basket = kept(9);
        Instant first = until(basket);
        clock.moveAhead(Duration.ofMinutes(10));
        assertThat(page(basket).select("[name=longer]")).hasSize(1);
        assertThat(path(post(basket + "/longer", Map.of()))).endsWith("?longer");
        assertThat(Duration.between(first, until(basket))).isBetween(Duration.ofMinutes(9), Duration.ofMinutes(11));
        assertThat(page(basket + "?longer").text()).contains("has its time anew");
        assertThat(page(basket).select("[name=longer]")).isEmpty();
        Instant second = until(basket);
        clock.moveAhead(Duration.ofMinutes(10));
        post(basket + "/longer", Map.of());
        assertThat(until(basket)).isEqualTo(second);
    }

    @Test
    void whatIsOverIsNotGivenBack() {
        String basket = kept(11);
        Instant first = until(basket);
        clock.moveAhead(Duration.ofMinutes(16));
        post(basket + "/longer", Map.of());
        assertThat(until(basket)).isEqualTo(first);
    }

    @Test
    void atCheckoutWhatWasTypedStaysAndIsNotJudged() {
        String basket = kept(13);
        clock.moveAhead(Duration.ofMinutes(12));
        Map<String, Object> typed = new HashMap<>(Map.of("name", "Sunniva", "email", "not yet", "longer", "true"));
        Document page = Jsoup.parse(post(basket + "/checkout", typed).body());
        assertThat(page.selectFirst("[name=name]").val()).isEqualTo("Sunniva");
        assertThat(page.selectFirst("[name=email]").val()).isEqualTo("not yet");
        assertThat(page.select(".error")).isEmpty();
        assertThat(page.text()).contains("has its time anew");
        assertThat(page.select("[name=longer]")).isEmpty();
        assertThat(until(basket)).isAfter(clock.instant().plus(Duration.ofMinutes(14)));
    }
}
