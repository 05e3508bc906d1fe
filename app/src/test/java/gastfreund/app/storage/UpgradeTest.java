package gastfreund.app.storage;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.GastfreundApplication;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Houses as earlier states of the application kept them, in {@code src/test/resources/states}: each comes up, with everything
 * that was in it. A state is added whenever one is released with migrations that no file there has.
 */
class UpgradeTest {

    static List<Path> states() throws IOException {
        try (var files = Files.list(Path.of("src/test/resources/states"))) {
            return files.sorted().toList();
        }
    }

    @ParameterizedTest
    @MethodSource("states")
    void aHouseOfThatStateComesUpWithEverythingInIt(Path state, @TempDir Path home) throws Exception {
        try (InputStream kept = new GZIPInputStream(Files.newInputStream(state))) {
            Files.copy(kept, home.resolve("house.sqlite"));
        }
        try (ConfigurableApplicationContext app = SpringApplication.run(
                GastfreundApplication.class,
                "--gastfreund.home=" + home,
                "--gastfreund.jobs.on=false",
                "--server.port=0",
                "--server.address=127.0.0.1")) {
            JdbcClient jdbc = app.getBean(JdbcClient.class);
            assertThat(jdbc.sql("PRAGMA foreign_key_check").query().listOfRows())
                    .isEmpty();
            int kept =
                    jdbc.sql("SELECT count(*) FROM orders").query(Integer.class).single();
            List<Order> orders = app.getBean(Orders.class).newest(kept);
            assertThat(orders).hasSize(kept).hasSizeGreaterThan(100);
            assertThat(orders).allSatisfy(order -> assertThat(order.lines())
                    .as(Long.toString(order.number()))
                    .isNotEmpty()
                    .allSatisfy(line -> assertThat(line.sold().title()).isNotBlank()));
            String address = "http://127.0.0.1:" + app.getEnvironment().getProperty("local.server.port");
            for (String page :
                    List.of("/", "/agenda", "/bookings/" + orders.get(0).token())) {
                HttpResponse<String> answer = HttpClient.newHttpClient()
                        .send(
                                HttpRequest.newBuilder(URI.create(address + page))
                                        .build(),
                                HttpResponse.BodyHandlers.ofString());
                assertThat(answer.statusCode()).as(page).isEqualTo(200);
            }
        }
    }
}
