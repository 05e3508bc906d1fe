package gastfreund.app.journeys;

import gastfreund.app.HostBrowser;
import gastfreund.app.MovableClock;
import gastfreund.app.RunningApplication;
import gastfreund.app.orders.LoadRun;
import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;

/**
 * How long pages take beside the emptiest one, the sign-in: each asked for in turn by one visitor after warming up, the
 * medians of one run as ratios. The demo house, and a made-up one of 60 offers, 20 people and 10,000 bookings in a year.
 */
public final class PagesRun {

    private static final int WARM = 150;
    private static final int ROUNDS = 200;
    private static final int TURNS = 4;

    /** What takes long is not asked for so often. */
    private static final long LONGEST = 6_000_000_000L;

    private static final int FEWEST = 40;
    private static final int DAYS = 28;
    private static final Pattern FEED = Pattern.compile("/calendars/[A-Za-z0-9_-]{22}\\.ics");

    private static final Set<String> ALL = Set.of("demo", "order", "large", "year", "years");

    private PagesRun() {}

    /** @param arguments which of them; none: all */
    public static void main(String[] arguments) throws Exception {
        Path demo = Path.of(Files.exists(Path.of("demo")) ? "demo" : "../demo");
        Set<String> asked = arguments.length == 0 ? ALL : Set.of(arguments);
        if (asked.contains("demo")) {
            measure("the demo", demo, "private-lesson", "mira", true);
        }
        if (asked.contains("order")) {
            order(demo);
        }
        if (asked.contains("large")) {
            measure("60 offers, 20 people, 10,000 bookings", new LargeHouse(60, 20, 10_000).folder(), "o7", "p3", true);
        }
        if (asked.contains("year")) {
            measure("100,000 in that year", new LargeHouse(60, 20, 100_000, 14).folder(), "o7", "p3", false);
        }
        if (asked.contains("years")) {
            measure("100,000 in seven years", new LargeHouse(60, 20, 100_000, 2).folder(), "o7", "p3", false);
        }
        System.exit(0);
    }

    /** @param editors whether more of the desk is asked for than the board, which takes minutes in a house of 100,000 bookings */
    private static void measure(String what, Path folder, String offer, String person, boolean editors)
            throws Exception {
        try (RunningApplication application = new RunningApplication(List.of("-Xmx512m"), MovableClock.AHEAD, folder)) {
            Map<String, Callable<Object>> pages = new LinkedHashMap<>();
            pages.put("sign-in", () -> got(application, "/desk/sign-in"));
            pages.put("house", () -> got(application, "/"));
            pages.put("offer", () -> got(application, "/offers/" + offer + "?party=1"));
            pages.put("embed", () -> got(application, "/embed/offers/" + offer + "?party=1"));
            int[] turn = {0};
            String day = LocalDate.ofInstant(Instant.now().plus(MovableClock.AHEAD), ZoneOffset.UTC)
                    .plusDays(9)
                    .toString();
            pages.put("agenda", () -> got(application, "/agenda?day=" + day));
            // A day that nobody has asked for so: how much is open in the weeks around it is counted each time.
            pages.put("counted", () -> got(application, "/agenda?most=" + (100 + turn[0]++) + "&day=" + day));
            HostBrowser browser = new HostBrowser(application.address(""), "10.1.2.3");
            browser.signIn("okka@quillmere.example", "clay and water");
            pages.put("board", () -> browser.get("/desk").body());
            if (editors) {
                desk(pages, browser, offer, person, turn);
            }
            Map<String, Double> medians = new LinkedHashMap<>();
            pages.forEach((name, page) -> times(page, WARM));
            Map<String, LongStream> times = new LinkedHashMap<>();
            // In turns: a slow minute of the machine slows all of them.
            for (int turnOfAll = 0; turnOfAll < TURNS; turnOfAll++) {
                pages.forEach((name, page) ->
                        times.merge(name, Arrays.stream(times(page, ROUNDS / TURNS)), LongStream::concat));
            }
            times.forEach((name, all) -> medians.put(name, median(all.toArray())));
            System.out.println(what + ":");
            medians.forEach((name, median) -> System.out.printf(
                    Locale.ROOT,
                    "  %-8s %7.2f ms, %5.1f times the sign-in%n",
                    name,
                    median / 1e6,
                    median / medians.get("sign-in")));
            if (!editors) {
                return;
            }
            double query = median(times(query(folder, offer), ROUNDS));
            System.out.printf(
                    Locale.ROOT,
                    "  a keystroke in the editor takes as long as %.0f queries of 28 days of that offer (%.2f ms each)%n",
                    medians.get("editor") / query,
                    query / 1e6);
        }
    }

    /** More of the desk: what is edited, explained and followed. */
    private static void desk(
            Map<String, Callable<Object>> pages, HostBrowser browser, String offer, String person, int[] turn)
            throws Exception {
        pages.put("orders", () -> browser.get("/desk/orders").body());
        String hours = "/desk/hours/staff/" + person;
        browser.get(hours);
        pages.put("hours", () -> browser.get(hours).body());
        // What a change does, as it is asked while somebody types: another change each time.
        pages.put("change", () -> {
            browser.post(hours, Map.of("tue", 10 + turn[0]++ % 3 + "-17"));
            return effect(browser.get(hours + "?fragment=hours").body());
        });
        String editor = "/desk/offers/" + offer;
        // A keystroke in an offer's editor, and what it does.
        pages.put("editor", () -> {
            browser.post(editor, Map.of("prep", 5 + turn[0]++ % 3 * 5 + " min"));
            return browser.get(editor + "?fragment=offer").body();
        });
        pages.put("explain", () -> browser.get("/desk/explain?offer=" + offer + "&at=0")
                .body());
        browser.get("/desk/calendars");
        browser.post("/desk/calendars", Map.of("kind", "house", "subject", ""));
        Matcher feed = FEED.matcher(browser.get("/desk/calendars").body());
        if (!feed.find()) {
            throw new IllegalStateException("the calendar has no address");
        }
        pages.put("feed", () -> browser.get(feed.group()).body());
    }

    /** The processor's time for an order from the offer's page to the paid booking, beside that for the sign-in page. */
    private static void order(Path demo) throws Exception {
        try (RunningApplication application = new RunningApplication(List.of("-Xmx512m"), MovableClock.AHEAD, demo)) {
            int[] number = {0};
            Callable<Object> order = () -> LoadRun.order(application, number[0]++);
            Callable<Object> page = () -> got(application, "/desk/sign-in");
            processor(application, order, WARM);
            processor(application, page, 2 * WARM);
            double ofOrder = processor(application, order, WARM);
            double ofPage = processor(application, page, 2 * WARM);
            System.out.printf(
                    Locale.ROOT,
                    "an order takes %.0f ms of processor, %.1f times the %.2f ms of the sign-in page%n",
                    ofOrder,
                    ofOrder / ofPage,
                    ofPage);
        }
    }

    private static double processor(RunningApplication application, Callable<Object> what, int times) throws Exception {
        Duration before = application.cpu();
        for (int i = 0; i < times; i++) {
            what.call();
        }
        return application.cpu().minus(before).toMillis() / (double) times;
    }

    /** One query of 28 days of an offer, asked of the core without a store or a page. */
    private static Callable<Object> query(Path folder, String offer) throws IOException {
        HouseFile file = HouseFile.read(HouseFile.parse(Files.readString(folder.resolve("quillmere.house.json"))));
        Booked booked = Booked.of(file.bookings(), file.busy());
        Offer asked = file.house().offer(new OfferId(offer)).orElseThrow();
        Instant now = Instant.now().plus(MovableClock.AHEAD);
        LocalDate today = file.house().zone().dateOf(now);
        Query query = Query.of(asked.id(), today, today.plusDays(DAYS - 1L), now)
                .withLength(asked.lengths().get(0).id(), asked.lengths().get(0).minUnits())
                .withParty(asked.party().min());
        Callable<Object> ask = () -> Openings.openings(file.house(), booked, query);
        times(ask, 10 * WARM);
        return ask;
    }

    private static String effect(String part) {
        if (!part.contains("class=\"gains") && !part.contains("would lie outside")) {
            throw new IllegalStateException("the change does nothing");
        }
        return part;
    }

    private static Object got(RunningApplication application, String path) throws IOException {
        var answer = application.get(path);
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + ": " + answer.statusCode());
        }
        return answer.body();
    }

    private static long[] times(Callable<Object> page, int rounds) {
        long[] times = new long[rounds];
        long begun = System.nanoTime();
        int done = 0;
        while (done < rounds && (done < FEWEST || System.nanoTime() - begun < LONGEST)) {
            long before = System.nanoTime();
            try {
                page.call();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
            times[done++] = System.nanoTime() - before;
        }
        return Arrays.copyOf(times, done);
    }

    private static double median(long[] times) {
        Arrays.sort(times);
        return times[times.length / 2];
    }
}
