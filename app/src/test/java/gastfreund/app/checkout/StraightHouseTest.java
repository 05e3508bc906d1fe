package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;
import org.springframework.test.context.ContextConfiguration;

/** A house that wants a single booking to go straight to checkout, and an address there. */
@ContextConfiguration(initializers = StraightHouseTest.House.class)
class StraightHouseTest extends DemoHouseTest {

    /** Takes the demo house with a few words changed. */
    static final class House implements ApplicationContextInitializer<ConfigurableApplicationContext> {

        @Override
        public void initialize(ConfigurableApplicationContext context) {
            try {
                Path demo = Files.createTempDirectory("straight");
                Files.createDirectories(demo.resolve("pictures"));
                String asks = "\"company\": \"optional\"";
                String file = Files.readString(Path.of("../demo/quillmere.house.json"));
                Files.writeString(
                        demo.resolve("quillmere.house.json"),
                        file.replace(asks, asks + ", \"address\": \"required\", \"straight\": true"));
                Map<String, Object> settings = Map.of(
                        "gastfreund.demo",
                        demo.toString(),
                        "gastfreund.home",
                        demo.resolve("data").toString());
                context.getEnvironment().getPropertySources().addFirst(new MapPropertySource("straight", settings));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    @Test
    void aSingleBookingGoesStraightToCheckoutWhereTheAddressIsRequired() {
        String checkout = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 6).time().start());
        assertThat(checkout).endsWith("/checkout");
        Map<String, Object> form = CheckoutPage.filled(get(checkout).body(), "Lene Dorsch", "lene@post.example");
        assertThat(post(checkout, form).body()).contains("address for the receipt");
        form.put("address", "Mill Lane 3\n12345 Quillmere");
        assertThat(post(checkout, form).headers().firstValue("Location").orElseThrow())
                .startsWith(STANDINS.address());
    }

    @Test
    void aSecondBookingShowsTheBasket() {
        String checkout = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 7).time().start());
        String basket = checkout.replaceAll("/basket/([^/]+)/checkout", "$1");
        String page = path(post(
                "/offers/wheel-hire/keep?party=1&length=60&basket=" + basket,
                Map.of("start", opening("wheel-hire", "60", 1, 8).time().start())));
        assertThat(page).isEqualTo("/basket/" + basket);
    }
}
