package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;

/** The dates of a course are one list, from which several are taken at once. */
class DatesTest extends OrdersTest {

    private static final String DATES = "/offers/wheel-evenings/dates?party=1";

    private Document page(String address) {
        HttpResponse<String> answer = get(address);
        assertThat(answer.statusCode()).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    private String sent(Document page, List<String> dates) {
        Element form = page.selectFirst("form[action*=/dates/keep]");
        clock.moveAhead(Duration.ofMinutes(1));
        return path(post(
                form.attr("action"),
                Map.of(
                        "date",
                        String.join(",", dates),
                        "seal",
                        form.selectFirst("[name=seal]").val())));
    }

    @Test
    void severalAreTakenAtOnceAndAreOneOrder() {
        Document page = page(DATES);
        Elements boxes = page.select("input[name=date]");
        assertThat(boxes).hasSizeGreaterThan(3);
        assertThat(page.select("ul.lines li").first().text()).contains("seats left");
        String basket = sent(page, List.of(boxes.get(0).val(), boxes.get(2).val()));
        assertThat(basket).startsWith("/basket/");
        get(pay(order(basket, "Wenke Farrow", "wenke@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        assertThat(order.lines())
                .extracting(l -> Long.toString(l.time().start()))
                .containsExactly(
                        boxes.get(0).val().split("-")[0], boxes.get(2).val().split("-")[0]);
    }

    @Test
    void nothingTickedAndNonsenseAreSaid() {
        Document page = page(DATES);
        assertThat(sent(page, List.of("x"))).contains("why=none");
        assertThat(get(DATES + "&why=none").body()).contains("Please tick the dates");
        String first = page.selectFirst("input[name=date]").val();
        assertThat(sent(page, List.of(first.split("-")[0] + "-1")))
                .as("it costs more than was shown")
                .contains("why=price");
        assertThat(sent(page, List.of("1-100"))).contains("why=taken");
        assertThat(get("/offers/private-lesson/dates").statusCode()).isEqualTo(404);
    }
}
