package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Of add-ons that are so many only no more are sold, whoever asks at once; what is given back is there again. */
class AddOnStockTest extends DemoHouseTest {

    private static final int GUESTS = 6;
    private static final String HIRE = "/offers/wheel-hire";

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private TransactionTemplate transaction;

    private long start;

    @BeforeEach
    void threeBagsAndFiveAprons() {
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE bookings SET status = 'cancelled' WHERE offer = ?")
                .param("wheel-hire")
                .update());
        edits.change("offers", "wheel-hire", offer -> {
            ObjectNode stock = ((ObjectNode) offer.path("extra")).putObject("stock");
            stock.put("clay", 3).put("apron", 5);
        });
        start = opening("wheel-hire", "60", 4, 40).time().start();
    }

    private String wish(int party, String... added) {
        return HIRE + "/keep?party=" + party + "&length=60&add=" + String.join("&add=", added);
    }

    private String keep(int party, String... added) {
        return path(post(wish(party, added), Map.of("start", start), FROM, somebody()));
    }

    private String page(int party, String... added) {
        return get(HIRE + "?party=" + party + "&length=60&add=" + String.join("&add=", added))
                .body();
    }

    @Test
    void whatIsTakenIsNotSoldAgainAndIsThereWhenItIsGivenBack() {
        String first = keep(1, "clay:2");
        assertThat(first).startsWith("/basket/");
        assertThat(page(1)).contains("1 left").doesNotContain("sold out");
        String late = keep(1, "clay:2");
        assertThat(late).startsWith(HIRE).endsWith("why=stock");
        assertThat(get(late).body()).contains("of what you want to add there are not so many any more");
        assertThat(keep(1, "clay:1")).startsWith("/basket/");
        assertThat(page(1)).contains("sold out");
        String line = get(first).body().replaceAll("(?s).*/lines/([A-Za-z0-9_-]{22})/.*", "$1");
        post(first + "/lines/" + line + "/release", Map.of());
        assertThat(page(1)).contains("2 left");
    }

    @Test
    void whatIsForEachPersonIsCountedForEach() {
        assertThat(keep(3, "apron")).startsWith("/basket/");
        assertThat(page(2)).doesNotContain("sold out");
        assertThat(page(3)).contains("sold out");
        assertThat(keep(3, "apron")).endsWith("why=stock");
        assertThat(keep(2, "apron")).startsWith("/basket/");
    }

    @Test
    void aChangeOfOnesOwnCountsAsIfItWereNotThere() {
        String basket = keep(1, "clay:3");
        String line = get(basket).body().replaceAll("(?s).*/lines/([A-Za-z0-9_-]{22})/.*", "$1");
        String change = basket + "/lines/" + line + "/change?party=2&length=60&add=clay:";
        assertThat(path(post(change + "3", Map.of("start", start))))
                .startsWith(basket)
                .doesNotContain("gone");
        edits.change("offers", "wheel-hire", offer -> ((ObjectNode) offer.at("/extra/stock")).put("clay", 2));
        assertThat(path(post(change + "3", Map.of("start", start)))).contains("why=stock");
        assertThat(path(post(change + "2", Map.of("start", start))))
                .startsWith(basket)
                .doesNotContain("gone");
    }

    @Test
    void ofManyAtOnceOnlySoManyGetIt() throws Exception {
        ExecutorService guests = Executors.newFixedThreadPool(GUESTS);
        CountDownLatch gate = new CountDownLatch(1);
        List<Future<String>> wishes = IntStream.range(0, GUESTS)
                .mapToObj(i -> guests.submit(() -> {
                    gate.await();
                    return keep(1, "clay");
                }))
                .toList();
        gate.countDown();
        List<String> outcomes = new ArrayList<>();
        for (Future<String> wish : wishes) {
            outcomes.add(wish.get());
        }
        guests.shutdown();
        assertThat(outcomes).filteredOn(o -> o.startsWith("/basket/")).hasSize(3);
    }
}
