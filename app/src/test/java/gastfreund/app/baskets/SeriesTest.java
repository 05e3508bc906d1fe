package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.openings.Answer;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.LongStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A guest books the same time again: date by date as it is free, kept together, and one order. */
class SeriesTest extends OrdersTest {

    @Autowired
    private CatalogueEdits edits;

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private static String address(Answer.Entry entry, String more) {
        return "/offers/private-lesson/series?party=1&length=60&start="
                + entry.time().start() + more;
    }

    private Document page(String address) {
        HttpResponse<String> answer = get(address);
        assertThat(answer.statusCode()).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    /** Sends the form of the page as a guest without scripts does, who is asked for a moment. */
    private String kept(Document page) {
        Element form = page.selectFirst("form[action*=/series/keep]");
        clock.moveAhead(Duration.ofMinutes(1));
        return path(post(
                form.attr("action"),
                Map.of(
                        "price", form.selectFirst("[name=price]").val(),
                        "seal", form.selectFirst("[name=seal]").val())));
    }

    @Test
    void sixWeeksAreKeptTogetherAndAreOneOrder() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 14);
        Document page = page(address(entry, "&times=3"));
        assertThat(page.select("ol.lines li")).hasSize(3);
        String sum = page.selectFirst("p[aria-live]").text();
        String basket = kept(page);
        assertThat(basket).startsWith("/basket/");
        int free = page.select("form[action*=/series/keep] button").text().contains("3") ? 3 : 2;
        assertThat(sum).contains(free + " dates");
        get(pay(order(basket, "Wenke Farrow", "wenke@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        assertThat(order.lines()).hasSize(free).allMatch(l -> l.status() == BookingStatus.CONFIRMED);
        assertThat(order.lines())
                .extracting(l -> l.time().startInstant().atZone(BERLIN).toLocalTime())
                .containsOnly(entry.time().startInstant().atZone(BERLIN).toLocalTime());
        assertThat(order.lines()).extracting(OrderLine::booking).doesNotHaveDuplicates();
        booksAgree(order);
    }

    @Test
    void allThatIsAheadIsCancelledAtOnceForWhatWasSaid() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 13);
        String basket = kept(page(address(entry, "&times=3")));
        get(pay(order(basket, "Wenke Farrow", "wenke@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        String own = "/bookings/" + order.token();
        assertThat(get(own).body()).contains("Cancel all that is ahead");
        // Two days before the first one: its deposit is kept, those of the others come back.
        clock.moveAhead(Duration.between(
                clock.instant(), line(order).time().startInstant().minus(Duration.ofHours(20))));
        Document question = page(own + "/cancel");
        long refund = Long.parseLong(question.selectFirst("[name=refund]").val());
        long deposits = order.paid().minor();
        assertThat(refund).isPositive().isLessThan(deposits);
        assertThat(path(post(own + "/cancel", Map.of("refund", Long.toString(deposits)))))
                .contains("/cancel?changed");
        assertThat(path(post(own + "/cancel", Map.of("refund", Long.toString(refund)))))
                .endsWith("?cancelled");
        assertThat(now(order).lines()).allMatch(l -> l.status() == BookingStatus.CANCELLED);
        assertThat(letters(order).stream().filter("cancelled"::equals)).hasSize(1);
        await().untilAsserted(() -> assertThat(payment(order)).endsWith(Long.toString(refund)));
        ledgersAgree(order);
        assertThat(get(own).body()).doesNotContain("Cancel all that is ahead");
        assertThat(path(get(own + "/cancel"))).isEqualTo(own);
    }

    private static final long WEEK = 7 * 24 * 60;

    private List<Long> starts(Order order) {
        return now(order).lines().stream().map(l -> l.time().start()).toList();
    }

    private Order series(int daysAhead) {
        Answer.Entry entry = opening("private-lesson", "60", 1, daysAhead);
        get(pay(order(kept(page(address(entry, "&times=3"))), "Wenke Farrow", "wenke@post.example"), "WORKS"));
        return orders.newest(1).get(0);
    }

    private static String later(Order order, long minutes) {
        OrderLine first = order.lines().get(0);
        return "/bookings/" + order.token() + "/lines/" + first.booking() + "/move/all/to?start="
                + (first.time().start() + minutes);
    }

    /** Presses the button of the page that says what a move would do. */
    private String moved(Document question, Map<String, String> instead) {
        Element form = question.selectFirst("main form[method=post]");
        Map<String, Object> fields = new HashMap<>();
        form.select("input[name]").forEach(i -> fields.put(i.attr("name"), i.val()));
        fields.putAll(instead);
        return path(post(form.attr("action"), fields));
    }

    @Test
    void allThatFollowMoveAlongEachMakingRoomForTheOneBefore() {
        Order order = series(8);
        List<Long> before = starts(order);
        String move = later(order, WEEK).replaceAll("/all/to.*", "");
        Document times = page(page(move).selectFirst("main a[href$=/move/all]").attr("href"));
        assertThat(times.selectFirst("h1").text()).isEqualTo("Move " + before.size() + " bookings together");
        Document question = page(later(order, WEEK));
        assertThat(question.select("article ul li")).hasSize(before.size() - 1);
        assertThat(question.select("article ul li")).noneMatch(li -> li.text().contains("stays"));
        assertThat(moved(question, Map.of("shown", "1 1 1")))
                .as("another price than was shown")
                .contains("?gone");
        assertThat(starts(order)).isEqualTo(before);
        assertThat(moved(question, Map.of())).endsWith("?moved");
        assertThat(starts(order)).isEqualTo(before.stream().map(s -> s + WEEK).toList());
        assertThat(letters(order).stream().filter("moved"::equals)).hasSize(1);
        String letter = letters.one(order.id(), "moved").text();
        assertThat(now(order).lines()).allSatisfy(l -> assertThat(letter)
                .contains(DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH)
                        .format(l.time().startInstant().atZone(BERLIN))));
        booksAgree(order);
        ledgersAgree(order);
        assertThat(moved(question, Map.of())).as("sent twice").contains("?gone");
        assertThat(post("/bookings/" + order.token() + "/lines/nothing/move/all", Map.of("start", "1"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatCannotBeHadThenStays() {
        Order order = series(9);
        List<Long> before = starts(order);
        long shift = LongStream.iterate(60, m -> m + 30)
                .limit(12)
                .filter(m -> {
                    HttpResponse<String> all = get(later(order, m));
                    return all.statusCode() == 200 && !all.body().contains("and stays");
                })
                .findFirst()
                .orElseThrow();
        // All who give lessons are taken where the last would go.
        for (int i = 0; i < 3; i++) {
            keep("private-lesson", "60", 1, before.get(2) + shift);
        }
        Document question = page(later(order, shift));
        assertThat(question.select("article ul li").get(0).text()).doesNotContain("stays");
        assertThat(question.select("article ul li").get(1).text()).contains("stays");
        assertThat(question.text()).contains("What cannot stays where it is.");
        assertThat(moved(question, Map.of())).endsWith("?moved");
        assertThat(starts(order)).containsExactly(before.get(0) + shift, before.get(1) + shift, before.get(2));
        booksAgree(order);
    }

    @Test
    void aDateIsLeftOutAndATakenOneGetsAnotherTime() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 21);
        long next = entry.time().start() + 7 * 24 * 60;
        // All who give lessons then are taken a week later.
        for (int i = 0; i < 3; i++) {
            post("/offers/private-lesson/keep?party=1&length=60", Map.of("start", next));
        }
        Document page = page(address(entry, "&times=3"));
        Element taken = page.select("ol.lines li").get(1);
        if (taken.select("a.chip").isEmpty()) {
            assertThat(taken.text()).contains("leave it out");
        } else {
            Document picked = page(taken.selectFirst("a.chip").attr("href"));
            Element row = picked.select("ol.lines li").get(1);
            assertThat(row.text()).contains("not at another time after all");
        }
        String out = page.select("ol.lines li")
                .get(0)
                .selectFirst("a[data-panel^=out-]")
                .attr("href");
        Document without = page(out);
        assertThat(without.select("ol.lines li").get(0).text()).contains("take it after all");
        assertThat(price(without)).isLessThan(price(page));
    }

    private static long price(Document page) {
        return Long.parseLong(page.selectFirst("[name=price]").val());
    }

    @Test
    void whatHasChangedMeanwhileIsSaidAndNothingIsKept() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 35);
        Document page = page(address(entry, "&times=2"));
        Element form = page.selectFirst("form[action*=/series/keep]");
        clock.moveAhead(Duration.ofMinutes(1));
        String back = path(post(
                form.attr("action"),
                Map.of("price", "1", "seal", form.selectFirst("[name=seal]").val())));
        assertThat(back).contains("/series?").contains("why=price");
        assertThat(get(back).body()).contains("Something has changed meanwhile");
        assertThat(path(post(form.attr("action"), Map.of("price", Long.toString(price(page))))))
                .as("without the moment that so many places cost")
                .contains("why=moment");
    }

    @Test
    void whereThePriceIsAgreedWithEachGuestNoneIsNamed() {
        Answer.Entry entry = opening("glaze-call", "25", 1, 6);
        edits.change("offers", "glaze-call", offer -> offer.withObject("/extra").put("agreement", true));
        String page = page("/offers/glaze-call/series?times=2&start="
                        + entry.time().start())
                .text();
        edits.change("offers", "glaze-call", offer -> offer.withObject("/extra").remove("agreement"));
        assertThat(page)
                .contains("by agreement", "at a price that we agree with you")
                .doesNotContain("€");
    }

    @Test
    void nonsenseLeadsToTheOffer() {
        for (String odd : List.of("", "start=soon", "start=99999999999999")) {
            assertThat(path(get("/offers/private-lesson/series?" + odd))).startsWith("/offers/private-lesson?");
        }
        assertThat(get("/offers/none/series?start=1").statusCode()).isEqualTo(404);
        assertThat(get("/offers/private-lesson/series?start=1&times=-5&every=99&instead=x&out=y")
                        .statusCode())
                .isEqualTo(200);
    }
}
