package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.documents.Document;
import gastfreund.app.documents.Documents;
import gastfreund.app.endings.Endings;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.PrepaidService;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ArrayNode;

/** Goods are sold without a time, with bookings in one basket, and never more of them than there are. */
class WaresTest extends OrdersTest {

    private static final int GUESTS = 8;

    @Autowired
    private PrepaidService prepaid;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Documents documents;

    @Autowired
    private Endings endings;

    @Autowired
    private AllRounds job;

    private String ware(int stock) {
        String id = "ware-" + stock + "-" + Long.toString(System.nanoTime(), 36);
        edits.change("house", "1", house -> ((ArrayNode) house.at("/extra/goods"))
                .addObject()
                .put("id", id)
                .put("title", "A mug")
                .put("price", 1900)
                .put("stock", stock)
                .put("taxPercent", "19"));
        return id;
    }

    private String put(String ware, int count) {
        return path(post("/goods/" + ware + "/keep", Map.of("count", count)));
    }

    @Test
    void aBookingAndGoodsAreBoughtTogetherOnOneReceiptAndTakenBack() {
        String ware = ware(5);
        String basket = keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, 50).time().start());
        String token = basket.substring("/basket/".length());
        post("/goods/" + ware + "/keep?basket=" + token, Map.of("count", 2));
        assertThat(get(basket).body()).contains("2 × A mug", "38.00", "A private lesson");
        get(pay(order(basket, "Rika Thorn", "rika.mug@post.example"), "WORKS"));
        await().untilAsserted(() -> assertThat(orders.newest(1).get(0).status()).isEqualTo(OrderStatus.PLACED));
        Order order = orders.newest(1).get(0);
        assertThat(letters(order)).containsExactly("confirmation", "host", "issued", "host-issued");
        assertThat(letters.ofOrder(order.id()))
                .anySatisfy(l -> assertThat(l.text()).contains("2 × A mug: You get it"));
        assertThat(documents.ofOrder(order)).singleElement().satisfies(d -> assertThat(d.items())
                .extracting(Document.Item::title)
                .contains("2 × A mug"));
        assertThat(get("/bookings/" + order.token()).body()).contains("2 × A mug", "You get it at the house");
        assertThat(prepaid.stockOf(ware)).isEqualTo(new PrepaidService.Stock(2, 0));
        Goods goods = orders.goods(order).get(0);
        endings.takeBack(order, goods.id(), HOST);
        assertThat(prepaid.stockOf(ware).taken()).isZero();
        assertThat(endings.takeBack(order, goods.id(), HOST)).isEqualTo(Outcome.CHANGED);
        assertThat(documents.ofOrder(order)).extracting(Document::kind).contains(Document.Kind.CREDIT_NOTE);
    }

    @Test
    void ofManyWhoWantTheLastOneOneGetsIt() throws Exception {
        String ware = ware(1);
        List<String> baskets = new ArrayList<>();
        List<Map<String, Object>> forms = new ArrayList<>();
        for (int i = 0; i < GUESTS; i++) {
            String basket = put(ware, 1);
            baskets.add(basket);
            forms.add(
                    CheckoutPage.filled(get(basket + "/checkout").body(), "Guest " + i, "guest" + i + "@rush.example"));
        }
        ExecutorService guests = Executors.newFixedThreadPool(GUESTS);
        CountDownLatch gate = new CountDownLatch(1);
        List<Future<String>> wishes = IntStream.range(0, GUESTS)
                .mapToObj(i -> guests.submit(() -> {
                    gate.await();
                    return post(baskets.get(i) + "/checkout", forms.get(i), FROM, somebody())
                            .headers()
                            .firstValue("Location")
                            .orElse("");
                }))
                .toList();
        gate.countDown();
        List<String> outcomes = new ArrayList<>();
        for (Future<String> wish : wishes) {
            outcomes.add(wish.get());
        }
        guests.shutdown();
        assertThat(outcomes).filteredOn(o -> o.endsWith("?soldOut")).hasSize(GUESTS - 1);
        assertThat(prepaid.stockOf(ware)).isEqualTo(new PrepaidService.Stock(0, 1));
        assertThat(get("/goods/" + ware).body()).contains("It is sold out.").doesNotContain("Put it into");
        String told = outcomes.stream()
                .filter(o -> o.endsWith("?soldOut"))
                .findFirst()
                .orElseThrow();
        assertThat(get(told).body()).contains("not so much any more", "nothing in it");
    }

    @Test
    void whatWaitedForItsMoneyInVainIsThereForOthersAgain() {
        String ware = ware(1);
        String late = order(put(ware, 1), "Late Comer", "late@post.example");
        Order first = orders.newest(1).get(0);
        clock.moveAhead(Duration.ofMinutes(45));
        job.run();
        assertThat(now(first).status()).isEqualTo(OrderStatus.LAPSED);
        get(pay(order(put(ware, 1), "Quick One", "quick@post.example"), "WORKS"));
        assertThat(prepaid.stockOf(ware)).isEqualTo(new PrepaidService.Stock(1, 0));
        pay(late, "WORKS");
        job.run();
        assertThat(payment(first)).as("nothing is charged").isEqualTo("voided 0 0 0");
        assertThat(prepaid.stockOf(ware)).isEqualTo(new PrepaidService.Stock(1, 0));
        assertThat(orders.goods(first).get(0).isIssued()).isFalse();
    }

    @Test
    void moreThanThereAreOrThanOneGuestCanHaveIsNotPut() {
        String ware = ware(3);
        assertThat(put(ware, 4)).isEqualTo("/goods/" + ware);
        assertThat(put(ware, 0)).isEqualTo("/goods/" + ware);
        assertThat(path(post("/goods/" + ware + "/keep", Map.of("count", "two"))))
                .isEqualTo("/goods/" + ware);
        assertThat(get("/goods/" + ware).body()).contains("3 left").doesNotContain(">4</option>");
        assertThat(get("/goods/nothing").statusCode()).isEqualTo(404);
    }

    @Test
    void nothingIsSoldWhileTheHouseIsClosed() {
        String ware = ware(3);
        edits.change("house", "1", house -> house.withObject("/extra").put("opening", "nobody"));
        assertThat(path(get("/goods/" + ware))).isEqualTo("/closed");
        assertThat(put(ware, 1)).isEqualTo("/closed");
        edits.change("house", "1", house -> house.withObject("/extra").remove("opening"));
        assertThat(get("/goods/" + ware).statusCode()).isEqualTo(200);
    }
}
