package gastfreund.app.figures;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.lookedfor.Counted;
import gastfreund.app.lookedfor.LookedFor;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What guests looked for and did not find: counted as they see it, and told to the host with what it would have taken. */
class UnmetTest extends DemoHouseTest {

    @Autowired
    private LookedFor lookedFor;

    private HostBrowser host;
    private LocalDate today;

    /** Nobody gives lessons on Sundays, and the house is open then. */
    private LocalDate sunday;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        today = LocalDate.of(2027, 1, 13);
        sunday = today.with(TemporalAdjusters.next(DayOfWeek.SUNDAY));
    }

    private void look(String path, String who) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address(path)))
                .header(FROM, who)
                .build();
        assertThat(HttpClient.newHttpClient()
                        .send(request, HttpResponse.BodyHandlers.ofString())
                        .statusCode())
                .isEqualTo(200);
    }

    private List<Counted> counted(String offer) {
        lookedFor.write();
        return lookedFor.since(today.minusDays(1)).stream()
                .filter(c -> c.asked().offer().value().equals(offer))
                .toList();
    }

    @Test
    void whoeverSeesNoOpeningIsCountedOnceADayWithWhatStandsAgainstIt() throws Exception {
        String empty = "/offers/private-lesson?length=60&party=2&place=mill-yard&day=" + sunday;
        String one = somebody();
        look(empty, one);
        look(empty, one);
        look(empty + "&fragment=panel", one);
        look(empty, somebody());
        look("/offers/private-lesson?length=60&party=2&place=mill-yard", one);
        List<Counted> counted = counted("private-lesson").stream()
                .filter(c -> c.asked().party() == 2 && sunday.equals(c.asked().wanted()))
                .toList();
        assertThat(counted).hasSize(1);
        assertThat(counted.get(0).guests()).isEqualTo(2);
        assertThat(counted.get(0).asked().why()).isNotEmpty().first().asString().startsWith("hours:");
        assertThat(counted("private-lesson"))
                .as("where something is open nobody asked in vain")
                .noneMatch(c -> c.asked().wanted() == null);
    }

    @Test
    void theHostReadsWhatItWouldHaveTakenAndTriesItAsADraft() throws Exception {
        for (int i = 0; i < 3; i++) {
            look("/offers/private-lesson?length=60&party=1&place=mill-yard&day=" + sunday, somebody());
        }
        lookedFor.write();
        String page = host.get("/desk/figures").body();
        assertThat(page).contains("Sundays: A private lesson at the wheel for one", "try it");
        Matcher works = Pattern.compile(
                        "value=\"(private-lesson/1/sunday)\"><input type=\"hidden\" name=\"change\" value=\"(works:\\w+)\"")
                .matcher(page);
        assertThat(works.find()).isTrue();
        String to = path(host.post("/desk/figures/try", Map.of("group", works.group(1), "change", works.group(2))));
        assertThat(to).isEqualTo("/desk/hours/staff/" + works.group(2).substring("works:".length()));
        assertThat(host.get(to).body()).contains("Sunday");
        assertThat(host.get("/desk/figures").body())
                .containsPattern("Your drafts \\([A-Z][a-z]+\\) would have given (\\d+) of \\1 guests");
        assertThat(host.post("/desk/figures/try", Map.of("group", "nothing/1/any", "change", "notice"))
                        .statusCode())
                .isEqualTo(404);
    }
}
