package gastfreund.app.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Debian's Chromium, started once. */
public final class Browsers {

    private static final List<String> USUAL = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run",
            "--disable-quic");

    private static Playwright playwright;
    private static Browser browser;

    private Browsers() {}

    public static synchronized Browser chromium() {
        if (browser == null) {
            browser = launch();
        }
        return browser;
    }

    /** One more of its own, started otherwise than usual. */
    static synchronized Browser launch(String... otherwise) {
        if (playwright == null) {
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            // A machine that stands still for a while makes no test fail.
            PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(Stream.concat(USUAL.stream(), Stream.of(otherwise))
                                .toList()));
    }
}
