package gastfreund.app.payments;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.OwnHouse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;

/** A house whose key file was lost goes on, and says which keys must be entered again. */
@DirtiesContext
@ContextConfiguration(initializers = LostKeyTest.House.class)
class LostKeyTest extends DemoHouseTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.home", HOME.toString());
        }
    }

    private static final Path HOME = temporary();

    private static Path temporary() {
        try {
            return Files.createTempDirectory("gastfreund-lost-key");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Autowired
    private Gateways gateways;

    @Test
    void theAccountIsMarkedAndGuestsPagesWork() throws SQLException {
        GatewayAccount.Kind card = GatewayAccount.Kind.CARD;
        // What another key encrypted, as it lies there when the file is lost.
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + HOME.resolve("house.sqlite"));
                Statement statement = file.createStatement()) {
            statement.execute("PRAGMA busy_timeout = 10000");
            statement.execute("INSERT INTO gateways (kind, mode, enabled, keys, origin) VALUES ('card', 'live', 1, "
                    + "'AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA', 'https://cards.example')");
        }
        gateways.keep(gateways.account(card, GatewayAccount.Mode.PRACTICE).switched(true));
        GatewayAccount lost = gateways.account(card, GatewayAccount.Mode.LIVE);
        assertThat(lost.readable()).isFalse();
        assertThat(lost.enabled()).isFalse();
        assertThat(get("/").statusCode()).isEqualTo(200);
        assertThat(get("/").headers().firstValue("Content-Security-Policy").orElseThrow())
                .as("nothing is decrypted for the policy")
                .contains("https://cards.example");
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 5).time().start());
        assertThat(order(basket, "Lene Dorsch", "lene@post.example")).startsWith(STANDINS.address());
        Map<String, String> again = Map.of("url", STANDINS.address(), "key", "live-key", "secret", "live-secret");
        assertThat(AccountForm.of(lost, true, Map.of("url", STANDINS.address())).errors())
                .containsKeys("key", "secret");
        gateways.keep(AccountForm.of(lost, true, again).account());
        assertThat(gateways.account(card, GatewayAccount.Mode.LIVE).readable()).isTrue();
    }
}
