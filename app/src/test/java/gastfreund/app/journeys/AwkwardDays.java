package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gastfreund.app.RunningApplication;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Starts the demo on fourteen awkward days and goes the shortest way of a guest on each: each weekday, ends of months, both
 * changes of the clocks, the 29th of February, the turn of the year. Run by {@code ./gastfreund days}.
 */
public final class AwkwardDays {

    /** When the application wakes up; the house is an hour or two ahead. */
    private static final List<String> DAYS = List.of(
            "2026-11-23T08:30:00Z", // Monday
            "2026-11-24T08:30:00Z", // Tuesday
            "2026-11-25T08:30:00Z", // Wednesday
            "2026-11-26T08:30:00Z", // Thursday
            "2026-11-27T22:50:00Z", // Friday, ten minutes before midnight in the house
            "2026-11-28T08:30:00Z", // Saturday
            "2026-11-29T23:10:00Z", // Sunday, when it is Monday in the house
            "2027-01-31T22:30:00Z", // the end of a month
            "2027-03-28T00:30:00Z", // half an hour before the clocks go forward
            "2027-10-31T00:30:00Z", // half an hour before they go back
            "2027-10-31T01:30:00Z", // and in the hour that comes twice
            "2028-02-29T08:30:00Z",
            "2027-12-31T22:45:00Z", // the last minutes of a year
            "2028-01-01T08:30:00Z");

    private AwkwardDays() {}

    public static void main(String[] arguments) throws Exception {
        List<String> wrong = new ArrayList<>();
        for (String day : DAYS) {
            Duration ahead = Duration.between(Clock.systemUTC().instant(), Instant.parse(day));
            try (RunningApplication application = new RunningApplication(List.of("-Xmx400m"), ahead)) {
                go(application);
                System.out.println(day + "  " + application.today().getDayOfWeek() + "  came through");
            } catch (RuntimeException | AssertionError e) {
                wrong.add(day);
                System.out.println(day + "  did not come through: " + e);
            }
        }
        System.out.println(wrong.isEmpty() ? "all " + DAYS.size() + " days came through" : "wrong: " + wrong);
        System.exit(wrong.isEmpty() ? 0 : 1);
    }

    /** From the house's page to a calendar file. */
    private static void go(RunningApplication application) {
        try (BrowserContext context =
                Browsers.chromium().newContext(new Browser.NewContextOptions().setLocale("en-GB"))) {
            Page page = context.newPage();
            page.navigate(application.address("/"));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("A private lesson"))
                    .click();
            Locator day = page.locator(".ribbon .day:has(.bar)").first();
            LocalDate date = LocalDate.parse(day.getAttribute("data-panel").replace("day-", ""));
            if (date.isBefore(application.today())) {
                throw new AssertionError("a day that is over can be booked: " + date);
            }
            page.locator(".slot").first().click();
            assertThat(page.locator(".held")).containsText(Pattern.compile("1[345]:[0-5][0-9]"));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To checkout"))
                    .click();
            page.getByLabel("Name").fill("Tilde Rehn");
            page.getByLabel("Mail address").fill("tilde@post.example");
            page.getByLabel("Telephone").fill("+49 30 5550 177");
            for (Locator group : page.locator("fieldset:has([type=radio])").all()) {
                group.locator("input").first().check();
            }
            page.getByLabel("I have read").check();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Book and pay"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Pay"))
                    .click();
            assertThat(page.getByRole(
                            AriaRole.HEADING, new Page.GetByRoleOptions().setName("See you soon, Tilde Rehn")))
                    .isVisible();
            String link = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Put it in my calendar"))
                    .getAttribute("href");
            String calendar = page.request().get(application.address(link)).text();
            if (!calendar.contains("BEGIN:VEVENT")) {
                throw new AssertionError("no event in the calendar file");
            }
        }
    }
}
