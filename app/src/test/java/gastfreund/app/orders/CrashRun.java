package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.CheckoutPage;
import gastfreund.app.RunningApplication;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.awaitility.core.ConditionTimeoutException;
import tools.jackson.databind.JsonNode;

/**
 * Orders over HTTP while the application is killed at random moments and started again, with notifications that come
 * late, twice or never. In the end every captured payment belongs to one order that stands or has been refunded, nothing
 * is oversold, no mail is missing or came twice, and the gateway's ledger and ours agree.
 */
public final class CrashRun {

    private static final List<String> CARDS = List.of("WORKS", "WORKS", "TWICE", "TWICE", "UNTOLD", "REFUSED");
    private static final Pattern START = Pattern.compile("name=\"start\" value=\"(\\d+)\"");
    private static final int WHEELS = 6;

    private final RunningApplication application;
    private final AtomicInteger paid = new AtomicInteger();

    private CrashRun(RunningApplication application) {
        this.application = application;
    }

    /** @param arguments how many orders, and how many kills */
    public static void main(String[] arguments) throws Exception {
        System.out.println(run(Integer.parseInt(arguments[0]), Integer.parseInt(arguments[1]), System.nanoTime()));
        System.exit(0);
    }

    /** Runs it and checks everything; gives what happened in a line. */
    static String run(int orders, int kills, long seed) throws Exception {
        try (RunningApplication application = new RunningApplication(List.of("-Xmx300m", "-XX:TieredStopAtLevel=1"))) {
            return new CrashRun(application).run(orders, kills, new Random(seed)) + ", seed " + seed;
        }
    }

    private String run(int orders, int kills, Random random) throws Exception {
        ExecutorService guests = Executors.newFixedThreadPool(3);
        List<Future<?>> going = new ArrayList<>();
        for (int i = 0; i < orders; i++) {
            int number = i;
            long seed = random.nextLong();
            going.add(guests.submit(() -> guest(number, new Random(seed))));
        }
        for (int i = 0; i < kills; i++) {
            application.killAfter(Duration.ofMillis(500 + random.nextInt(2500)));
        }
        for (Future<?> guest : going) {
            guest.get();
        }
        guests.shutdown();
        assertThat(paid.get()).as("guests who went as far as paying").isGreaterThan(orders / 2);
        await().atMost(Duration.ofMinutes(2)).pollInterval(Duration.ofMillis(500)).untilAsserted(this::settled);
        checkSeats();
        checkMail();
        return orders + " guests, " + paid.get() + " went as far as paying, " + kills + " kills, "
                + application.one("SELECT count(*) FROM orders WHERE status = 'placed' AND basket IS NOT NULL") + " orders stand, "
                + application.one("SELECT count(*) FROM payments WHERE refunded > 0") + " refunded";
    }

    /** One guest: keeps, orders, pays, comes back; tries again when nobody answers, and gives up at last. */
    private void guest(int number, Random random) {
        try {
            LocalDate day = LocalDate.now().plusDays(3 + number % 20);
            String offer = "/offers/wheel-hire";
            String page = answered(() -> application.get(offer + "?party=1&length=60&day=" + day)).body();
            List<String> starts = START.matcher(page).results().map(m -> m.group(1)).toList();
            if (starts.isEmpty()) {
                return;
            }
            Map<String, String> start = Map.of("start", starts.get(random.nextInt(starts.size())));
            String basket = RunningApplication.path(answered(() -> application.post(application.address(offer + "/keep?party=1&length=60"), start)));
            String checkout = answered(() -> application.get(basket + "/checkout")).body();
            Map<String, Object> contact =
                    CheckoutPage.filled(checkout, "Guest " + number, "guest" + number + "@post.example");
            String to = RunningApplication.target(
                    answered(() -> application.post(application.address(basket + "/checkout"), contact)));
            if (to.startsWith(application.standins().address())) {
                paid.incrementAndGet();
                String card = CARDS.get(random.nextInt(CARDS.size()));
                String back = RunningApplication.target(application.post(to, Map.of("card", card)));
                application.send(HttpRequest.newBuilder(URI.create(back)));
            }
        } catch (IOException | ConditionTimeoutException e) {
            // This guest has had enough; what they left behind must still come right.
        }
    }

    private interface Call {
        HttpResponse<String> go() throws IOException;
    }

    private static HttpResponse<String> answered(Call call) {
        return await().atMost(Duration.ofSeconds(40))
                .pollInterval(Duration.ofMillis(300))
                .ignoreExceptions()
                .until(call::go, answer -> answer.statusCode() < 500);
    }

    private void settled() throws IOException, SQLException {
        String told = application.send(HttpRequest.newBuilder(URI.create(application.standins().address() + "/gateway/payments"))
                        .header("Authorization", "Bearer practice-key"))
                .body();
        for (JsonNode payment : HouseFile.parse(told)) {
            long captured = payment.get("captured").longValue();
            long refunded = payment.get("refunded").longValue();
            if (captured > 0) {
                String id = payment.get("id").stringValue();
                assertThat(application.one("SELECT captured || ' ' || refunded FROM payments WHERE reference = '" + id + "'"))
                        .as("payment %s", id)
                        .isEqualTo(captured + " " + refunded);
                assertThat(application.one("SELECT sum(l.paid) FROM order_lines l JOIN payments p ON p.order_id = l.order_id "
                                + "JOIN bookings b ON b.id = l.booking AND b.status = 'confirmed' "
                                + "WHERE p.reference = '" + id + "'"))
                        .as("what the order of payment %s has", id)
                        .isEqualTo(captured == refunded ? null : Long.toString(captured - refunded));
            }
        }
        assertThat(application.one("SELECT count(*) FROM outbox WHERE sent_at IS NULL")).isEqualTo("0");
        assertThat(application.one("SELECT count(*) FROM payment_steps WHERE done_at IS NULL")).isEqualTo("0");
        assertThat(application.one("SELECT sum(captured - refunded) FROM payments"))
                .isEqualTo(application.one("SELECT sum(paid) FROM order_lines"));
    }

    /** At no start are more wheels taken than there are. */
    private void checkSeats() throws SQLException {
        assertThat(application.one("""
                        SELECT max(taken) FROM (
                            SELECT (SELECT sum(b.party) FROM bookings b
                                    WHERE b.offer IN ('wheel-hire', 'private-lesson', 'wheel-evenings')
                                      AND b.start_at <= a.start_at AND b.end_at > a.start_at
                                      AND b.status IN ('confirmed', 'completed', 'requested')) AS taken
                            FROM bookings a WHERE a.offer = 'wheel-hire' AND a.status = 'confirmed')
                        """))
                .satisfies(most -> assertThat(Integer.parseInt(most)).isBetween(1, WHEELS));
    }

    private void checkMail() throws SQLException {
        assertThat(application.one("SELECT count(*) FROM orders o WHERE o.status = 'placed' AND o.basket IS NOT NULL AND 1 <> "
                        + "(SELECT count(*) FROM outbox m WHERE m.order_id = o.id AND m.kind = 'confirmation')"))
                .isEqualTo("0");
        String wrote = application.one("SELECT count(*) FROM outbox WHERE kind = 'confirmation'");
        Matcher came = Pattern.compile("guest\\d+@post\\.example").matcher(application.standins().page("/mail"));
        assertThat(came.results().map(m -> m.group()).toList())
                .doesNotHaveDuplicates()
                .hasSize(Integer.parseInt(wrote));
    }
}
