package gastfreund.app.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium, started once. */
final class Browsers {

    private static Browser browser;

    private Browsers() {}

    static synchronized Browser chromium() {
        if (browser == null) {
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of(
                                    "--no-sandbox",
                                    "--disable-gpu",
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync",
                                    "--no-first-run",
                                    "--disable-quic")));
            // A machine that stands still for a while makes no test fail.
            PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return browser;
    }
}
