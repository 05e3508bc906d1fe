package gastfreund.app.bookingpage;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a guest is told cancelling would cost is what it costs then. */
class CancelLadderTest extends OrdersTest {

    @Autowired
    private Endings endings;

    private Elements steps(String page) {
        Document document = Jsoup.parse(page);
        assertThat(document.select(".cancelling h3").text()).isEqualTo("What cancelling costs");
        return document.select(".cancelling li");
    }

    @Test
    void theBookingPageSaysEachStepAsItComes() {
        Order order = paid("private-lesson", "60", 27, "WORKS");
        Elements steps = steps(get("/bookings/" + order.token()).body());
        assertThat(steps).hasSizeGreaterThan(1);
        assertThat(steps.first().text()).contains("all of it comes back", "15.60");
        Instant start = line(order).time().startInstant();
        String now = "";
        for (int hour = 27 * 24; hour >= 1; hour -= 5) {
            Instant at = start.minus(Duration.ofHours(hour)).plusSeconds(420);
            if (at.isAfter(clock.instant())) {
                clock.moveAhead(Duration.between(clock.instant(), at));
                String said =
                        steps(get("/bookings/" + order.token()).body()).first().text();
                Money back = endings.byTheTerms(line(order)).refund();
                String amount = new BigDecimal(back.minor()).movePointLeft(2).toPlainString();
                assertThat(said).as("%d hours before", hour).contains(back.isZero() ? "nothing comes back" : amount);
                now = said;
            }
        }
        assertThat(now).contains("until it begins");
        clock.moveAhead(Duration.between(clock.instant(), start).plusMinutes(1));
        assertThat(get("/bookings/" + order.token()).body()).doesNotContain("What cancelling costs");
    }

    @Test
    void theCheckoutSaysItBeforeAnythingIsOwed() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 28);
        String basket = keep("private-lesson", "60", 1, entry.time().start());
        Elements steps = steps(get(basket + "/checkout").body());
        assertThat(steps).hasSizeGreaterThan(1);
        assertThat(steps.last().text()).contains("until it begins", "31.20 € are kept, 20.80 € come back");
    }
}
