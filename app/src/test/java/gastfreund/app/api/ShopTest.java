package gastfreund.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.housefile.HouseFile;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The worked example of {@code docs/api.md}: a shop that sells a time of the house inside its own checkout. */
class ShopTest extends ProgramTest {

    private HttpResponse<String> atShop(String path, Map<String, String> form) {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(STANDINS.address() + path));
        return send(
                form.isEmpty()
                        ? request
                        : request.header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    @Test
    void aShopSellsATimeInsideItsOwnCheckout() {
        String key = key("order", "read");
        atShop("/shop/boxes", Map.of("house", address("/api"), "key", key, "offer", "clay-table"));
        JsonNode times = HouseFile.parse(atShop("/shop/boxes/times", Map.of()).body());
        assertThat(times).isNotEmpty();
        String start = times.get(0).path("start").asString();
        Map<String, String> buyer =
                Map.of("start", start, "guest", "Brida Holm", "email", "brida@post.example", "phone", "030 5550 166");
        JsonNode sale = HouseFile.parse(atShop("/shop/boxes/sales", buyer).body());
        assertThat(sale.path("sorry").asString()).isEmpty();
        assertThat(sale.path("sum").asLong()).isEqualTo(2900 + sale.path("time").asLong());
        JsonNode order = read("/api/orders/" + sale.path("order").asLong(), with(key));
        assertThat(order.path("status").asString()).isEqualTo("placed");
        assertThat(order.path("paid").asLong())
                .isEqualTo(sale.path("time").asLong())
                .isEqualTo(order.path("total").asLong());
        assertThat(order.path("bookings").get(0).path("start").asString()).isEqualTo(start);
        assertThat(order.path("contact").path("name").asString()).isEqualTo("Brida Holm");

        String never = start.substring(0, 11) + "03:00" + start.substring(16);
        JsonNode refused = HouseFile.parse(atShop(
                        "/shop/boxes/sales",
                        Map.of("start", never, "guest", "A", "email", "a@post.example", "phone", "030 5550"))
                .body());
        assertThat(refused.path("sorry").asString()).isEqualTo("taken");
        assertThat(refused.path("sum").asLong()).as("nothing was taken").isZero();
        long taken = 0;
        for (JsonNode one :
                HouseFile.parse(atShop("/shop/boxes/sales", Map.of()).body())) {
            taken += one.path("time").asLong();
        }
        assertThat(jdbc.sql("SELECT sum(captured) FROM payments p JOIN orders o ON o.id = p.order_id"
                                + " WHERE gateway = 'elsewhere' AND o.email = 'brida@post.example'")
                        .query(Long.class)
                        .single())
                .as("the shop's till and the house's books agree")
                .isEqualTo(taken);
    }
}
