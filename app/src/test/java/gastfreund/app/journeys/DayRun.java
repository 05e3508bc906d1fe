package gastfreund.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.CheckoutPage;
import gastfreund.app.HostBrowser;
import gastfreund.app.MovableClock;
import gastfreund.app.RunningApplication;
import gastfreund.app.orders.Books;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A Saturday of a large house in some minutes: guests look, some book and pay, panels on other pages are asked for, hosts move
 * bookings, calendars are fetched and read, letters go out, a backup is taken, and the application is killed once. In the end
 * everything that must hold is counted, and how long each kind of request took.
 */
public final class DayRun {

    private static final Pattern START = Pattern.compile("name=\"start\" value=\"(\\d+)\"");
    private static final Pattern TOTAL = Pattern.compile("name=\"total\" value=\"(\\d+)\"");
    private static final Pattern FEED = Pattern.compile("/calendars/[A-Za-z0-9_-]{22}\\.ics");
    private static final Pattern CALENDAR = Pattern.compile("/bookings/[\\w-]+/[\\w/-]*\\.ics");
    private static final int OFFERS = 60;
    private static final int PEOPLE = 20;
    private static final int THREADS = 24;
    private static final long SECOND = 1_000_000_000L;
    private static final long MINUTE = 60 * SECOND;

    /** How long a request may take that a guest waits for. */
    private static final long PATIENCE = SECOND;

    /** Somebody who does one thing after another. */
    private interface Actor {

        /** Does the next thing; false where there is none. */
        boolean next() throws Exception;
    }

    private enum Kind {
        HOUSE,
        AGENDA,
        OFFER,
        KEEP,
        CHECKOUT,
        ORDER,
        PAID,
        BOOKING,
        FILE,
        SCRIPT,
        PANEL,
        FEED,
        BOARD(false),
        TIMES(false),
        MOVE(false),
        READ(false),
        BACKUP(false);

        private final boolean ofGuests;

        Kind() {
            this(true);
        }

        Kind(boolean ofGuests) {
            this.ofGuests = ofGuests;
        }
    }

    private record Took(long begun, long ended) {

        long nanos() {
            return ended - begun;
        }
    }

    private final RunningApplication application;
    private final Random random = new Random(7);
    private final Map<Kind, Queue<Took>> took = new EnumMap<>(Kind.class);
    private final AtomicInteger booked = new AtomicInteger();
    private final AtomicInteger moved = new AtomicInteger();
    private final AtomicInteger gone = new AtomicInteger();
    private final AtomicInteger goneAfterStarts = new AtomicInteger();
    private final long started = System.nanoTime();
    private final Queue<String> faults = new ConcurrentLinkedQueue<>();
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(THREADS, task -> {
        Thread thread = new Thread(task);
        thread.setDaemon(true);
        return thread;
    });
    private volatile long killed = Long.MAX_VALUE;
    private volatile long upAgain = Long.MAX_VALUE;

    private DayRun(RunningApplication application) {
        this.application = application;
        for (Kind kind : Kind.values()) {
            took.put(kind, new ConcurrentLinkedQueue<>());
        }
    }

    /** @param arguments how many minutes, how many guests who look, and how many who book */
    public static void main(String[] arguments) throws Exception {
        int minutes = Integer.parseInt(arguments[0]);
        int looking = Integer.parseInt(arguments[1]);
        int booking = Integer.parseInt(arguments[2]);
        boolean held = true;
        try (RunningApplication application = new RunningApplication(
                List.of("-Xmx512m", "-Dgastfreund.busy.private-addresses=true", "-Dgastfreund.warming.rounds=6"),
                MovableClock.AHEAD.plusDays(3),
                new LargeHouse(OFFERS, PEOPLE, 10_000, 3).folder())) {
            // The doors open when the house is warm; what it is like when it is not, the kill shows.
            await().atMost(Duration.ofMinutes(2)).until(() -> application.log().contains("pages are warm"));
            // The gateway has been open for long, too.
            application.send(
                    HttpRequest.newBuilder(URI.create(application.standins().address() + "/mail")));
            new DayRun(application).run(Duration.ofMinutes(minutes), looking, booking);
        } catch (Exception | AssertionError e) {
            e.printStackTrace();
            held = false;
        }
        System.exit(held ? 0 : 1);
    }

    private void run(Duration length, int looking, int booking) throws Exception {
        List<String> feeds = feeds();
        follow();
        List<CountDownLatch> all = new ArrayList<>();
        for (int i = 0; i < looking; i++) {
            all.add(begin(looks(random.nextLong()), within(length), 2000, 15_000));
        }
        for (int i = 0; i < booking; i++) {
            all.add(begin(books(i, random.nextLong()), within(length), 2000, 20_000));
        }
        for (int page = 0; page < 3; page++) {
            for (int i = 0; i < looking / 3; i++) {
                all.add(begin(panel("o" + page * 7), within(length), 1000, 3000));
            }
        }
        long end = System.nanoTime() + length.toNanos();
        for (int i = 0; i < 2; i++) {
            all.add(begin(host(end, random.nextLong()), 1000L + i * 5000L, 4000, 12_000));
        }
        for (String feed : feeds) {
            all.add(begin(until(end, () -> got(Kind.FEED, feed)), 3000, 20_000, 40_000));
        }
        HostBrowser owner = signedIn();
        all.add(begin(until(end, () -> reread(owner)), 10_000, 50_000, 70_000));
        clock.schedule(() -> backup(owner), length.toMillis() / 3, TimeUnit.MILLISECONDS);
        clock.schedule(this::kill, length.toMillis() * 2 / 3, TimeUnit.MILLISECONDS);
        for (CountDownLatch one : all) {
            one.await();
        }
        count(booking);
    }

    private long within(Duration length) {
        return random.nextLong(length.toMillis() * 9 / 10);
    }

    /** Lets somebody begin after so many milliseconds, with a pause after each thing. */
    private CountDownLatch begin(Actor actor, long after, long leastPause, long mostPause) {
        CountDownLatch over = new CountDownLatch(1);
        Random pauses = new Random(after);
        Runnable step = new Runnable() {
            @Override
            public void run() {
                boolean more = false;
                try {
                    more = actor.next();
                } catch (Exception | AssertionError e) {
                    faults.add(e.toString());
                }
                if (more) {
                    clock.schedule(this, leastPause + pauses.nextLong(mostPause - leastPause), TimeUnit.MILLISECONDS);
                } else {
                    over.countDown();
                }
            }
        };
        clock.schedule(step, after, TimeUnit.MILLISECONDS);
        return over;
    }

    /** One thing after the other, until one has nothing more to do. */
    private static Actor steps(List<Callable<Boolean>> steps) {
        int[] at = {0};
        return () -> steps.get(at[0]++).call() && at[0] < steps.size();
    }

    private static Actor until(long end, Callable<?> what) {
        return () -> {
            what.call();
            return System.nanoTime() < end;
        };
    }

    /** What is answered, tried again for a while where nobody answers; only the last try counts. */
    private HttpResponse<String> answered(Kind kind, Callable<HttpResponse<String>> call) {
        return await().atMost(Duration.ofSeconds(60))
                .pollDelay(Duration.ZERO)
                .pollInterval(Duration.ofMillis(300))
                .ignoreExceptions()
                .until(
                        () -> {
                            long begun = System.nanoTime();
                            HttpResponse<String> answer = call.call();
                            took.get(kind).add(new Took(begun, System.nanoTime()));
                            return answer;
                        },
                        answer -> {
                            if (answer.statusCode() >= 500) {
                                faults.add(kind + " " + answer.statusCode());
                            }
                            return answer.statusCode() < 500;
                        });
    }

    private String got(Kind kind, String path) {
        HttpResponse<String> answer = answered(kind, () -> application.get(path));
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return answer.body();
    }

    private HttpResponse<String> sent(Kind kind, String path, Map<String, ?> form) {
        return answered(kind, () -> application.post(application.address(path), form));
    }

    private Actor looks(long seed) {
        Random own = new Random(seed);
        List<Callable<Boolean>> steps = new ArrayList<>();
        steps.add(() -> !got(Kind.HOUSE, "/").isEmpty());
        if (own.nextBoolean()) {
            String day = application.today().plusDays(1 + own.nextInt(14)).toString();
            steps.add(() -> !got(Kind.AGENDA, "/agenda?day=" + day).isEmpty());
        }
        for (int i = 2 + own.nextInt(3); i > 0; i--) {
            String day = application.today().plusDays(1 + own.nextInt(30)).toString();
            String offer = "/offers/o" + own.nextInt(OFFERS) + "?party=1&length=" + (own.nextBoolean() ? 60 : 90);
            steps.add(() -> !got(Kind.OFFER, offer + "&day=" + day).isEmpty());
        }
        return steps(steps);
    }

    private Actor books(int number, long seed) {
        Random own = new Random(seed);
        String offer = "/offers/o" + own.nextInt(OFFERS);
        String[] at = new String[1];
        return steps(List.of(
                () -> !got(Kind.HOUSE, "/").isEmpty(),
                () -> {
                    for (int i = 0; i < 10; i++) {
                        String day = application
                                .today()
                                .plusDays(2 + own.nextInt(25))
                                .toString();
                        List<String> starts = START.matcher(got(Kind.OFFER, offer + "?party=1&length=60&day=" + day))
                                .results()
                                .map(m -> m.group(1))
                                .toList();
                        if (!starts.isEmpty()) {
                            Map<String, String> start = Map.of("start", starts.get(own.nextInt(starts.size())));
                            at[0] = RunningApplication.path(sent(Kind.KEEP, offer + "/keep?party=1&length=60", start));
                            return at[0].startsWith("/basket/");
                        }
                    }
                    return false;
                },
                () -> {
                    String page = got(Kind.CHECKOUT, at[0] + "/checkout");
                    Map<String, Object> form =
                            CheckoutPage.filled(page, "Guest " + number, "guest-of-today" + number + "@post.example");
                    at[0] = RunningApplication.target(sent(Kind.ORDER, at[0] + "/checkout", form));
                    return at[0].startsWith(application.standins().address());
                },
                () -> {
                    String back = RunningApplication.target(
                            application.post(at[0], Map.of("card", own.nextInt(5) == 0 ? "TWICE" : "WORKS")));
                    HttpResponse<String> paid =
                            answered(Kind.PAID, () -> application.send(HttpRequest.newBuilder(URI.create(back))));
                    at[0] = RunningApplication.path(paid);
                    booked.incrementAndGet();
                    return true;
                },
                () -> {
                    Matcher file = CALENDAR.matcher(got(Kind.BOOKING, at[0]));
                    assertThat(file.find()).as("a calendar file at " + at[0]).isTrue();
                    got(Kind.FILE, file.group());
                    return false;
                }));
    }

    private Actor panel(String offer) {
        return steps(List.of(
                () -> !got(Kind.SCRIPT, "/embed.js").isEmpty(),
                () -> !got(Kind.PANEL, "/embed/offers/" + offer + "?party=1").isEmpty()));
    }

    private HostBrowser signedIn() {
        HostBrowser host = new HostBrowser(application.address(""), "10.9.8." + random.nextInt(250));
        host.signIn("okka@quillmere.example", "clay and water");
        return host;
    }

    /** Looks at the board, takes a booking of the next days, and moves it to the first time that is offered. */
    private Actor host(long end, long seed) {
        Random own = new Random(seed);
        HostBrowser[] host = {signedIn()};
        return () -> {
            HttpResponse<String> board = answered(Kind.BOARD, () -> host[0].get("/desk"));
            if (board.statusCode() != 200) {
                // The kill has ended the session.
                host[0] = signedIn();
                return true;
            }
            String day = application.today().plusDays(1 + own.nextInt(5)).toString();
            answered(Kind.BOARD, () -> host[0].get("/desk?day=" + day));
            String[] row = application
                    .one(
                            "SELECT o.number || ' ' || b.id || ' ' || b.offer FROM bookings b JOIN orders o ON o.id = b.order_id"
                                    + " WHERE b.status = 'confirmed' AND b.start_at BETWEEN " + application.now()
                                    + " AND "
                                    + application.now() + " + 864000 ORDER BY random() LIMIT 1")
                    .split(" ");
            String move = "/desk/orders/" + row[0] + "/bookings/" + row[1] + "/move";
            Matcher to =
                    START.matcher(answered(Kind.TIMES, () -> host[0].get(move)).body());
            if (to.find()) {
                String start = to.group(1);
                Matcher total = TOTAL.matcher(answered(Kind.TIMES, () -> host[0].get(move + "/to?start=" + start))
                        .body());
                if (total.find()) {
                    Map<String, String> form = Map.of("start", start, "total", total.group(1));
                    HttpResponse<String> answer = answered(Kind.MOVE, () -> host[0].post(move, form));
                    moved.addAndGet(RunningApplication.target(answer).contains("moved") ? 1 : 0);
                }
            }
            return System.nanoTime() < end;
        };
    }

    /** The addresses of three calendars to follow. */
    private List<String> feeds() {
        HostBrowser host = signedIn();
        host.get("/desk/calendars");
        host.post("/desk/calendars", Map.of("kind", "house", "subject", ""));
        host.post("/desk/calendars", Map.of("kind", "staff", "subject", "p3"));
        host.post("/desk/calendars", Map.of("kind", "staff", "subject", "p5"));
        return FEED.matcher(host.get("/desk/calendars").body())
                .results()
                .map(m -> m.group())
                .distinct()
                .toList();
    }

    /** A calendar of somebody who serves, which is read again and again. */
    private void follow() {
        HostBrowser host = signedIn();
        host.get("/desk/busy-times");
        host.post(
                "/desk/busy-times/address",
                Map.of("staff", "p1", "address", application.standins().address() + "/calendars/mira.ics"));
        assertThat(host.get("/desk/busy-times").body()).contains("mira");
    }

    private boolean reread(HostBrowser host) throws SQLException {
        String source = application.one("SELECT id FROM busy_sources");
        HttpResponse<String> page = host.get("/desk/busy-times");
        if (page.statusCode() == 200) {
            answered(Kind.READ, () -> host.post("/desk/busy-times/read", Map.of("source", source)));
        }
        return true;
    }

    private void backup(HostBrowser host) {
        host.get("/desk/house/files");
        HttpResponse<String> answer = answered(Kind.BACKUP, () -> host.post("/desk/house/files/backup", Map.of()));
        if (!RunningApplication.target(answer).contains("backup-taken")) {
            faults.add("no backup was taken");
        }
    }

    private void kill() {
        try {
            killed = System.nanoTime();
            application.killAfter(Duration.ZERO);
            upAgain = System.nanoTime();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean isUndisturbed(Took one) {
        return one.ended() < killed || one.begun() > upAgain;
    }

    private void count(int booking) throws Exception {
        System.out.printf(
                Locale.ROOT,
                "%d of %d booked and paid, %d bookings moved; down for %.1f s%n",
                booked.get(),
                booking,
                moved.get(),
                (upAgain - killed) / (double) SECOND);
        took.forEach(this::tell);
        System.out.printf(
                "over a second for guests: %d in the minute after a start, %d else; what else went wrong: %s%n",
                goneAfterStarts.get(), gone.get(), faults);
        Books books = new Books(application);
        await().atMost(Duration.ofMinutes(2))
                .pollInterval(Duration.ofSeconds(1))
                .untilAsserted(books::settled);
        books.checkDocuments();
        books.checkMail();
        assertThat(
                        application.one(
                                """
                        SELECT count(*) FROM booking_staff x JOIN bookings a ON a.id = x.booking
                        JOIN booking_staff y ON y.staff = x.staff AND y.booking > x.booking
                        JOIN bookings b ON b.id = y.booking
                        WHERE a.status IN ('confirmed', 'requested') AND b.status IN ('confirmed', 'requested')
                          AND a.start_at < b.end_at AND b.start_at < a.end_at
                        """))
                .as("people who are booked twice at a time")
                .isEqualTo("0");
        System.out.println("no place twice, ledgers and documents equal, every letter once");
    }

    /** In the first minute everything is done for the first time. */
    private boolean isAfterAStart(Took one) {
        return one.begun() - started < MINUTE || one.begun() - upAgain >= 0 && one.begun() - upAgain < MINUTE;
    }

    private void tell(Kind kind, Queue<Took> all) {
        long[] times = all.stream()
                .filter(this::isUndisturbed)
                .mapToLong(Took::nanos)
                .sorted()
                .toArray();
        if (times.length == 0) {
            System.out.printf("  %-9s none%n", kind.name().toLowerCase(Locale.ROOT));
            return;
        }
        if (kind.ofGuests) {
            all.stream()
                    .filter(one -> isUndisturbed(one) && one.nanos() > PATIENCE)
                    .forEach(one -> {
                        (isAfterAStart(one) ? goneAfterStarts : gone).incrementAndGet();
                        System.out.printf(
                                Locale.ROOT,
                                "  %d ms for %s, %d s after the beginning, %d s after the kill%n",
                                one.nanos() / 1_000_000,
                                kind.name().toLowerCase(Locale.ROOT),
                                (one.begun() - started) / SECOND,
                                (one.begun() - killed) / SECOND);
                    });
        }
        System.out.printf(
                Locale.ROOT,
                "  %-9s %5d  p50 %5d ms  p99 %5d ms  longest %5d ms%n",
                kind.name().toLowerCase(Locale.ROOT),
                times.length,
                times[times.length / 2] / 1_000_000,
                times[Math.min(times.length - 1, times.length * 99 / 100)] / 1_000_000,
                times[times.length - 1] / 1_000_000);
    }
}
