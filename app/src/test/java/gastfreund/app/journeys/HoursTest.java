package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.WaitUntilState;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.Role;
import gastfreund.core.offers.StaffId;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Hours, set by mouse, by touch, by keyboard alone and without scripts; days that differ; undoing; two hosts at once. */
class HoursTest extends Journey {

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private HostService hosts;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void nothingBegun() {
        transaction.executeWithoutResult(t -> jdbc.sql("DELETE FROM drafts").update());
    }

    private String windows(String person, DayOfWeek day) {
        return catalogues.catalogue().house().staff(new StaffId(person)).hours().windowsOn(day).stream()
                .map(w -> w.from() + "-" + w.to())
                .sorted()
                .toList()
                .toString();
    }

    private void openHours(String whose) {
        signIn();
        page.navigate(address("/desk/hours/" + whose));
        page.waitForLoadState();
    }

    private double x(String day, double hour) {
        BoundingBox lane = page.locator("#lane-" + day).boundingBox();
        return lane.x + (hour - 6) / 18 * lane.width;
    }

    private double y(String day) {
        BoundingBox lane = page.locator("#lane-" + day).boundingBox();
        return lane.y + lane.height / 2;
    }

    private void drag(String day, double from, double to) {
        page.mouse().move(x(day, from), y(day));
        page.mouse().down();
        page.mouse().move(x(day, to), y(day), new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
    }

    private Locator effect() {
        return page.locator("#effect");
    }

    @Test
    void byMouseItIsOpenedClosedPulledAndKeptForSomeOffersAndUndone() {
        open(true, 1280);
        openHours("staff/mira");
        drag("wed", 17, 18.45);
        assertThat(page.locator("#wed")).hasValue("9:30–13, 14–17");
        assertThat(effect()).containsText("Wednesday: 9:30–13, 14–18:30 → 9:30–13, 14–17");
        assertThat(effect()).containsText("A private lesson");
        assertThat(effect()).containsText("−");
        drag("thu", 18.5, 20);
        assertThat(page.locator("#thu")).hasValue("9:30–13, 14–20");
        drag("sat", 10, 12);
        assertThat(page.locator("#sat")).hasValue("10–12");
        page.getByLabel("only for some offers").check();
        page.locator("#whom").getByLabel("Glaze advice call").check();
        assertThat(page.locator("#sat")).hasValue("10–12 (Glaze advice call)");
        assertThat(page.locator("#lane-sat .window.some")).hasCount(1);
        assertThat(effect()).containsText("Saturday: closed → 10–12 (Glaze advice call)");

        page.reload();
        assertThat(page.locator("#thu")).hasValue("9:30–13, 14–20");
        assertThat(windows("mira", DayOfWeek.THURSDAY)).isEqualTo("[570-780, 840-1110]");
        button("Keep these hours").click();
        assertThat(page.getByText("It is kept, and counts from now on.")).isVisible();
        assertThat(windows("mira", DayOfWeek.THURSDAY)).isEqualTo("[570-780, 840-1200]");
        assertThat(windows("mira", DayOfWeek.SATURDAY)).isEqualTo("[600-720]");
        button("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();
        assertThat(windows("mira", DayOfWeek.WEDNESDAY)).isEqualTo("[570-780, 840-1110]");
    }

    /** The scripts of a slow line come long after the page; what was typed meanwhile is asked as soon as they are there. */
    @Test
    void whatIsTypedBeforeTheScriptsAreThereIsAskedWhenTheyAre() {
        open(true, 1280);
        signIn();
        typedBefore("hours/staff/jonte", "#thu", "15–17", "Thursday");
        typedBefore("house/staff/jonte", "#name", "Jonte of the Wheel", "→ Jonte of the Wheel");
    }

    private void typedBefore(String where, String field, String text, String told) {
        Pattern scripts = Pattern.compile("/app/desk[^/]*[.]js");
        List<Route> late = held(scripts);
        page.navigate(address("/desk/" + where), new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
        page.locator(field).fill(text);
        page.waitForCondition(() -> !late.isEmpty());
        late.get(0).resume();
        assertThat(effect()).containsText(told);
        page.unroute(scripts);
    }

    /** Two changes on their way could overtake one another, and the older one would be what is kept. */
    @Test
    void whatIsChangedWhileAnAnswerIsOnItsWayIsAskedAfterIt() {
        open(true, 1280);
        openHours("staff/jonte");
        Pattern week = Pattern.compile("/desk/hours/staff/jonte$");
        List<Route> held = held(week);
        page.locator("#lane-wed").focus();
        Keyboard keys = page.keyboard();
        keys.press("ArrowRight");
        keys.press("Enter");
        page.waitForCondition(() -> held.size() == 1);
        keys.press("ArrowDown");
        keys.press("ArrowRight");
        keys.press("Enter");
        page.evaluate("() => new Promise(done => setTimeout(done, 0))");
        assertThat(held).hasSize(1);
        page.unroute(week);
        held.get(0).resume();
        assertThat(effect()).containsText("Thursday: ");
        button("Back to as it was").click();
        assertThat(page.getByText("It is as it was.")).isVisible();
    }

    @Test
    void byKeyboardAlone() {
        open(true, 1280);
        openHours("staff/jonte");
        page.locator("#lane-mon").focus();
        Keyboard keys = page.keyboard();
        keys.press("ArrowRight");
        for (int i = 0; i < 4; i++) {
            keys.press("ArrowLeft");
        }
        keys.press("Alt+ArrowRight");
        assertThat(page.locator("#hours-told")).hasText("11:05–12:05");
        keys.press("Alt+ArrowLeft");
        keys.press("Shift+ArrowLeft");
        assertThat(page.locator("#hours-told")).hasText("11–11:45");
        keys.press("Enter");
        assertThat(page.locator("#mon")).hasValue("11–11:45, 12–19");
        keys.press("Escape");
        assertThat(page.locator("#mon")).hasValue("12–19");
        keys.press("ArrowRight");
        keys.press("ArrowDown");
        keys.press("ArrowRight");
        assertThat(page.locator("#lane-tue")).isFocused();
        keys.press("Enter");
        assertThat(page.locator("#tue")).not().hasValue("12–20");
        assertThat(effect()).containsText("Tuesday: 12–20 →");
        assertThat(page.locator("#lane-tue")).isFocused();
        button("Back to as it was").press("Enter");
        assertThat(page.getByText("It is as it was.")).isVisible();
        assertThat(page.locator("#tue")).hasValue("12–20");
    }

    @Test
    void whatIsTypedWrongIsToldAtItsFieldAndStays() {
        open(true, 1280);
        openHours("staff/okka");
        page.locator("#tue").fill("ten to four");
        assertThat(page.locator("#said-tue")).containsText("We cannot read “ten to four”");
        assertThat(page.locator("#tue")).hasAttribute("aria-invalid", "true");
        page.locator("#fri").fill("10-13 und 14–18 Uhr");
        assertThat(effect()).containsText("Friday: 10–18 → 10–13, 14–18");
        button("Keep these hours").click();
        assertThat(page.locator("#tue")).hasValue("ten to four");
        assertThat(page.locator("#said-tue")).containsText("We cannot read");
        assertThat(windows("okka", DayOfWeek.FRIDAY)).isEqualTo("[600-1080]");
        page.locator("#tue").fill("22–2");
        assertThat(page.locator("#said-tue")).not().containsText("We cannot read");
        assertThat(page.locator(".axis text").last()).hasText("2");
        button("Back to as it was").click();
        assertThat(page.locator("#tue")).hasValue("10–16");
    }

    @Test
    void withScriptsOffTheFiguresServeAndADayDiffersForAReason() {
        open(false, 390);
        openHours("house/house");
        page.getByLabel("Times on Monday").fill("noon – 8pm");
        button("^Keep these hours").click();
        assertThat(page.getByText("There was nothing to keep.")).isVisible();
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill("2027-01-25");
        page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("2027-01-20");
        page.getByLabel("Why").fill("The kiln is mended");
        button("Let these days differ").click();
        assertThat(page.getByText("The last day is before the first.")).isVisible();
        assertThat(page.getByLabel("Why")).hasValue("The kiln is mended");
        page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("2027-01-27");
        button("Let these days differ").click();
        assertThat(page.locator("#differing")).containsText("Mon 25 Jan – Wed 27 Jan");
        assertThat(page.locator("#differing")).containsText("The kiln is mended");
        button("^Keep these hours").click();
        assertThat(page.getByText("It is kept, and counts from now on.")).isVisible();

        page.navigate(address("/offers/wheel-hire?day=2027-01-26"));
        assertThat(page.locator("#panel")).containsText("We are closed. The kiln is mended");
        page.navigate(address("/desk/hours/house/house"));
        button("as usual again").click();
        button("^Keep these hours").click();
        assertThat(page.getByText("It is kept, and counts from now on.")).isVisible();
        assertThat(page.locator("#differing")).containsText("No day differs.");
    }

    @Test
    void byTouchADragOpensAndATapAsksForWhom() {
        try (BrowserContext phone = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(390, 800)
                        .setLocale("en-GB")
                        .setHasTouch(true)
                        .setIsMobile(true)
                        .setExtraHTTPHeaders(Map.of(FROM, somebody())))) {
            open(true, 390);
            Page own = page;
            page = phone.newPage();
            openHours("staff/mira");
            Locator lane = page.locator("#lane-mon");
            lane.scrollIntoViewIfNeeded();
            double from = x("mon", 13);
            double to = x("mon", 16);
            double y = y("mon");
            lane.dispatchEvent("pointerdown", touch(from, y));
            lane.dispatchEvent("pointermove", touch((from + to) / 2, y));
            lane.dispatchEvent("pointermove", touch(to, y));
            lane.dispatchEvent("pointerup", touch(to, y));
            assertThat(page.locator("#mon")).hasValue("13–16");
            assertThat(effect()).containsText("Monday: closed → 13–16");
            page.touchscreen().tap(x("mon", 14.5), y("mon"));
            assertThat(page.locator("#whom")).isVisible();
            page.getByLabel("only for the desk").check();
            assertThat(page.locator("#mon")).hasValue("13–16 (desk only)");
            page.locator("#whom-close").click();
            assertThat(page.locator("#mon")).hasValue("closed");
            page = own;
        }
    }

    private static Map<String, Object> touch(double x, double y) {
        return Map.of(
                "clientX", x, "clientY", y, "pointerType", "touch", "button", 0, "bubbles", true, "isPrimary", true);
    }

    @Test
    void whatWouldLieOutsideIsNamedWithItsBookingAndStays() {
        open(true, 1280);
        openHours("staff/mira");
        page.locator("#thu").fill("closed");
        assertThat(effect()).containsText(Pattern.compile("bookings? would lie outside. They stay:"));
        Locator booking = effect().locator("a").first();
        String who = booking.textContent().split(",")[0];
        button("Keep these hours").click();
        assertThat(page.getByText("It is kept")).isVisible();
        button("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();
        page.locator("#thu").fill("closed");
        effect().locator("a").first().click();
        assertThat(page).hasURL(Pattern.compile("/desk\\?day=2027-.*&booking="));
        assertThat(page.locator("aside h2").first()).hasText(who);
    }

    @Test
    void aDayIsCopiedAndAWeekGivenToOthersAndAllIsKeptTogether() {
        open(true, 1280);
        openHours("staff/okka");
        page.getByText("Copy a day, or the whole week").click();
        page.getByLabel("The times of").selectOption("fri");
        page.locator("form:has(#day)").getByLabel("Monday").check();
        page.locator("form:has(#day)").getByLabel("Wednesday").check();
        button("Copy the day").click();
        assertThat(page.locator("#mon")).hasValue("10–18");
        assertThat(page.locator("#wed")).hasValue("10–18");
        page.getByText("Copy a day, or the whole week").click();
        page.getByLabel("Mira").check();
        button("Give them this week").click();
        assertThat(effect()).containsText("Mira – Monday: closed → 10–18");
        button("Keep these hours").click();
        assertThat(page.getByText("It is kept")).isVisible();
        assertThat(windows("mira", DayOfWeek.WEDNESDAY)).isEqualTo("[600-1080]");
        assertThat(windows("okka", DayOfWeek.MONDAY)).isEqualTo("[600-1080]");
        button("Undo that").click();
        assertThat(page.getByText("It is undone.")).isVisible();
        assertThat(windows("mira", DayOfWeek.MONDAY)).isEqualTo("[]");
    }

    @Test
    void daysAreDraggedOverAndAClockThatChangesInsideAWindowIsTold() {
        open(true, 1280);
        openHours("staff/jonte");
        page.locator(".date[data-date='2027-02-09']").hover();
        page.mouse().down();
        page.locator(".date[data-date='2027-02-12']").hover();
        page.mouse().up();
        assertThat(page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("2027-02-09");
        assertThat(page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("2027-02-12");
        page.locator("#figures").fill("10–12 (Open clay table)");
        button("Let these days differ").click();
        assertThat(page.locator("#differing")).containsText("Tue 9 Feb – Fri 12 Feb 10–12 (Open clay table)");
        assertThat(page.locator(".date.other")).hasCount(4);
        page.locator("#sat").fill("20–4");
        assertThat(page.locator("#remarks"))
                .containsText("On Sat 27 Mar the clock goes forward inside 20–4: it is 60 minutes shorter.");
        button("Back to as it was").click();
        assertThat(page.locator("#remarks")).not().containsText("clock");
    }

    @Test
    void twoHostsAtOnceMergeWhatTheyChangedAndSeeBothWhereItIsTheSame() {
        open(true, 1280);
        try (BrowserContext other = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(1280, 800)
                        .setLocale("en-GB")
                        .setExtraHTTPHeaders(Map.of(FROM, somebody())))) {
            hosts.add("second@quillmere.example", "Second", "plenty of slip", Role.OWNER, Locale.ENGLISH);
            openHours("../house/staff/jonte");
            Page mine = page;
            page = other.newPage();
            page.navigate(address("/desk"));
            page.getByLabel("Mail address").fill("second@quillmere.example");
            page.getByLabel("Password").fill("plenty of slip");
            button("Sign in").click();
            page.navigate(address("/desk/house/staff/jonte"));
            page.waitForLoadState();
            page.getByLabel("At most so many").fill("6");
            assertThat(effect()).containsText("At most a day: nothing → 6");
            mine.bringToFront();
            mine.getByLabel("Name").fill("Jonte Brook");
            assertThat(mine.locator("#effect")).containsText("Name: Jonte → Jonte Brook");
            button("Keep this").click();
            assertThat(page.getByText("It is kept")).isVisible();
            page.getByLabel("Some words").fill("Thrower of large bowls.");
            assertThat(effect()).containsText("Some words");
            Page theirs = page;
            page = mine;
            button("Keep this").click();
            assertThat(page.getByText("It is kept")).isVisible();
            assertThat(page.getByLabel("At most so many")).hasValue("6");
            page.getByLabel("Some words").fill("Teaches beginners.");
            assertThat(effect()).containsText("Some words");
            button("Keep this").click();
            assertThat(page.getByText("It is kept")).isVisible();

            page = theirs;
            button("Keep this").click();
            assertThat(page.getByText("Somebody else changed this too")).isVisible();
            assertThat(page.locator("#notes")).containsText("yours: Thrower of large bowls.");
            assertThat(page.locator("#notes")).containsText("theirs: Teaches beginners.");
            page.getByLabel(Pattern.compile("^theirs")).check();
            button("That is what counts").click();
            assertThat(page.getByLabel("Some words")).hasValue("Teaches beginners.");
            assertThat(page.getByText("Nothing is changed.")).isVisible();
            page = mine;
        }
    }

    @Test
    void holidaysAreReadFromACalendarFileAndAskedBefore() {
        open(true, 1280);
        openHours("house/house");
        link("Holidays from a calendar file").click();
        page.getByLabel("Or paste what is in it").fill("Easter");
        button("Read it").click();
        assertThat(page.getByText("That is no calendar file")).isVisible();
        assertThat(page.getByLabel("Or paste what is in it")).hasValue("Easter");
        String file = String.join(
                "\r\n",
                "BEGIN:VCALENDAR",
                "VERSION:2.0",
                "PRODID:-//Town of Quillmere//Holidays//EN",
                "BEGIN:VEVENT",
                "UID:1",
                "DTSTAMP:20260101T000000Z",
                "DESCRIPTION:" + "long words ".repeat(9000),
                "DTSTART;VALUE=DATE:20200501",
                "RRULE:FREQ=YEARLY",
                "SUMMARY:Lantern Day",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:2",
                "DTSTAMP:20260101T000000Z",
                "DTSTART;VALUE=DATE:20270726",
                "DTEND;VALUE=DATE:20270807",
                "SUMMARY:Mill weeks",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:3",
                "DTSTAMP:20260101T000000Z",
                "DTSTART:20270303T100000Z",
                "SUMMARY:A meeting",
                "END:VEVENT",
                "END:VCALENDAR");
        page.getByLabel("Choose a calendar file")
                .setInputFiles(new FilePayload("days.ics", "text/calendar", file.getBytes(StandardCharsets.UTF_8)));
        button("Read it").click();
        assertThat(page.getByLabel("Sat 1 May")).isChecked();
        assertThat(page.getByText("A meeting")).hasCount(0);
        page.getByLabel("Mon 1 May").uncheck();
        button("Close on these days").click();
        assertThat(page.locator("#differing")).containsText("Sat 1 May closed");
        assertThat(page.locator("#differing")).containsText("Lantern Day");
        assertThat(page.locator("#differing")).containsText("Mon 26 Jul – Fri 6 Aug closed");
        assertThat(page.locator("#differing")).not().containsText("Mon 1 May");
        button("Back to as it was").click();
        assertThat(page.locator("#differing")).containsText("No day differs.");
    }
}
