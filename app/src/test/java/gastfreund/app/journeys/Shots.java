package gastfreund.app.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import gastfreund.app.GastfreundApplication;
import gastfreund.app.MovableClock;
import gastfreund.app.Standins;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Makes the pictures in docs/screenshots from the demo house; run by {@code ./gastfreund shots}. */
public final class Shots {

    private final String address;
    private final String neighbour;
    private final Path folder;

    private Shots(String address, String neighbour, Path folder) {
        this.address = address;
        this.neighbour = neighbour;
        this.folder = folder;
    }

    /** @param arguments the folder for the pictures */
    public static void main(String[] arguments) throws Exception {
        Standins standins = Standins.running();
        String neighbour = standins.address().replace("localhost", "127.0.0.1") + "/neighbour";
        ConfigurableApplicationContext app = SpringApplication.run(
                GastfreundApplication.class,
                "--server.port=0",
                "--gastfreund.home=" + Files.createTempDirectory("gastfreund-shots"),
                "--gastfreund.demo=demo",
                "--gastfreund.demo-weeks=24",
                "--gastfreund.ahead=" + MovableClock.AHEAD,
                "--gastfreund.mail-from=house@quillmere.example",
                "--gastfreund.neighbour=" + neighbour,
                "--gastfreund.gateway.url=" + standins.address(),
                "--spring.mail.port=" + standins.smtpPort());
        String port = app.getEnvironment().getProperty("local.server.port");
        int outcome = 1;
        try {
            new Shots("http://localhost:" + port, neighbour, Path.of(arguments[0])).all();
            outcome = SpringApplication.exit(app);
        } finally {
            System.exit(outcome);
        }
    }

    private void all() {
        guest(1280, "");
        guest(390, "-390");
        elsewhere();
        desk();
    }

    private Page page(int width) {
        BrowserContext context = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(width, 800)
                        .setHasTouch(width < 600)
                        .setIsMobile(width < 600)
                        .setLocale("en-GB")
                        .setColorScheme(ColorScheme.LIGHT)
                        .setReducedMotion(ReducedMotion.REDUCE));
        return context.newPage();
    }

    private void take(Page page, String name) {
        page.waitForLoadState();
        page.evaluate("document.fonts.ready.then(() => window.scrollTo(0, 0))");
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }

    private void guest(int width, String suffix) {
        boolean wide = width > 600;
        Page page = page(width);
        page.navigate(address + "/");
        take(page, "house" + suffix);
        if (wide) {
            page.navigate(address + "/agenda?party=2");
            page.locator(".ribbon .day:has(.bar)").nth(8).click();
            page.waitForURL("**day=**");
            page.locator("button.opening").nth(6).click();
            page.locator("#opening").waitFor();
            take(page, "agenda");
        }
        page.navigate(address + "/offers/private-lesson?party=2&length=90");
        page.locator(".ribbon .day:has(.bar)").nth(wide ? 8 : 9).click();
        page.waitForURL("**day=**");
        Locator slot = page.locator(".slot").nth(1);
        if (wide) {
            slot.hover();
        }
        take(page, "offer" + suffix);
        slot.click();
        page.waitForURL("**/basket/**");
        String basket = page.url().substring(page.url().lastIndexOf('/') + 1);
        page.navigate(address + "/offers/clay-table?party=3&basket=" + basket);
        page.locator(".ribbon .day:has(.bar)").nth(wide ? 10 : 11).click();
        page.waitForURL("**day=**");
        page.locator(".slot").first().click();
        page.waitForURL("**/basket/**");
        if (wide) {
            take(page, "basket");
        }
        page.navigate(address + "/basket/" + basket + "/checkout");
        page.getByLabel("Name").fill("Tilde Rehn");
        page.getByLabel("Mail address").fill("tilde.rehn@post.example");
        page.getByLabel("Telephone").fill("+49 30 5550 177");
        page.locator("fieldset:has([type=radio])")
                .all()
                .forEach(group -> group.locator("input").nth(1).check());
        page.getByLabel("I have read").check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Book and pay"))
                .click();
        page.waitForURL("**/pay/**");
        page.locator("button[type=submit]").click();
        page.waitForURL("**/bookings/**");
        take(page, "booking" + suffix);
    }

    /** The house in the pages of somebody else, and how the host says what is shown there. */
    private void elsewhere() {
        Page article = page(1280);
        article.navigate(neighbour + "/gift-ideas?house=" + address);
        panel(article).locator(".slot").first().waitFor();
        take(article, "neighbour");
    }

    private static FrameLocator panel(Page page) {
        return page.frameLocator("gastfreund-panel iframe");
    }

    private void desk() {
        Page page = page(1280);
        page.navigate(address + "/desk");
        page.getByLabel("Mail address").fill("okka@quillmere.example");
        page.getByLabel("Password").fill("clay and water");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        page.waitForURL("**/desk*");
        // Thursday of this week has the most to show; the ruler's third week is this one.
        page.locator(".ruler a").nth(17).click();
        page.waitForURL("**day=**");
        page.locator(".board a:has(.block)").nth(1).click();
        page.waitForURL("**booking=**");
        take(page, "board");
        page.navigate(address + "/desk/waits");
        take(page, "waits");
        page.navigate(address + "/desk/orders");
        page.locator("main table a").first().click();
        page.waitForURL("**/orders/**");
        page.locator(".decisions summary").last().click();
        take(page, "order");
        hours(page);
        offers(page);
        page.navigate(address + "/desk/letters?letter=balance");
        page.locator("iframe.mail").waitFor();
        take(page, "letters");
        page.navigate(address + "/desk/explain?offer=private-lesson&length=90&party=2&staff=mira&day=2027-01-21");
        page.locator("[data-at][aria-label^='14:30']").first().click();
        page.locator("[data-at][aria-label^='14:30'][aria-current]").first().waitFor();
        take(page, "explainer");
    }

    /** A lesson becomes dearer and gets more time around it; a rule is added to what wheels cost. */
    private void offers(Page page) {
        page.navigate(address + "/desk/offers");
        take(page, "offers");
        page.navigate(address + "/desk/figures");
        take(page, "figures");
        page.navigate(address + "/desk/offers/private-lesson");
        page.waitForLoadState();
        page.locator("[name='lengths/60/price']").fill("55.00");
        page.locator("[name='reset']").fill("30 min");
        page.locator("#effect li").nth(1).waitFor();
        take(page, "offer-editor");
        page.navigate(address + "/desk/offers/wheel-hire/prices?week=2027-01-18");
        page.locator("button[value=priceRules]").click();
        page.locator(".price-grid .changed").first().click();
        page.locator("#chosen .ladder").waitFor();
        take(page, "prices");
    }

    /** Mira stays longer on Thursdays and leaves earlier on Tuesdays. */
    private void hours(Page page) {
        page.navigate(address + "/desk/hours/staff/mira");
        page.waitForLoadState();
        drag(page, "tue", 17, 18.4);
        page.locator("#lane-tue .gone").waitFor();
        drag(page, "thu", 18.6, 20);
        page.locator("#lane-thu .new").waitFor();
        page.locator("#effect li").nth(1).waitFor();
        take(page, "hours");
    }

    private static void drag(Page page, String day, double from, double to) {
        BoundingBox lane = page.locator("#lane-" + day).boundingBox();
        double y = lane.y + lane.height / 2;
        page.mouse().move(lane.x + (from - 6) / 18 * lane.width, y);
        page.mouse().down();
        page.mouse().move(lane.x + (to - 6) / 18 * lane.width, y);
        page.mouse().up();
    }
}
