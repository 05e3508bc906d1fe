package gastfreund.app.orders;

import gastfreund.app.CheckoutPage;
import gastfreund.app.RunningApplication;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How many orders a second: guests side by side who keep a place, order, pay at the gateway and come back. Beside it, in
 * the same run, how many single rows the same file takes a second, each committed durably: the physical limit.
 */
public final class LoadRun {

    private static final Pattern START = Pattern.compile("name=\"start\" value=\"(\\d+)\"");
    private static final int GUESTS = 8;
    private static final int COMMITS = 1500;
    private static final long SECOND = 1_000_000_000L;

    private final RunningApplication application;
    private final ExecutorService guests = Executors.newFixedThreadPool(GUESTS, guest -> {
        Thread thread = new Thread(guest);
        thread.setDaemon(true);
        return thread;
    });

    private LoadRun(RunningApplication application) {
        this.application = application;
    }

    /** @param arguments how many orders, and how many attempts on scarce places */
    public static void main(String[] arguments) throws Exception {
        try (RunningApplication application = new RunningApplication(List.of("-Xmx512m"))) {
            LoadRun run = new LoadRun(application);
            run.orders(Integer.parseInt(arguments[0]) / 2);
            double rate = run.orders(Integer.parseInt(arguments[0]));
            double commits = run.commits();
            System.out.printf(
                    Locale.ROOT,
                    "%.0f durable commits a second; one order for %.0f of them%n",
                    commits,
                    commits / rate);
            run.scarce(Integer.parseInt(arguments[1]));
        }
        System.exit(0);
    }

    private double orders(int count) throws Exception {
        List<Callable<Long>> going = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int number = i;
            going.add(() -> order(number));
        }
        long begun = System.nanoTime();
        Duration cpu = application.cpu();
        List<Long> took = new ArrayList<>();
        for (Future<Long> one : guests.invokeAll(going)) {
            if (one.get() != null) {
                took.add(one.get());
            }
        }
        double seconds = (System.nanoTime() - begun) / (double) SECOND;
        Collections.sort(took);
        System.out.printf(
                Locale.ROOT,
                "%d of %d orders paid: %.1f orders a second; median %d ms, 99th percentile %d ms; %d ms of processor each%n",
                took.size(),
                count,
                took.size() / seconds,
                took.get(took.size() / 2) / 1_000_000,
                took.get(took.size() * 99 / 100) / 1_000_000,
                application.cpu().minus(cpu).toMillis() / took.size());
        return took.size() / seconds;
    }

    /** One guest from the first page to the last; null where nothing was free any more. */
    private Long order(int number) throws IOException {
        return order(application, number);
    }

    /** The same at an application; so long it took in nanoseconds, null where nothing was free any more. */
    public static Long order(RunningApplication application, int number) throws IOException {
        long begun = System.nanoTime();
        LocalDate day = application.today().plusDays(2 + number % 38);
        String page = application
                .get("/offers/wheel-hire?party=1&length=60&day=" + day)
                .body();
        List<String> starts = START.matcher(page).results().map(m -> m.group(1)).toList();
        if (starts.isEmpty()) {
            return null;
        }
        String start = starts.get(number / 38 % starts.size());
        String basket = RunningApplication.path(application.post(
                application.address("/offers/wheel-hire/keep?party=1&length=60"), Map.of("start", start)));
        if (!basket.startsWith("/basket/")) {
            return null;
        }
        Map<String, Object> contact = CheckoutPage.filled(
                application.get(basket + "/checkout").body(), "Guest " + number, "guest@post.example");
        String pay = RunningApplication.target(application.post(application.address(basket + "/checkout"), contact));
        String back = RunningApplication.target(application.post(pay, Map.of("card", "WORKS")));
        application.get(RunningApplication.path(application.send(HttpRequest.newBuilder(URI.create(back)))));
        return System.nanoTime() - begun;
    }

    /** Single rows, each in a transaction of its own, into a table of the same file with the same settings. */
    private double commits() throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + application.database());
                Statement statement = connection.createStatement()) {
            statement.execute("PRAGMA synchronous = FULL");
            statement.execute("PRAGMA busy_timeout = 10000");
            statement.execute("CREATE TABLE IF NOT EXISTS measured (id INTEGER PRIMARY KEY, text TEXT)");
            long begun = System.nanoTime();
            try (PreparedStatement insert =
                    connection.prepareStatement("INSERT INTO measured (text) VALUES ('a row')")) {
                for (int i = 0; i < COMMITS; i++) {
                    insert.executeUpdate();
                }
            }
            return COMMITS / ((System.nanoTime() - begun) / (double) SECOND);
        }
    }

    /** Many want the same few places at once. */
    private void scarce(int attempts) throws Exception {
        LocalDate day = application.today().plusDays(41);
        Matcher start = START.matcher(application
                .get("/offers/wheel-hire?party=1&length=60&day=" + day)
                .body());
        if (!start.find()) {
            throw new IllegalStateException("nothing is open on " + day);
        }
        AtomicInteger got = new AtomicInteger();
        List<Callable<Boolean>> going = Collections.nCopies(attempts, () -> {
            String to = RunningApplication.path(application.post(
                    application.address("/offers/wheel-hire/keep?party=1&length=60"), Map.of("start", start.group(1))));
            return to.startsWith("/basket/") && got.incrementAndGet() > 0;
        });
        for (Future<Boolean> one : guests.invokeAll(going)) {
            one.get();
        }
        System.out.printf(
                "%d attempts on 6 places: %d got one, %d oversold%n", attempts, got.get(), Math.max(0, got.get() - 6));
    }
}
