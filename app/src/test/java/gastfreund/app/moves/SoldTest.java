package gastfreund.app.moves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Endings;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.terms.Terms;
import gastfreund.housefile.HouseFile;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was sold stays as it was sold, whatever becomes of the offer: here everything that can be changed is changed, and
 * everything that can go is taken away, under bookings that stand.
 */
class SoldTest extends OrdersTest {

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Endings endings;

    @Autowired
    private Moves moves;

    @Autowired
    private CatalogueService catalogues;

    private final Map<String, List<String>> things = Map.of(
            "offers", List.of("private-lesson"), "places", List.of("mill-yard"), "staff", List.of("mira", "jonte"));
    private final List<Object[]> before = new ArrayList<>();

    @BeforeEach
    void remember() {
        things.forEach((kind, ids) -> ids.forEach(id ->
                edits.change(kind, id, json -> before.add(new Object[] {kind, id, HouseFile.parse(json.toString())}))));
    }

    @AfterEach
    void restore() {
        before.forEach(b -> edits.change((String) b[0], (String) b[1], json -> {
            json.removeAll();
            json.setAll((ObjectNode) b[2]);
        }));
    }

    private void changeAndTakeAwayEverything() {
        edits.change("offers", "private-lesson", offer -> {
            offer.put("title", "Something else");
            ArrayNode lengths = offer.putArray("lengths");
            lengths.addObject().put("id", "300").put("minutes", 300).put("price", 99_900);
            offer.putObject("party").put("min", 5).put("max", 6);
            offer.put("confirm", "byHand").put("taxPercent", "7");
            offer.putObject("payment").put("when", "venue");
            ObjectNode terms = offer.putObject("terms");
            terms.putArray("cancel")
                    .addObject()
                    .put("hoursBefore", 0)
                    .putObject("keep")
                    .put("all", true);
            List.of("addOns", "priceRules").forEach(offer::remove);
            ((ObjectNode) offer.get("extra")).remove("questions");
            ObjectNode staff = (ObjectNode) offer.get("staff");
            staff.remove("prices");
        });
        edits.change("places", "mill-yard", place -> place.put("name", "Somewhere else"));
        edits.change("staff", "mira", person -> person.put("name", "Somebody"));
        edits.change("staff", "jonte", person -> person.put("name", "Somebody more"));
    }

    private void retire(String kind, String id) {
        edits.change(kind, id, json -> json.put("retired", true));
    }

    private void retireEverything() {
        things.forEach((kind, ids) -> ids.forEach(id -> retire(kind, id)));
    }

    private Order lesson(int daysAhead) {
        return paid("private-lesson", "90", daysAhead, "WORKS");
    }

    @Test
    void itStillShowsAsWhatItWas() {
        Order order = lesson(40);
        String shown = get("/bookings/" + order.token()).body();
        Terms.Outcome free = endings.byTheTerms(line(order));
        changeAndTakeAwayEverything();
        retireEverything();
        assertThat(line(order).sold().title()).isEqualTo("A private lesson at the wheel");
        assertThat(endings.byTheTerms(line(order))).isEqualTo(free);
        assertThat(plain(get("/bookings/" + order.token()).body())).isEqualTo(plain(shown));
        assertThat(get("/bookings/" + order.token() + "/calendar.ics").body())
                .contains("A private lesson at the wheel");
        for (String page : List.of(
                "/details",
                "/lines/" + line(order).booking() + "/cancel",
                "/lines/" + line(order).booking() + "/move")) {
            assertThat(get("/bookings/" + order.token() + page).statusCode())
                    .as(page)
                    .isEqualTo(200);
        }
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(host.get("/desk/orders/" + order.number()).body())
                .contains("A private lesson at the wheel")
                .doesNotContain("Something else");
        assertThat(host.get("/desk/orders").body()).contains("A private lesson at the wheel");
        assertThat(host.get("/desk?day=" + day(order) + "&booking="
                                + line(order).booking())
                        .statusCode())
                .isEqualTo(200);
    }

    private LocalDate day(Order order) {
        return moves.dateOf(line(order));
    }

    /** A page without what differs from one answer to the next. */
    private static String plain(String page) {
        return page.replaceAll("nonce=\"[^\"]*\"", "")
                .replaceAll("<meta name=\"(padding|clock)\"[^>]*>", "")
                .replaceAll("data-until=\"\\d+\"", "");
    }

    @Test
    void itMovesForAsLongAsItWasSold() {
        Order order = lesson(41);
        long minutes = line(order).time().length().count();
        Money total = line(order).total();
        changeAndTakeAwayEverything();
        retire("offers", "private-lesson");
        retire("staff", "jonte");
        Answer.Entry to = openings.openings(
                        moves.choice(order, line(order), Audience.GUEST)
                                .orElseThrow()
                                .within(house()),
                        moves.choice(order, line(order), Audience.GUEST)
                                .orElseThrow()
                                .query(day(order).plusDays(1), day(order).plusDays(9), clock.instant()))
                .entries()
                .get(0);
        assertThat(to.time().length().count()).isEqualTo(minutes);
        Moves.Proposal proposal = moves.proposal(
                        order, line(order), to.time().start(), Moves.Target.ANYONE, Audience.GUEST)
                .orElseThrow();
        assertThat(proposal.total()).isEqualTo(total);
        assertThat(moves.move(
                        order,
                        line(order).booking(),
                        Moves.Wish.ofGuest(to.time().start(), total)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).time()).isEqualTo(to.time());
        assertThat(line(order).sold().title()).isEqualTo("A private lesson at the wheel");
        assertThat(line(order).sold().staff().values())
                .as("the people of the new time")
                .containsExactly("Somebody");
        ledgersAgree(order);
    }

    @Test
    void itEndsByTheTermsItWasSoldUnder() {
        Order order = lesson(43);
        Money paid = line(order).paid();
        changeAndTakeAwayEverything();
        retireEverything();
        assertThat(endings.cancelByGuest(order, line(order).booking(), paid, ""))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(now(order).paid()).isEqualTo(Money.ZERO);
        await().untilAsserted(() -> ledgersAgree(order));
        assertThat(jdbc.sql("SELECT content FROM documents WHERE order_id = ? AND kind = 'credit-note'")
                        .param(order.id())
                        .query(String.class)
                        .single())
                .contains("A private lesson at the wheel", "\"rate\":\"19\"");
    }

    @Test
    void whatIsRetiredIsNotSoldAnyMore() {
        long start = opening("private-lesson", "90", 1, 47).time().start();
        retire("staff", "jonte");
        assertThat(get("/offers/private-lesson").body()).contains("Mira").doesNotContain("Jonte");
        retire("offers", "private-lesson");
        assertThat(get("/").body())
                .doesNotContain("A private lesson at the wheel")
                .contains("Wheel hire");
        assertThat(get("/offers/private-lesson").statusCode()).isEqualTo(404);
        assertThat(path(post("/offers/private-lesson/keep?party=1&length=90", Map.of("start", start))))
                .contains("gone=");
    }

    @Test
    void anAnswerToAQuestionThatIsNoLongerAskedIsKept() {
        Order order = lesson(44);
        List<GivenAnswer> answers = orders.answersOf(line(order).booking());
        assertThat(answers).isNotEmpty();
        changeAndTakeAwayEverything();
        String details = "/bookings/" + order.token() + "/details";
        post(details, Map.of("name", "Wenke Farrow-Lind", "email", "wenke@post.example", "phone", "+49 30 5550 100"));
        assertThat(now(order).contact().name()).isEqualTo("Wenke Farrow-Lind");
        assertThat(orders.answersOf(line(order).booking())).isEqualTo(answers);
    }

    @Test
    void moneyThatComesLaterBooksWhatWasOrdered() {
        Answer.Entry entry = opening("private-lesson", "90", 1, 45);
        String gateway =
                order(keep("private-lesson", "90", 1, entry.time().start()), "Wenke Farrow", "wenke@post.example");
        changeAndTakeAwayEverything();
        clock.moveAhead(Duration.ofMinutes(50));
        get(pay(gateway, "WORKS"));
        assertThat(line(orders.newest(1).get(0)).status()).isEqualTo(BookingStatus.CONFIRMED);
    }

    @Test
    void aPlaceInABasketWaitsForAnotherChoice() {
        Answer.Entry entry = opening("private-lesson", "90", 1, 46);
        String basket = keep("private-lesson", "90", 1, entry.time().start());
        changeAndTakeAwayEverything();
        assertThat(get(basket).statusCode()).isEqualTo(200);
        assertThat(get(basket).body()).contains("when gone");
        assertThat(get(basket + "/checkout").statusCode()).isEqualTo(302);
    }

    private House house() {
        return catalogues.catalogue().house();
    }
}
