package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.core.openings.Answer;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A guest who is elsewhere sees when it is there, for what they can do from anywhere, with the house's time beside it. */
class ZonesTest extends Journey {

    private static final ZoneId HOUSE = ZoneId.of("Europe/Berlin");

    private static String said(long minute, ZoneId zone, String pattern) {
        return Instant.ofEpochSecond(minute * 60)
                .atZone(zone)
                .format(DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH));
    }

    @Test
    void acrossTheOceanTimesAreThoseOfTheGuestWithTheHousesBesideAndASwitch() {
        ZoneId there = ZoneId.of("America/New_York");
        Answer.Entry entry = opening("glaze-call", "25", 1, 3);
        openIn(there.getId(), 390);
        page.navigate(address("/offers/glaze-call?day=" + dateOf(entry)));
        Locator first = page.locator(".slot b").first();
        long start = Long.parseLong(page.locator(".slot b[data-start]").first().getAttribute("data-start"));
        assertThat(first).containsText(said(start, there, "H:mm") + " – ");
        assertThat(first.locator("small")).containsText(said(start, HOUSE, "H:mm") + " –");
        assertThat(page.locator(".theirs-switch")).containsText("America/New_York");
        button("Show the house’s only").click();
        assertThat(first.locator("small")).hasCount(0);
        assertThat(first).containsText(said(start, HOUSE, "H:mm"));
        button("Show them where I am").click();
        assertThat(first.locator("small")).hasCount(1);
        page.locator(".slot").first().click();
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        assertThat(page.locator(".theirs")).containsText(said(start, there, "H:mm"));
        assertThat(page.locator(".theirs")).containsText("where you are (America/New_York)");
    }

    @Test
    void beyondMidnightTheDateIsSaidToo() {
        ZoneId there = ZoneId.of("Pacific/Auckland");
        Answer.Entry entry = opening("glaze-call", "25", 1, 5);
        openIn(there.getId(), 1280);
        page.navigate(address("/offers/glaze-call?day=" + dateOf(entry)));
        Locator last = page.locator(".slot b[data-start]").last();
        long start = Long.parseLong(last.getAttribute("data-start"));
        assertThat(said(start, there, "d")).isNotEqualTo(said(start, HOUSE, "d"));
        assertThat(last).containsText(Pattern.compile(said(start, there, "EEE") + ".*" + said(start, there, "d")));
        assertThat(last).containsText(said(start, there, "H:mm"));
    }

    @Test
    void whereTheClocksSayTheSameAndOnTheSpotNothingIsSaid() {
        Answer.Entry entry = opening("glaze-call", "25", 1, 4);
        openIn("Europe/Paris", 1280);
        page.navigate(address("/offers/glaze-call?day=" + dateOf(entry)));
        assertThat(page.locator(".slot").first()).isVisible();
        assertThat(page.locator(".theirs-switch")).isHidden();
        assertThat(page.locator(".slot b small")).hasCount(0);
        page.navigate(address("/offers/private-lesson"));
        assertThat(page.locator(".slot b[data-start]")).hasCount(0);
    }

    /** In the weeks in which one has changed its clock and the other has not, and in the nights of the changes. */
    @Test
    void changesOfTheClockAreThoseOfEachZone() {
        openIn("America/New_York", 1280);
        page.navigate(address("/offers/glaze-call"));
        assertThat(page.locator(".slot").first()).isVisible();
        for (String local : new String[] {
            "2027-03-10T14:00",
            "2027-03-20T14:00",
            "2027-03-28T06:30",
            "2027-10-31T02:30",
            "2027-11-07T06:30",
            "2027-11-08T00:15"
        }) {
            ZonedDateTime house = LocalDateTime.parse(local).atZone(HOUSE);
            long minute = house.toEpochSecond() / 60;
            page.evaluate(
                    """
                    at => {
                      document.querySelector('#tried')?.remove();
                      const one = document.createElement('b');
                      one.id = 'tried';
                      one.setAttribute('data-x-data', 'theirs');
                      Object.assign(one.dataset, { start: at.start, end: at.end, zone: 'Europe/Berlin', clock: 'h23' });
                      document.querySelector('main').append(one);
                    }
                    """,
                    Map.of("start", Long.toString(minute), "end", Long.toString(minute + 25)));
            ZoneId there = ZoneId.of("America/New_York");
            assertThat(page.locator("#tried")).containsText(said(minute, there, "H:mm"));
            boolean otherDay = !said(minute, there, "d").equals(said(minute, HOUSE, "d"));
            assertThat(page.locator("#tried").textContent().contains(said(minute, there, "EEE")))
                    .as(local)
                    .isEqualTo(otherDay);
        }
    }
}
