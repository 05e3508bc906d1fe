package gastfreund.app.strangers;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.OwnHouse;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.payments.Gateways;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;

/** A house of one's own, as {@code serve} starts it: who can reach it, and what it does not do by itself. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@DirtiesContext
@ContextConfiguration(initializers = NetworkTest.House.class)
class NetworkTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.address", "https://clay.example:8443/");
        }
    }

    @LocalServerPort
    private int port;

    @Autowired
    private Gateways gateways;

    @Autowired
    private Outbox outbox;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private JdbcClient jdbc;

    /** The head of an answer to a request that is written by hand. */
    private String asked(String host, String... headers) throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            String request = "GET /desk HTTP/1.1\r\nHost: " + host + "\r\n" + String.join("", headers)
                    + "Connection: close\r\n\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void otherHostsThanItsOwnAreRefusedAndRedirectsSayNoHost() throws IOException {
        assertThat(asked("clay.example:8443")).startsWith("HTTP/1.1 302").contains("\r\nLocation: /desk/sign-in\r\n");
        assertThat(asked("CLAY.example:8443")).startsWith("HTTP/1.1 302");
        for (String other :
                new String[] {"evil.example", "clay.example", "localhost:" + port, "clay.example:99999", "127.0.0.1"}) {
            assertThat(asked(other)).as(other).startsWith("HTTP/1.1 400").doesNotContain("evil.example");
        }
    }

    @Test
    void nobodysWordIsTakenForWhereARequestComesFrom() throws IOException {
        assertThat(asked(
                        "evil.example",
                        "X-Forwarded-Host: clay.example\r\n",
                        "X-Forwarded-Port: 8443\r\n",
                        "X-Forwarded-Proto: https\r\n"))
                .startsWith("HTTP/1.1 400");
    }

    @Test
    void itListensOnThisMachineOnly() throws IOException {
        for (NetworkInterface one : NetworkInterface.networkInterfaces().toList()) {
            for (InetAddress address :
                    one.inetAddresses().filter(a -> !a.isLoopbackAddress()).toList()) {
                boolean reached = true;
                try (Socket socket = new Socket()) {
                    socket.connect(new InetSocketAddress(address, port), 1000);
                } catch (IOException e) {
                    reached = false;
                }
                assertThat(reached).as(address.toString()).isFalse();
            }
        }
    }

    /** Everybody knows the keys of the practice gateway that ships. */
    @Test
    void thePracticeGatewayIsNotThere() {
        assertThat(gateways.offered()).isEmpty();
        assertThat(gateways.accounts()).noneMatch(a -> a.enabled() || !a.keys().isEmpty());
        assertThat(gateways.origins()).isEmpty();
    }

    /** Without a sender nothing goes out, least of all from an invented one. */
    @Test
    void noMailGoesOutBeforeASenderIsSet() {
        transaction.executeWithoutResult(
                s -> outbox.put(new Letter(null, "host", "ana@mill.example", Locale.ENGLISH, "{}")));
        outbox.send();
        assertThat(outbox.canSend()).isFalse();
        assertThat(outbox.waiting()).isEqualTo(1);
        assertThat(jdbc.sql("SELECT count(*) FROM work").query(Integer.class).single())
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "203.0.113.9, 203.0.113.9",
        "2001:db8:1:2:3:4:5:6, 20010db800010002/64",
        "2001:db8:1:2::9, 20010db800010002/64",
        "fe80::1%eth0, fe80000000000000/64",
        "::ffff:203.0.113.9, 203.0.113.9"
    })
    void aVisitorIsANetwork(String address, String network) {
        assertThat(Visitor.ofAddress(address).network()).isEqualTo(network);
    }
}
