package gastfreund.app.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import gastfreund.app.HostBrowser;
import gastfreund.app.MovableClock;
import gastfreund.app.RunningApplication;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * How soon a full board comes, and how evenly a block of it is dragged: the times between the frames that a browser draws while it goes to and fro,
 * on a day of 20 people with 10 bookings each, beside the times between those of the same page at rest.
 */
public final class DragRun {

    private static final int WARM = 150;
    private static final int ROUNDS = 100;
    private static final int WAYS = 6;
    private static final int STEPS = 60;
    private static final double STEP = 6;

    private DragRun() {}

    public static void main(String[] arguments) throws Exception {
        Path folder = new LargeHouse(60, 20, 6000, 10).folder();
        try (RunningApplication application = new RunningApplication(List.of("-Xmx512m"), MovableClock.AHEAD, folder);
                Page page = Browsers.chromium().newPage(new Browser.NewPageOptions().setViewportSize(1280, 800))) {
            page.navigate(application.address("/desk/sign-in"));
            page.locator("[name=email]").fill("okka@quillmere.example");
            page.locator("[name=password]").fill("clay and water");
            page.locator("main button[type=submit]").click();
            page.waitForURL("**/desk**");
            page.navigate(application.address("/desk"));
            System.out.println(page.locator(".board a[data-booking]").count() + " bookings on the day");
            System.out.printf(Locale.ROOT, "  its page is made in %.0f ms in the middle%n", made(application));
            say("at rest", frames(page, () -> page.waitForTimeout(2000)));
            Locator block = page.locator("[data-lane^='person:'] a[data-booking] .block")
                    .nth(3);
            BoundingBox box = block.boundingBox();
            page.mouse().move(box.x + 8, box.y + box.height / 2);
            page.mouse().down();
            page.mouse().move(box.x + 24, box.y + box.height / 2);
            page.locator(".board .lit").first().waitFor();
            say("dragged", frames(page, () -> drag(page, box)));
            page.keyboard().press("Escape");
            page.mouse().up();
        }
        System.exit(0);
    }

    /** How long the board takes to come, without a browser, after warming up; in milliseconds. */
    private static double made(RunningApplication application) {
        HostBrowser host = new HostBrowser(application.address(""), "10.1.2.3");
        host.signIn("okka@quillmere.example", "clay and water");
        return IntStream.range(0, WARM + ROUNDS)
                        .mapToLong(i -> {
                            long begun = System.nanoTime();
                            host.get("/desk");
                            return System.nanoTime() - begun;
                        })
                        .skip(WARM)
                        .sorted()
                        .skip(ROUNDS / 2)
                        .findFirst()
                        .orElseThrow()
                / 1e6;
    }

    private static void drag(Page page, BoundingBox box) {
        for (int way = 0; way < WAYS; way++) {
            for (int step = 0; step < STEPS; step++) {
                int at = way % 2 == 0 ? step : STEPS - step;
                page.mouse().move(box.x + 24 + at * STEP, box.y + box.height / 2 + at * STEP / 2);
            }
        }
    }

    /** The times between frames while something is done, in milliseconds, the shortest first. */
    private static List<Double> frames(Page page, Runnable done) {
        page.evaluate(
                """
                () => {
                  window.drawn = [];
                  const draw = (t) => { window.drawn.push(t); window.drawing = requestAnimationFrame(draw); };
                  window.drawing = requestAnimationFrame(draw);
                }
                """);
        done.run();
        @SuppressWarnings("unchecked")
        List<Number> times = (List<Number>)
                page.evaluate(
                        "() => { cancelAnimationFrame(window.drawing); return window.drawn.slice(1).map((t, i) => t - window.drawn[i]); }");
        return times.stream().map(Number::doubleValue).sorted().toList();
    }

    private static void say(String what, List<Double> frames) {
        System.out.printf(
                Locale.ROOT,
                "  %-8s %4d frames, %5.1f ms between two in the middle, %5.1f ms at the slowest twentieth, %5.1f ms at most%n",
                what,
                frames.size(),
                frames.get(frames.size() / 2),
                frames.get(frames.size() * 19 / 20),
                frames.get(frames.size() - 1));
    }
}
