package gastfreund.app.board;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the board shows. */
class BoardsTest extends OrdersTest {

    @Autowired
    private BoardEvents events;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private String board(String what) {
        return host.get("/desk" + what).body();
    }

    private static long count(String page, String pattern) {
        return Pattern.compile(pattern).matcher(page).results().count();
    }

    /** The classes of a booking's block. */
    private static String classes(String page, String booking) {
        int at = page.indexOf("data-booking=\"" + booking + "\"");
        String tag = page.substring(page.lastIndexOf("<a ", at), page.indexOf('>', at));
        return tag.replaceAll("(?s).*class=\"([^\"]*)\".*", "$1");
    }

    private static String[] columns(String page) {
        int at = page.indexOf("data-columns=\"") + "data-columns=\"".length();
        return page.substring(at, page.indexOf('"', at)).split(";");
    }

    private LocalDate date(Order order) {
        return LocalDate.ofInstant(line(order).time().startInstant(), ZoneId.of("Europe/Berlin"));
    }

    @Test
    void aDayThreeDaysAndAWeekStandSideBySide() {
        LocalDate day = today().plusDays(4);
        for (int span : new int[] {1, 3, 7}) {
            String page = board("?day=" + day + "&span=" + span);
            assertThat(columns(page)).hasSize(span);
            assertThat(page).contains("data-days=\"" + day + " " + day.plusDays(span - 1L) + "\"");
            assertThat(page)
                    .as("the way on keeps what is shown")
                    .contains(
                            span == 1
                                    ? "/desk?day=" + day.plusDays(1) + "\""
                                    : "/desk?day=" + day.plusDays(span) + "&amp;span=" + span);
        }
        assertThat(board("?day=nonsense&span=5&state=nothing&person=nobody")).contains("data-columns");
    }

    @Test
    void partsOfADayLieInItsColumn() {
        String page = board("?span=3");
        double last = 0;
        for (String column : columns(page)) {
            String[] parts = column.split(" ");
            assertThat(Double.parseDouble(parts[2])).isGreaterThanOrEqualTo(last);
            last = Double.parseDouble(parts[3]);
            assertThat(last).isGreaterThan(Double.parseDouble(parts[2])).isLessThanOrEqualTo(100);
        }
    }

    @Test
    void filtersDimWhatIsNotLookedForAndStayInTheAddress() {
        Order order = paid("private-lesson", "60", 9, "WORKS");
        LocalDate day = date(order);
        String booking = line(order).booking().value();
        assertThat(classes(board("?day=" + day), booking)).isEqualTo("confirmed");
        String requests = board("?day=" + day + "&state=requested");
        assertThat(classes(requests, booking)).isEqualTo("confirmed faint");
        assertThat(requests).contains("state=requested&amp;booking=" + booking);
        String person = line(order).reserved().staff().get(0).value();
        String one = board("?day=" + day + "&person=" + person);
        assertThat(classes(one, booking)).isEqualTo("confirmed");
        assertThat(count(one, "data-lane=")).isEqualTo(1);
        assertThat(board("?day=" + day + "&offer=wheel-hire"))
                .contains("offer:wheel-hire")
                .doesNotContain("person:mira", "offer:firing");
    }

    @Test
    void timetablesAreThereAlsoWhereNobodyBooked() {
        long sessions = 0;
        for (int weeks = 0; weeks < 8; weeks++) {
            String page = board("?span=7&day=" + today().plusWeeks(weeks));
            sessions += count(page, "class=\"session");
        }
        assertThat(sessions).as("evenings at the wheel").isPositive();
    }

    @Test
    void freeTimeAndLevelsAreWhatTheEngineSays() {
        String page = board("?day=" + today().plusDays(6));
        assertThat(page).containsPattern("\\d+ starts? still to sell").contains("class=\"gap\"");
        paid("wheel-hire", "60", 6, "WORKS");
        String after = board("?day=" + today().plusDays(6));
        assertThat(count(after, "class=\"level\"")).isPositive();
        MatchResult most = Pattern.compile("6 in all, at most (\\d) taken")
                .matcher(after)
                .results()
                .findFirst()
                .orElseThrow();
        assertThat(Integer.parseInt(most.group(1))).isBetween(1, 6);
    }

    @Test
    void whatHappensElsewhereMakesAnotherVersion() {
        String before = host.get("/desk/board/version").body();
        assertThat(host.get("/desk/board/version").body()).isEqualTo(before).isEqualTo(events.version());
        paid("wheel-hire", "60", 7, "WORKS");
        assertThat(host.get("/desk/board/version").body()).isNotEqualTo(before);
        assertThat(board("")).contains("data-version=\"" + events.version() + "\"");
        assertThat(get("/desk/board/version").statusCode())
                .as("for hosts alone")
                .isNotEqualTo(200);
    }

    @Test
    void whatIsCalledLikeAPartOfAMemberIsNobodys() {
        for (String name : new String[] {"party.x", "staff.class"}) {
            assertThat(get("/offers/private-lesson?party=1&" + name + "=1").statusCode())
                    .as(name)
                    .isEqualTo(200);
            assertThat(host.get("/desk/book?offer=private-lesson&party=1&" + name + "=1")
                            .statusCode())
                    .as(name)
                    .isEqualTo(200);
        }
    }
}
