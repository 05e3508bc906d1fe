package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** What a host does beside the board: with many bookings at once, with lists, guests, statements, and at a tablet. */
class DeskListsTest extends Journey {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    /** Books it by hand for somebody; when it is. */
    private Answer.Entry byHand(int daysAhead, String name, String mail) {
        LocalDate from = LocalDate.ofInstant(clock.instant(), BERLIN).plusDays(daysAhead);
        Answer.Entry entry = openings.next(Query.of(new OfferId("private-lesson"), from, from, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withStaff(new StaffId("mira")))
                .orElseThrow();
        page.navigate(address("/desk/book?offer=private-lesson&length=60&staff=mira&at="
                + entry.time().start()));
        page.getByLabel("Name").fill(name);
        page.getByLabel("Mail address").fill(mail);
        button("^Book it$").last().click();
        assertThat(page).hasURL(Pattern.compile("booking="));
        return entry;
    }

    private void list(String name) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), BERLIN);
        page.navigate(address("/desk/bookings?from=" + today + "&to=" + today.plusDays(200)));
        page.getByLabel("Guest or number").fill(name);
        assertThat(page.locator("#sums")).containsText("booking");
        assertThat(page.locator("tbody tr:not(:has-text('" + name + "'))")).hasCount(0);
    }

    @Test
    void severalAreTickedInTheListAndMovedByAWeekAlike() {
        open(true, 1280);
        signIn();
        Answer.Entry first = byHand(20, "Janne Moos", "janne@post.example");
        byHand(22, "Janne Moos", "janne@post.example");
        list("Janne Moos");
        Locator boxes = page.locator("tbody input[type=checkbox]");
        assertThat(boxes).hasCount(2);
        boxes.first().check();
        boxes.last().check();
        button("With the ticked ones").click();
        assertThat(heading("2 bookings")).isVisible();
        page.getByLabel("All of them").selectOption("shift");
        button("Look what it does").click();
        assertThat(page.getByText("By how much?")).isVisible();
        page.getByLabel("Moved by").fill("1");
        page.getByLabel("In", new Page.GetByLabelOptions().setExact(true)).selectOption("weeks");
        button("Look what it does").click();
        assertThat(page.locator("#would")).containsText("Janne Moos");
        assertThat(Accessibility.faults(page)).isEmpty();
        assertThat(page.locator("#would")).containsText("moved to");
        button("Do it").click();
        assertThat(page.getByText("It is done.")).isVisible();
        list("Janne Moos");
        page.locator("tbody tr").first().locator("a").first().click();
        assertThat(page).hasURL(Pattern.compile("day=" + dateOf(first).plusWeeks(1)));
    }

    @Test
    void whatIsTickedStaysTickedWhereAFilterBringsOtherRows() {
        open(true, 1280);
        signIn();
        byHand(20, "Juna Feld", "feld@post.example");
        byHand(22, "Juna Wald", "wald@post.example");
        list("Juna");
        Locator boxes = page.locator("tbody input[type=checkbox]");
        assertThat(boxes).hasCount(2);
        Locator box = page.locator("tbody tr:has-text('Juna Wald') input[type=checkbox]");
        Pattern answers = Pattern.compile("/desk/bookings[?].*fragment");
        List<Route> held = held(answers);
        page.getByLabel("Guest or number").fill("Juna Wald");
        page.waitForCondition(() -> !held.isEmpty());
        box.check();
        held.get(0).resume();
        assertThat(boxes).hasCount(1);
        assertThat(box).isChecked();
        assertThat(box).isFocused();
        page.unroute(answers);
        page.getByLabel("Guest or number").fill("Juna");
        assertThat(boxes).hasCount(2);
        assertThat(page.locator("tbody input:checked")).hasCount(1);
        button("With the ticked ones").click();
        assertThat(heading("One booking")).isVisible();
        assertThat(page.locator("main")).containsText("Juna Wald");
    }

    @Test
    void columnsAreChosenAViewIsKeptAndWhatIsShownGoesOut() throws IOException {
        open(true, 1280);
        signIn();
        byHand(24, "Kaya Lund", "kaya@post.example");
        list("Kaya Lund");
        page.getByText("Columns", new Page.GetByTextOptions().setExact(true))
                .first()
                .click();
        page.getByLabel("Mail", new Page.GetByLabelOptions().setExact(true)).check();
        assertThat(page.locator("thead")).containsText("Mail");
        assertThat(page.locator("tbody")).containsText("kaya@post.example");
        page.locator("tbody a:has-text('Kaya Lund')").first().click();
        assertThat(page.locator("#beside")).containsText("Kaya Lund");
        assertThat(Accessibility.faults(page)).isEmpty();
        page.getByText("Keep this view").click();
        page.getByLabel("Called").fill("Kaya's");
        button("^Keep it$").click();
        Locator chip = page.locator(".chips .chip:has-text(\"Kaya's\")");
        assertThat(chip).isVisible();
        page.navigate(address("/desk/bookings"));
        chip.click();
        assertThat(page.locator("thead")).containsText("Mail");
        assertThat(page.locator("tbody tr")).hasCount(1);
        Download file = page.waitForDownload(() -> link("As a table").click());
        try (CSVParser rows = CSVParser.parse(
                Files.readString(file.path()),
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get())) {
            List<CSVRecord> all = rows.getRecords();
            assertThat(all).hasSize(1);
            assertThat(all.get(0).get("mail")).isEqualTo("kaya@post.example");
        }
        button("No longer keep").click();
        assertThat(chip).hasCount(0);
    }

    @Test
    void twoGuestsAreMadeOneAndForgottenWhenAllIsOver() {
        open(true, 1280);
        signIn();
        byHand(3, "Lorenz Tann", "lorenz@post.example");
        byHand(4, "Lorenz Tann", "l.tann@office.example");
        page.navigate(address("/desk/guests"));
        page.getByLabel("Name, mail or telephone").fill("Lorenz");
        assertThat(page.locator("tbody tr")).hasCount(2);
        page.locator("tbody a").first().click();
        Locator beside = page.locator("#beside");
        assertThat(beside).containsText("1");
        assertThat(Accessibility.faults(page)).isEmpty();
        link("Everything about this guest").click();
        button("Make them one").click();
        assertThat(page.getByText("They are one guest now.")).isVisible();
        assertThat(page.locator("main")).containsText("2 bookings");
        page.getByText("Forget this guest …").click();
        assertThat(page.getByText("Something is still to come").first()).isVisible();
        String guest = page.url();
        clock.moveAhead(Duration.ofDays(8));
        signIn();
        // A letter that is still on its way is something to come, too.
        page.waitForCondition(() -> {
            page.navigate(guest);
            return page.getByText("Something is still to come").count() == 0;
        });
        page.getByText("Forget this guest …").click();
        assertThat(page.locator("main")).containsText("of 2 orders go");
        button("^Forget this guest$").click();
        assertThat(page.getByText("The guest is forgotten.")).isVisible();
        page.getByLabel("Name, mail or telephone").fill("Lorenz");
        assertThat(page.getByText("Nobody is found.")).isVisible();
    }

    @Test
    void aTimeIsKeptFreeAndGivenBack() {
        open(true, 1280);
        signIn();
        LocalDate day = LocalDate.ofInstant(clock.instant(), BERLIN).plusDays(40);
        page.navigate(address("/desk/blocked?day=" + day));
        page.getByLabel("From").fill("13:00");
        page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("14:30");
        page.getByLabel("With a word").fill("dentist");
        page.getByLabel("Whose").selectOption("mira");
        page.getByLabel("Every week", new Page.GetByLabelOptions().setExact(true))
                .check();
        button("Keep it free").click();
        assertThat(page.getByText("Please say until when")).isVisible();
        assertThat(page.getByLabel("With a word")).hasValue("dentist");
        page.getByLabel("Every week", new Page.GetByLabelOptions().setExact(true))
                .uncheck();
        button("Keep it free").click();
        assertThat(page.locator("main")).containsText("dentist");
        page.navigate(address("/desk?day=" + day));
        assertThat(page.locator("[data-lane='person:mira'] .word").first()).hasText("dentist");
        page.navigate(address("/desk/blocked?day=" + day));
        button("Give free: Mira").first().click();
        assertThat(page.locator("main li:has-text('dentist')")).hasCount(0);
    }

    @Test
    void aStatementAsATableIsReadOnceItsColumnsAreNamed() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/statements"));
        String table = "Booked;Who;What for;EUR\n26.11.2026;Nobody Known;a present for you;12,34\n";
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("bank.csv", "text/csv", table.getBytes(StandardCharsets.UTF_8)));
        button("Read it").click();
        Locator columns = page.locator("main select");
        assertThat(columns).hasCount(4);
        columns.nth(0).selectOption("date");
        columns.nth(1).selectOption("name");
        columns.nth(2).selectOption("words");
        columns.nth(3).selectOption("amount");
        button("Read it").click();
        Locator line = page.locator(".lines li:has-text('Nobody Known')");
        assertThat(line).containsText("12.34");
        line.locator("button:has-text('Something else')").click();
        assertThat(line).hasCount(0);
    }

    @Test
    void atATabletABlockIsTappedAndDraggedByAFinger() {
        openTouch(1024, 768);
        signIn();
        Answer.Entry entry = byHand(12, "Mattis Roy", "mattis@post.example");
        page.navigate(address("/desk?day=" + dateOf(entry)));
        Locator block = page.locator(".board a[data-booking][data-said*='Mattis']");
        block.tap();
        assertThat(page.locator("#board-side")).containsText("Mattis Roy");
        BoundingBox box = block.locator(".block").boundingBox();
        Finger finger = new Finger(page);
        finger.down(box.x + 12, box.y + box.height / 2);
        assertThat(page.locator(".board .lit").first()).isAttached();
        Locator free = page.locator("[data-lane='person:jonte'] .lit").first();
        BoundingBox to = free.boundingBox();
        finger.move(to.x + 14, to.y + 40);
        assertThat(page.locator("[data-tip]")).containsText("Jonte");
        finger.up();
        assertThat(page.locator("dialog")).containsText("with Jonte");
        button("Move it").tap();
        assertThat(page.locator("[data-lane='person:jonte'] a[data-said*='Mattis']"))
                .hasCount(1);
        assertThat((Boolean) page.evaluate(
                        "() => document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
                .isTrue();
    }
}
