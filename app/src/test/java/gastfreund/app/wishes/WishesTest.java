package gastfreund.app.wishes;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.messages.Written;
import gastfreund.core.hours.OfferId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who waits for a full session gets a seat before anybody else, in turn. */
class WishesTest extends DemoHouseTest {

    private static final String COURSE = "wheel-evenings";

    @Autowired
    private WishRound round;

    @Autowired
    private CatalogueService catalogues;

    @AfterEach
    void backToToday() {
        clock.reset();
    }

    /**
     * A session that is full.
     *
     * @param basket of somebody who keeps some seats of it
     * @param seats how many
     */
    private record Full(long start, String basket, int seats) {}

    private Full full(int daysAhead) {
        LocalDate from = today().plusDays(daysAhead);
        Answer.Entry entry = openings.next(Query.of(new OfferId(COURSE), from, from, clock.instant()))
                .orElseThrow();
        long start = entry.time().start();
        int most = catalogues.catalogue().offer(new OfferId(COURSE)).party().max();
        Full full = null;
        for (int left = entry.open().get(0).opening().left(); left > 0; left -= Math.min(left, most)) {
            Full some = new Full(start, kept(start, Math.min(left, most)), Math.min(left, most));
            full = full == null ? some : full;
        }
        return full;
    }

    private String kept(long start, int party) {
        return path(post("/offers/" + COURSE + "/keep?party=" + party, Map.of("start", start), FROM, somebody()));
    }

    private void release(Full full) {
        String line = page(full.basket()).selectFirst("form[action$=/release]").attr("action");
        post(line, Map.of());
    }

    private Document page(String path) {
        HttpResponse<String> answer = get(path);
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    private HttpResponse<String> sent(long start, String name, String email) {
        Element form =
                page("/offers/" + COURSE + "/wish?party=1&start=" + start).selectFirst("form[action*=/wish]");
        Map<String, Object> fields = new HashMap<>();
        form.select("input[type=hidden]").forEach(i -> fields.put(i.attr("name"), i.val()));
        fields.put("party", "1");
        fields.put("name", name);
        fields.put("email", email);
        return post(form.attr("action"), fields, FROM, somebody());
    }

    private String wish(long start, String name) {
        String led = path(sent(start, name, name.toLowerCase(Locale.ROOT) + "@post.example"));
        assertThat(led).startsWith("/wishes/");
        return led.replaceAll("\\?.*", "");
    }

    private String state(String wish) {
        return page(wish).selectFirst("section h2").text();
    }

    @Test
    void whoWaitsFirstGetsTheSeatWithALetterAndTheNextAfterThem() {
        Full session = full(7);
        String first = wish(session.start(), "Ilva");
        String second = wish(session.start(), "Bram");
        assertThat(page(first).text()).contains("Nobody is before you.");
        assertThat(page(second).text()).contains("One is before you.");
        round.run();
        assertThat(state(first)).isEqualTo("You are on the list");
        release(session);
        round.run();
        assertThat(state(first)).isEqualTo("There is room for you");
        List<Written> told = letters.to("ilva@post.example");
        assertThat(told).extracting(Written::subject).anyMatch(s -> s.contains("There is room for you"));
        assertThat(told).extracting(Written::text).anyMatch(t -> t.contains(first) && t.contains("kept for you until"));

        // Several seats came free: everybody who waits gets one.
        assertThat(state(second)).isEqualTo("There is room for you");
        String basket = page(first).selectFirst("a.button.main").attr("href");
        get(pay(order(basket, "Ilva", "ilva@post.example"), "WORKS"));
        round.run();
        assertThat(state(first)).isEqualTo("You have booked it");

        // The other does not come in time: after the hours that the house has set, quiet ones not counted.
        clock.moveAhead(Duration.ofHours(3).plusMinutes(50));
        round.run();
        assertThat(state(second)).isEqualTo("There is room for you");
        clock.moveAhead(Duration.ofMinutes(20));
        round.run();
        assertThat(state(second)).isEqualTo("The time to book it is over");
        String again = path(post(second + "/again", Map.of()));
        assertThat(state(again)).isEqualTo("There is room for you");
    }

    @Test
    void nobodyComesBetweenWhoWaitsAndWhatComesFree() {
        Full session = full(14);
        String waits = wish(session.start(), "Runa");
        release(session);
        // The round has not looked yet, and somebody wants every seat.
        assertThat(kept(session.start(), session.seats())).contains("gone=");
        assertThat(state(waits)).isEqualTo("There is room for you");
        assertThat(kept(session.start(), session.seats() - 1)).startsWith("/basket/");
    }

    @Test
    void whoLeavesGivesBackWhatWasKept() {
        Full session = full(28);
        String first = wish(session.start(), "Tove");
        release(session);
        round.run();
        assertThat(state(first)).isEqualTo("There is room for you");
        post(first + "/leave", Map.of());
        assertThat(state(first)).isEqualTo("You are no longer on the list");
        assertThat(kept(session.start(), session.seats())).startsWith("/basket/");
    }

    @Test
    void whatIsMissingIsSaidAtItsFieldAndNothingTypedIsLost() {
        Document wrong = Jsoup.parse(post(
                        "/offers/private-lesson/wish?party=1",
                        Map.of("from", "2027-02-05", "to", "2027-02-03", "name", "Sunniva", "email", "nobody"))
                .body());
        assertThat(wrong.text()).contains("The last day lies before the first", "Please tell us a mail address");
        assertThat(wrong.selectFirst("[name=name]").val()).isEqualTo("Sunniva");
        assertThat(wrong.selectFirst("[name=from]").val()).isEqualTo("2027-02-05");
        assertThat(get("/wishes/no-such").statusCode()).isEqualTo(404);
    }

    /** A wish for a day on which the course never is. */
    private HttpResponse<String> vainly(String name, String email) {
        LocalDate day = today().plusDays(1);
        return post(
                "/offers/" + COURSE + "/wish?party=1",
                Map.of("from", day, "to", day, "name", name, "email", email),
                FROM,
                somebody());
    }

    @Test
    void oneAddressHasEightWishesAndNoMore() {
        for (int i = 0; i < Wishes.MOST_OF_ONE; i++) {
            assertThat(vainly("Edda", "edda@post.example").statusCode()).isEqualTo(302);
        }
        assertThat(vainly("Edda", "EDDA@post.example").body()).contains("There are 8 wishes of this mail address");
    }

    @Test
    void hostsSeeTheListAndOrderIt() {
        String first = path(vainly("Alba", "alba@post.example")).replaceAll("\\?.*", "");
        String second = path(vainly("Corin", "corin@post.example")).replaceAll("\\?.*", "");
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(Jsoup.parse(host.get("/desk/wishes").body()).text()).containsSubsequence("Alba", "Corin");
        host.post("/desk" + second + "/up", Map.of());
        assertThat(Jsoup.parse(host.get("/desk/wishes").body()).text()).containsSubsequence("Corin", "Alba");
        assertThat(page(first).text()).contains("before you.");
        host.post("/desk" + second + "/remove", Map.of());
        assertThat(state(second)).isEqualTo("You are no longer on the list");
        assertThat(host.get("/desk/waits").body()).contains("Waiting list");
    }
}
