package gastfreund.app.sources;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** From where a guest came is kept from the first look to the order, and counted. */
class SourcesTest extends DemoHouseTest {

    @Autowired
    private Sightings sightings;

    @Autowired
    private Orders orders;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "gift-ideas | gift-ideas",
                "Gift Ideas! | giftideas",
                "a.b_c-1 | a.b_c-1",
                "'' | ''",
                "<script> | script",
                "1234567890123456789012345678901234567890123456789012345678901234 |"
                        + " 123456789012345678901234567890123456789012345678901234567890"
            })
    void itIsKeptInOneForm(String said, String kept) {
        assertThat(Source.of(said)).isEqualTo(kept);
    }

    private Came came(String source) {
        sightings.write();
        return sightings.lately().stream()
                .filter(c -> c.source().equals(source))
                .findFirst()
                .orElse(new Came(source, 0, 0, 0, 0));
    }

    @Test
    void aLinkWithAWordIsFollowedToTheOrder() {
        String first = get("/?from=Autumn-Card").body();
        assertThat(first).contains("/offers/wheel-hire?from=autumn-card");
        String offer = get("/offers/wheel-hire?from=autumn-card").body();
        assertThat(offer).contains("length=120", "from=autumn-card");
        long start = opening("wheel-hire", "60", 1, 30).time().start();
        String basket =
                path(post("/offers/wheel-hire/keep?party=1&length=60&from=autumn-card", Map.of("start", start)));
        assertThat(get(basket).body()).doesNotContain("from=autumn-card");
        order(basket, "Autumn Guest", "autumn@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(order.source()).isEqualTo("autumn-card");
        assertThat(came("autumn-card")).isEqualTo(new Came("autumn-card", 1, 1, 0, 0));
        assertThat(orders.newestFrom("autumn-card", 5)).extracting(Order::id).containsExactly(order.id());
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(host.get("/desk/orders?from=autumn-card").body())
                .contains("Only orders of those who came from autumn-card", "Autumn Guest");
        assertThat(host.get("/desk/orders?from=nowhere").body()).doesNotContain("Autumn Guest");
        assertThat(host.get("/desk/orders/sources").body()).contains("autumn-card", "began a basket");
        assertThat(host.get("/desk/orders/" + order.number()).body()).contains("came from autumn-card");
        assertThat(host.get("/desk/orders/orders.csv?from=autumn-card").body().lines())
                .hasSize(2)
                .first()
                .isEqualTo("order,placed,guest,mail,telephone,source,state,what,total,currency");
        assertThat(host.get("/desk/orders/orders.csv").body())
                .contains(order.number() + ",", ",Autumn Guest,autumn@post.example,", ",autumn-card,");
        assertThat(host.get("/desk/orders/sources.csv").body()).contains("autumn-card,1,1,0,0");
    }

    @Test
    void aLinkWithoutAWordIsKnownByItsPage() {
        assertThat(referred("/offers/wheel-hire", "https://gazette.example/autumn")
                        .body())
                .contains("from=gazette.example");
        assertThat(referred("/offers/wheel-hire", address("/")).body()).doesNotContain("from=");
        assertThat(referred("/offers/wheel-hire", "no address").body()).doesNotContain("from=");
        assertThat(referred("/offers/wheel-hire?from=word", "https://gazette.example/")
                        .body())
                .contains("from=word")
                .doesNotContain("gazette");
        assertThat(came("gazette.example").looked()).isEqualTo(1);
    }

    private HttpResponse<String> referred(String path, String referer) {
        return send(HttpRequest.newBuilder(URI.create(address(path)))
                .header("Accept", "text/html")
                .header(FROM, somebody())
                .header("Referer", referer));
    }

    @Test
    void aVoucherIsNotedToo() {
        assertThat(get("/vouchers/clay-card?from=raffle").body()).contains("from=raffle");
        String basket = path(post("/goods/clay-bag/keep?from=raffle", Map.of("count", 1)));
        order(basket, "Raffle Guest", "raffle@post.example");
        assertThat(orders.newest(1).get(0).source()).isEqualTo("raffle");
    }
}
