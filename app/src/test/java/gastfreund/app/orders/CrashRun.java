package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.CheckoutPage;
import gastfreund.app.MovableClock;
import gastfreund.app.RunningApplication;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.awaitility.core.ConditionTimeoutException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Orders over HTTP while the application is killed at random moments and started again, with notifications that come
 * late, twice or never; some guests pay with a voucher or a pass that they share, some buy one, some cancel. In the end every captured
 * payment belongs to one order that stands or has been refunded, nothing is oversold, no mail or text message is missing or
 * came twice,
 * the gateway's ledger and ours agree, and so do those of the voucher and the pass.
 */
public final class CrashRun {

    private static final List<String> CARDS = List.of("WORKS", "WORKS", "TWICE", "TWICE", "UNTOLD", "REFUSED");
    private static final Pattern START = Pattern.compile("name=\"start\" value=\"(\\d+)\"");
    private static final Pattern CANCEL = Pattern.compile("/bookings/[\\w-]+/lines/[\\w-]+/cancel");
    private static final Pattern REFUND = Pattern.compile("name=\"refund\" value=\"(\\d+)\"");
    private static final int WHEELS = 6;

    /** How a guest pays, or what else they buy. */
    private enum Kind {
        CARD,
        VOUCHER,
        PASS,
        GIFT
    }

    private final RunningApplication application;
    private final Books books;
    private final AtomicInteger ordered = new AtomicInteger();
    private String voucher;
    private String pass;

    private CrashRun(RunningApplication application) {
        this.application = application;
        this.books = new Books(application);
    }

    /** @param arguments how many orders, and how many kills */
    public static void main(String[] arguments) throws Exception {
        System.out.println(run(Integer.parseInt(arguments[0]), Integer.parseInt(arguments[1]), System.nanoTime()));
        System.exit(0);
    }

    /** Runs it and checks everything; gives what happened in a line. */
    static String run(int orders, int kills, long seed) throws Exception {
        try (RunningApplication application = new RunningApplication(
                List.of("-Xmx300m", "-XX:TieredStopAtLevel=1"), MovableClock.AHEAD, demoWithLetters())) {
            return new CrashRun(application).run(orders, kills, new Random(seed)) + ", seed " + seed;
        }
    }

    /** The demo house, which sends text messages. */
    private static Path demoWithLetters() throws IOException {
        Path demo = Path.of(Files.exists(Path.of("demo")) ? "demo" : "../demo");
        Path folder = Files.createTempDirectory("gastfreund-letters");
        try (Stream<Path> all = Files.walk(demo)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                Path to = folder.resolve(demo.relativize(file).toString());
                Files.createDirectories(to.getParent());
                Files.copy(file, to);
            }
        }
        Path house = folder.resolve("quillmere.house.json");
        JsonNode json = HouseFile.parse(Files.readString(house));
        // Whatever the hour is at which this runs, nobody waits for the morning.
        ((ObjectNode) json.at("/house/extra"))
                .set("quiet", HouseFile.parse("{\"from\": \"00:00\", \"to\": \"00:00\"}"));
        ((ObjectNode) json.at("/house/extra"))
                .set(
                        "letters",
                        HouseFile.parse(
                                """
                                [{"id": "confirmed", "occasion": "confirmed", "texts": true},
                                 {"id": "ten-days", "occasion": "before", "minutes": 14400, "texts": true},
                                 {"id": "thanks", "occasion": "after", "minutes": 60}]
                                """));
        Files.writeString(house, HouseFile.printed((ObjectNode) json));
        return folder;
    }

    private String run(int orders, int kills, Random random) throws Exception {
        voucher = bought("voucher", "500");
        pass = bought("clay-card", "");
        certain();
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
        assertThat(ordered.get()).as("guests who ordered").isGreaterThan(orders / 2);
        await().atMost(Duration.ofMinutes(2))
                .pollInterval(Duration.ofMillis(500))
                .untilAsserted(books::settled);
        checkPrepaid();
        books.checkDocuments();
        checkSeats();
        int weeks = 2;
        for (int i = 0; i < weeks; i++) {
            application.killAndMoveAhead(Duration.ofDays(7));
            application.killAfter(Duration.ofMillis(random.nextInt(1500)));
        }
        await().atMost(Duration.ofMinutes(1))
                .pollInterval(Duration.ofMillis(500))
                .untilAsserted(this::timed);
        books.checkMail();
        checkTexts();
        return orders + " guests, " + ordered.get() + " orders, " + kills + " kills, "
                + application.one("SELECT count(*) FROM orders WHERE status = 'placed' AND basket IS NOT NULL")
                + " orders stand, "
                + application.one("SELECT count(*) FROM payments WHERE refunded > 0") + " refunded, "
                + application.one("SELECT count(*) FROM payments WHERE gateway = 'voucher'")
                + " paid with the voucher, "
                + application.one("SELECT sum(amount) FROM prepaid_uses WHERE booking IS NOT NULL") + " visits, "
                + application.one("SELECT count(*) FROM prepaid") + " vouchers and passes issued";
    }

    /** The code of a voucher or a pass that is bought before anything is killed. */
    private String bought(String id, String amount) throws IOException, SQLException {
        String basket = put("/vouchers/" + id + "/keep", "free", amount);
        checkOut(basket, "Buyer", id + "@post.example", "WORKS");
        await().atMost(Duration.ofSeconds(30))
                .until(() -> application.one("SELECT count(*) FROM prepaid").equals(id.equals("voucher") ? "1" : "2"));
        return application.one("SELECT code FROM prepaid ORDER BY issued_at DESC, rowid DESC LIMIT 1");
    }

    /** A guest whose letters before and after are of use still when the clock has been moved: what chance keeps may all be late. */
    private void certain() throws IOException, SQLException {
        String basket = kept(
                        "/offers/wheel-hire",
                        "party=1&length=60",
                        application.today().plusDays(13),
                        new Random(0))
                .orElseThrow();
        checkOut(basket, "Guest of all letters", "guest-of-all-letters0@post.example", "WORKS");
        await().atMost(Duration.ofSeconds(30)).until(() -> application
                .one("SELECT count(*) FROM bookings b JOIN orders o ON o.id = b.order_id WHERE b.status = 'confirmed' "
                        + "AND o.email LIKE 'guest-of-all-letters0@%'")
                .equals("1"));
    }

    /** Keeps one of the day's starts; gives the basket, or empty where the day has none. */
    private Optional<String> kept(String offer, String what, LocalDate day, Random random) {
        String page = answered(() -> application.get(offer + "?" + what + "&day=" + day))
                .body();
        List<String> starts = START.matcher(page).results().map(m -> m.group(1)).toList();
        if (starts.isEmpty()) {
            return Optional.empty();
        }
        Map<String, String> start = Map.of("start", starts.get(random.nextInt(starts.size())));
        return Optional.of(RunningApplication.path(
                answered(() -> application.post(application.address(offer + "/keep?" + what), start))));
    }

    private String put(String path, String amount, String written) {
        Map<String, String> wish = Map.of("amount", amount, "written", written, "recipient", "Lene");
        return RunningApplication.path(answered(() -> application.post(application.address(path), wish)));
    }

    /** One guest: keeps, orders, pays, comes back; tries again when nobody answers, and gives up at last. */
    private void guest(int number, Random random) {
        try {
            Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
            LocalDate day = application.today().plusDays(3 + number % 20);
            String what = kind == Kind.PASS ? "party=1&length=120" : "party=1&length=60";
            String offer = kind == Kind.PASS ? "/offers/clay-table" : "/offers/wheel-hire";
            Optional<String> kept = kept(offer, what, day, random);
            if (kept.isEmpty()) {
                return;
            }
            String basket = kept.get();
            if (kind == Kind.GIFT) {
                put("/vouchers/voucher/keep?basket=" + basket.substring(basket.lastIndexOf('/') + 1), "2500", "");
            } else if (kind != Kind.CARD) {
                Map<String, String> code = Map.of("code", kind == Kind.PASS ? pass : voucher);
                answered(() -> application.post(application.address(basket + "/code"), code));
            }
            String card = CARDS.get(random.nextInt(CARDS.size()));
            String booking = checkOut(basket, "Guest " + number, "guest" + number + "@post.example", card);
            if (random.nextInt(4) == 0) {
                cancel(booking);
            }
        } catch (IOException | ConditionTimeoutException e) {
            // This guest has had enough; what they left behind must still come right.
        }
    }

    /** Orders, and pays where something is due; gives the page of the order. */
    private String checkOut(String basket, String name, String email, String card) throws IOException {
        String checkout = answered(() -> application.get(basket + "/checkout")).body();
        Map<String, Object> contact = CheckoutPage.filled(checkout, name, email);
        contact.put(
                "phone",
                "+49 151 2345%04d"
                        .formatted(1 + Math.floorMod(name.hashCode(), 9000))
                        .replace("000", "111")
                        .replace("503", "504"));
        contact.put("texts", "true");
        String to = RunningApplication.target(
                answered(() -> application.post(application.address(basket + "/checkout"), contact)));
        ordered.incrementAndGet();
        if (!to.startsWith(application.standins().address())) {
            return URI.create(to).getPath();
        }
        String back = RunningApplication.target(application.post(to, Map.of("card", card)));
        application.send(HttpRequest.newBuilder(URI.create(back)));
        return URI.create(back).getPath().replace("/paid", "");
    }

    /** Cancels what is booked, if it is, for what the page says comes back. */
    private void cancel(String booking) {
        Matcher link = CANCEL.matcher(answered(() -> application.get(booking)).body());
        if (link.find()) {
            String path = link.group();
            Matcher refund =
                    REFUND.matcher(answered(() -> application.get(path)).body());
            if (refund.find()) {
                Map<String, String> form = Map.of("refund", refund.group(1), "why", "a cold");
                answered(() -> application.post(application.address(path), form));
            }
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

    /** Of every booking that stands it is noted what became of each letter before and after it, and what was to go has gone. */
    private void timed() throws SQLException {
        String standing =
                """
                FROM bookings b JOIN orders o ON o.id = b.order_id AND o.email LIKE 'guest%'
                WHERE b.status IN ('confirmed', 'completed')
                """;
        String noted = " AND NOT EXISTS (SELECT 1 FROM timed_letters t WHERE t.booking = b.id AND t.letter = '%s')";
        assertThat(application.one("SELECT count(*) " + standing + " AND b.start_at - 10 * 86400 < " + application.now()
                        + noted.formatted("ten-days")))
                .as("bookings of which no letter before is noted")
                .isEqualTo("0");
        assertThat(application.one("SELECT count(*) " + standing + " AND b.end_at + 3600 < " + application.now()
                        + noted.formatted("thanks")))
                .as("bookings of which no letter after is noted")
                .isEqualTo("0");
        assertThat(application.one("SELECT count(*) FROM outbox WHERE sent_at IS NULL"))
                .isEqualTo("0");
        put("ten-days", "kind = 'before' AND recipient NOT LIKE '+%'");
        put("ten-days+text", "kind = 'before' AND recipient LIKE '+%'");
        put("thanks", "kind = 'after'");
    }

    /** A timed letter was put for each booking for which that is noted, and for no other. */
    private void put(String letter, String which) throws SQLException {
        String orders = application.one("SELECT group_concat(o.id ORDER BY o.id) FROM timed_letters t "
                + "JOIN bookings b ON b.id = t.booking JOIN orders o ON o.id = b.order_id AND o.email LIKE 'guest%' "
                + "WHERE t.state = 'put' AND t.letter = '" + letter + "'");
        assertThat(orders).as("letters %s", letter).isNotNull();
        assertThat(application.one("SELECT group_concat(l.order_id ORDER BY l.order_id) FROM outbox l "
                        + "JOIN orders o ON o.id = l.order_id AND o.email LIKE 'guest%' WHERE " + which))
                .isEqualTo(orders);
    }

    /** What is left of vouchers and passes is what was sold less what stands, and each was issued for money that came. */
    private void checkPrepaid() throws SQLException {
        assertThat(application.one("SELECT count(*) FROM prepaid p WHERE rest <> worth - "
                        + "(SELECT coalesce(sum(amount), 0) FROM prepaid_uses WHERE prepaid = p.id)"))
                .isEqualTo("0");
        assertThat(application.one(
                        "SELECT coalesce(sum(captured - refunded), 0) FROM payments WHERE gateway = 'voucher'"))
                .isEqualTo(
                        application.one("SELECT coalesce(sum(worth - rest), 0) FROM prepaid WHERE kind = 'voucher'"));
        assertThat(application.one("SELECT count(*) FROM order_lines l JOIN bookings b ON b.id = l.booking "
                        + "WHERE l.covered > 0 AND b.status IN ('confirmed', 'completed', 'held')"))
                .isEqualTo(application.one("SELECT coalesce(sum(worth - rest), 0) FROM prepaid WHERE kind = 'pass'"));
        assertThat(application.one("SELECT count(*) FROM goods WHERE prepaid IS NOT NULL"))
                .isEqualTo(application.one("SELECT count(*) FROM prepaid"));
    }

    /** At no start are more wheels taken than there are. */
    private void checkSeats() throws SQLException {
        assertThat(
                        application.one(
                                """
                        SELECT max(taken) FROM (
                            SELECT (SELECT sum(b.party) FROM bookings b
                                    WHERE b.offer IN ('wheel-hire', 'private-lesson', 'wheel-evenings')
                                      AND b.start_at <= a.start_at AND b.end_at > a.start_at
                                      AND b.status IN ('confirmed', 'completed', 'requested')) AS taken
                            FROM bookings a WHERE a.offer = 'wheel-hire' AND a.status = 'confirmed')
                        """))
                .satisfies(most -> assertThat(Integer.parseInt(most)).isBetween(1, WHEELS));
    }

    /** Each text message that was put has arrived, and none twice. */
    private void checkTexts() throws SQLException {
        String put = application.one("SELECT count(*) FROM outbox WHERE recipient LIKE '+%'");
        assertThat(Integer.parseInt(put)).as("text messages").isPositive();
        assertThat(application.one("SELECT count(*) FROM (SELECT DISTINCT order_id, kind FROM outbox "
                        + "WHERE recipient LIKE '+%' AND kind IN ('confirmation', 'before'))"))
                .as("one of each kind for each order")
                .isEqualTo(put);
        assertThat(application.standins().page("/texts").split("class=\"text\"", -1))
                .as("text messages that arrived")
                .hasSize(Integer.parseInt(put) + 1);
    }
}
