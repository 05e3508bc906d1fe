package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.app.busytimes.BusyTimes;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Calendars of other programs: what stands there takes openings away, and what is booked appears there. */
class CalendarsTest extends Journey {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
    private static final Locator.GetByLabelOptions EXACT = new Locator.GetByLabelOptions().setExact(true);

    @Autowired
    private BusyTimes busy;

    private Locator jonte() {
        return page.locator("#busy-jonte");
    }

    private static String time(Instant instant) {
        return DateTimeFormatter.ofPattern("HH:mm").withZone(BERLIN).format(instant);
    }

    private void makeEvent(String title, Answer.Entry opening) {
        page.navigate(STANDINS.address() + "/calendars/jonte");
        Locator form = page.locator("form:has([name=title])");
        form.getByLabel("Title").fill(title);
        form.getByLabel("Date").fill(dateOf(opening).toString());
        form.getByLabel("from").fill(time(opening.time().startInstant()));
        form.getByLabel("to", EXACT).fill(time(opening.time().endInstant()));
        button("Make it").click();
        assertThat(page.getByText(title)).isVisible();
    }

    private Answer.Entry ofJonte(int daysAhead) {
        LocalDate from = LocalDate.ofInstant(clock.instant(), BERLIN).plusDays(daysAhead);
        return openings.next(Query.of(new OfferId("private-lesson"), from, from, clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withParty(1)
                        .withStaff(new StaffId("jonte")))
                .orElseThrow();
    }

    private Locator slot(Answer.Entry opening) {
        page.navigate(address("/offers/private-lesson?length=60&staff=jonte&day=" + dateOf(opening)));
        assertThat(page.locator(".slot").first()).isVisible();
        return page.locator(
                "form:has(input[name=start][value='" + opening.time().start() + "']) .slot");
    }

    @Test
    void anEventMadeElsewhereTakesAnOpeningAwayAndWhatWasBookedIsMarkedAndInTheFeed() {
        open(true, 1280);
        Answer.Entry booked = ofJonte(24);
        slot(booked).click();
        checkOut("Runa Olsted");
        payWith("Works");
        assertThat(heading("See you soon, Runa Olsted")).isVisible();

        signIn();
        page.navigate(address("/desk/calendars"));
        Locator own = page.locator("li:has(b:text-is('Jonte'))");
        own.getByText("Make an address").click();
        assertThat(own.getByText("Make another address")).isVisible();
        String feed = own.locator("code").textContent();
        assertThat(get(feed.substring(address("").length())).body()).contains("Runa Olsted");

        link("Other calendars").click();
        jonte().getByLabel("The address of a calendar").fill("calendars");
        jonte().getByText("Read this calendar").click();
        assertThat(jonte()).containsText("This is not an address");
        assertThat(jonte().getByLabel("The address of a calendar")).hasValue("calendars");
        jonte().getByLabel("The address of a calendar").fill(STANDINS.address() + "/calendars/jonte.ics");
        jonte().getByText("Read this calendar").click();
        assertThat(jonte()).containsText(Pattern.compile("Read .*: no events"));

        Answer.Entry free = ofJonte(31);
        assertThat(slot(free)).hasCount(1);
        makeEvent("Physio", booked);
        makeEvent("Choir", free);
        clock.moveAhead(Duration.ofMinutes(10));
        busy.readDue();
        assertThat(slot(free)).hasCount(0);
        page.navigate(address("/desk/busy-times"));
        assertThat(jonte()).containsText("2 events");
        page.navigate(address("/desk?day=" + dateOf(booked)));
        assertThat(page.locator(".board .busy")).hasCount(1);
        assertThat(page.locator(".board a:has(.clash)")).hasCount(1);
        page.locator(".board a:has(.clash)").click();
        assertThat(page.locator("aside.sheet")).containsText("Jonte has something else at that time");
        page.navigate(address("/desk/busy-times"));
        jonte().getByText("No longer read it").click();
        assertThat(page.getByText("It is no longer read")).isVisible();
        assertThat(slot(free)).hasCount(1);
    }
}
