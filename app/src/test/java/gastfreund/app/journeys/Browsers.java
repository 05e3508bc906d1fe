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

    /**
     * What is turned off: of two such lists the browser takes the last, so that this one has what Playwright turns off, too; and
     * what takes time and has nothing to do with pages: lists under an address bar that nobody sees, which are pages of their
     * own in each window, and a renderer that is kept for the next site.
     */
    private static final List<String> OFF = List.of(
            "AvoidUnnecessaryBeforeUnloadCheckSync",
            "BlockOriginHeaderModificationOnRedirect",
            "BoundaryEventDispatchTracksNodeRemoval",
            "DestroyProfileOnBrowserClose",
            "DialMediaRouteProvider",
            "GlobalMediaControls",
            "HttpsUpgrades",
            "LensOverlay",
            "MediaRouter",
            "OptimizationHints",
            "PaintHolding",
            "ThirdPartyStoragePartitioning",
            "Translate",
            "WebUIOmniboxPopup",
            "WebUIOmniboxAimPopup",
            "SpareRendererForSitePerProcess");

    private static final List<String> USUAL = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run",
            "--disable-quic",
            "--disable-features=" + String.join(",", OFF));

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
        return launch(new BrowserType.LaunchOptions(), otherwise);
    }

    /** One that shows a page that was left as it was when somebody goes back to it, as browsers do where nobody tests with them. */
    static synchronized Browser launchKeepingPages() {
        return launch(new BrowserType.LaunchOptions().setIgnoreDefaultArgs(List.of("--disable-back-forward-cache")));
    }

    private static Browser launch(BrowserType.LaunchOptions options, String... otherwise) {
        if (playwright == null) {
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            // A machine that stands still for a while makes no test fail.
            PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return playwright
                .chromium()
                .launch(options.setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(Stream.concat(USUAL.stream(), Stream.of(otherwise))
                                .toList()));
    }
}
