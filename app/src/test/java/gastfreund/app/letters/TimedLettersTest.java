package gastfreund.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.EndingRounds;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.openings.Answer;
import gastfreund.housefile.HouseFile;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Letters before and after bookings: each once, at its time, in the house's words; and those of other occasions in them too. */
class TimedLettersTest extends OrdersTest {

    private static final int DAY = 24 * 60;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private TimedLetters timed;

    @Autowired
    private Attendance attendance;

    @Autowired
    private EndingRounds endings;

    @BeforeEach
    void twoLetters() {
        edits.change("offers", "wheel-hire", offer -> ((ObjectNode) offer.path("extra")).remove("letters"));
        edits.change("house", "1", house -> {
            ((ObjectNode) house.path("extra")).remove("quietMails");
            ((ObjectNode) house.path("extra")).remove("quiet");
        });
        letters(
                """
                [{"id": "day-before", "occasion": "before", "minutes": 1440,
                  "en": {"subject": "Soon: {{offer}}", "text": "Hello {{guest}},\\n{{when}}\\n\\n{{#left}}Left: {{left}}\\n\\n{{/left}}{{bookingPage}}"}},
                 {"id": "thanks", "occasion": "after", "minutes": 180}]
                """);
    }

    private void letters(String json) {
        edits.change("house", "1", house -> ((ObjectNode) house.path("extra")).set("letters", HouseFile.parse(json)));
    }

    private void at(Order order, Duration beforeStart) {
        Instant start = line(order).time().startInstant();
        clock.moveAhead(Duration.between(clock.instant(), start.minus(beforeStart)));
        timed.send();
    }

    private List<Written> soon(Order order) {
        return letters.ofOrder(order.id()).stream()
                .filter(l -> l.subject().startsWith("Soon:"))
                .toList();
    }

    private String state(Order order, String letter) {
        return jdbc.sql("SELECT state FROM timed_letters WHERE booking = ? AND letter = ?")
                .params(line(order).booking().value(), letter)
                .query(String.class)
                .optional()
                .orElse("");
    }

    @Test
    void oneGoesADayBeforeInTheHousesWords() {
        Order order = paid("wheel-hire", "60", 9, "WORKS");
        at(order, Duration.ofMinutes(DAY + 1));
        assertThat(soon(order)).isEmpty();
        at(order, Duration.ofMinutes(DAY));
        at(order, Duration.ofMinutes(DAY - 1));
        assertThat(soon(order)).hasSize(1);
        Written letter = soon(order).get(0);
        assertThat(letter.subject()).isEqualTo("Soon: Wheel hire");
        assertThat(letter.text())
                .startsWith("Hello ")
                .contains("/bookings/" + order.token())
                .doesNotContain("Left", "{{");
        assertThat(letter.html()).contains("href=", "/bookings/" + order.token(), "Your booking");
    }

    @Test
    void aMovedBookingHasANewStartAndGetsItAgain() {
        Order order = paid("wheel-hire", "60", 10, "WORKS");
        at(order, Duration.ofMinutes(DAY));
        assertThat(soon(order)).hasSize(1);
        Answer.Entry to = opening("wheel-hire", "60", 1, 6);
        moveAtDesk(order, to, false);
        timed.send();
        assertThat(soon(order)).hasSize(1);
        at(order, Duration.ofMinutes(DAY - 5));
        assertThat(soon(order)).hasSize(2);
    }

    @Test
    void whatIsBookedLaterThanItsMomentGetsNone() {
        Order order = paid("wheel-hire", "60", 1, "WORKS");
        boolean later = Duration.between(clock.instant(), line(order).time().startInstant())
                        .toMinutes()
                < DAY;
        timed.send();
        at(order, Duration.ofMinutes(30));
        assertThat(soon(order)).hasSize(later ? 0 : 1);
        assertThat(state(order, "day-before")).isEqualTo(later ? "made-later" : "put");
    }

    @Test
    void afterADayWithoutPowerWhatIsStillOfUseGoesOut() {
        Order first = paid("wheel-hire", "60", 11, "WORKS");
        at(first, Duration.ofMinutes(2));
        assertThat(soon(first)).hasSize(1);
        Order second = paid("wheel-hire", "120", 12, "WORKS");
        at(second, Duration.ofMinutes(-10));
        assertThat(soon(second)).isEmpty();
        assertThat(state(second, "day-before")).isEqualTo("late");
    }

    @Test
    void whatStartedDuringALongTimeWithoutPowerIsNotedAsLate() {
        Order order = paid("wheel-hire", "60", 20, "WORKS");
        timed.send();
        clock.moveAhead(Duration.between(
                clock.instant(), line(order).time().startInstant().plus(Duration.ofDays(6))));
        endings.run();
        assertThat(line(order).status()).isEqualTo(BookingStatus.COMPLETED);
        timed.send();
        assertThat(soon(order)).isEmpty();
        assertThat(state(order, "day-before")).isEqualTo("late");
    }

    @Test
    void oneGoesAfterwardsInOurWordsButNotToWhoDidNotCome() {
        Order came = paid("wheel-hire", "60", 13, "WORKS");
        Order missed = paid("clay-table", "120", 13, "WORKS");
        at(came, Duration.ofMinutes(-60 - 179));
        assertThat(state(came, "thanks")).isEmpty();
        attendance.missed(missed, line(missed).booking(), HOST);
        at(came, Duration.ofDays(-2));
        assertThat(letters.ofOrder(came.id()))
                .extracting(Written::subject)
                .contains("Thank you for coming: Wheel hire");
        assertThat(state(missed, "thanks")).isEmpty();
        Order old = paid("wheel-hire", "60", 9, "WORKS");
        at(old, Duration.ofDays(-4));
        assertThat(state(old, "thanks")).isEqualTo("late");
    }

    @Test
    void anOfferHasItsOwnVersionOrNone() {
        edits.change(
                "offers",
                "wheel-hire",
                offer -> ((ObjectNode) offer.path("extra"))
                        .set(
                                "letters",
                                HouseFile.parse(
                                        """
                                        [{"id": "day-before", "occasion": "before", "minutes": 60, "de": {"subject": "Gleich", "text": "Gleich."}},
                                         {"id": "thanks", "occasion": "after", "minutes": 0, "off": true},
                                         {"id": "confirmed", "occasion": "confirmed",
                                          "en": {"subject": "Yes: {{offer}}", "text": "{{when}} at {{house}}"}}]
                                        """)));
        Order order = paid("wheel-hire", "60", 14, "WORKS");
        assertThat(letters.one(order.id(), "confirmation").subject()).isEqualTo("Yes: Wheel hire");
        assertThat(letters.one(order.id(), "confirmation").calendar()).contains("BEGIN:VEVENT");
        at(order, Duration.ofMinutes(DAY));
        assertThat(soon(order)).isEmpty();
        at(order, Duration.ofMinutes(60));
        assertThat(soon(order))
                .as("the house's words where it has none of its own")
                .hasSize(1);
        at(order, Duration.ofMinutes(-DAY));
        assertThat(state(order, "thanks")).isEmpty();
    }

    @Test
    void aLetterThatIsOffDoesNotGo() {
        letters("[{\"id\": \"moved\", \"occasion\": \"moved\", \"off\": true}]");
        Order order = paid("wheel-hire", "60", 15, "WORKS");
        Answer.Entry to = opening("wheel-hire", "60", 1, 18);
        moveAtDesk(order, to, true);
        assertThat(letters(order)).doesNotContain("moved-by-host");
    }

    @Test
    void mailsKeepQuietHoursWhereTheHouseWantsSo() {
        edits.change("house", "1", house -> {
            ObjectNode extra = (ObjectNode) house.path("extra");
            extra.put("quietMails", true);
            extra.set("quiet", HouseFile.parse("{\"from\": \"06:00\", \"to\": \"05:00\"}"));
        });
        Order order = paid("wheel-hire", "60", 16, "WORKS");
        at(order, Duration.ofMinutes(DAY));
        assertThat(soon(order)).as("it went at 5:59 in the morning before").hasSize(1);
    }

    @Test
    void whatAGuestWroteIsNeverMoreThanText() {
        Order order = paid("wheel-hire", "60", 17, "WORKS");
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE orders SET name = ? WHERE id = ?")
                .params("{{house}}<b>\nhttps://elsewhere.example/", order.id())
                .update());
        at(order, Duration.ofMinutes(DAY));
        Written letter = soon(order).get(0);
        assertThat(letter.text()).contains("{{house}}<b>");
        assertThat(letter.html()).contains("{{house}}&lt;b&gt;").doesNotContain("href=\"https://elsewhere");
    }

    @Test
    void whoWantsNoLettersAfterBookingsGetsNoneAndAllOthers() {
        Order order = paid("wheel-hire", "60", 12, "WORKS");
        letters("[{\"id\": \"thanks\", \"occasion\": \"after\", \"minutes\": 180}]");
        clock.moveAhead(Duration.between(
                clock.instant(), line(order).time().endInstant().plus(Duration.ofHours(3))));
        timed.send();
        Written thanks = letters.one(order.id(), "after");
        assertThat(thanks.unsubscribe()).endsWith("/bookings/" + order.token() + "/letters");
        assertThat(thanks.html()).contains("/letters\"");
        String page = "/bookings/" + order.token() + "/letters";
        assertThat(get(page).body()).contains("No more of them, please");
        assertThat(post(page, Map.of("List-Unsubscribe", "One-Click")).statusCode())
                .isEqualTo(302);
        assertThat(get(page).body()).contains("You get no more letters after bookings");
        Order next = paid("wheel-hire", "60", 3, "WORKS");
        clock.moveAhead(
                Duration.between(clock.instant(), line(next).time().endInstant().plus(Duration.ofHours(3))));
        timed.send();
        assertThat(letters(next)).contains("confirmation").doesNotContain("after");
        post(page, Map.of("again", "true"));
        assertThat(get(page).body()).contains("No more of them, please");
    }

    @Test
    void oneCanGoToThoseWhoServeWithoutTheGuestsLink() {
        letters("[{\"id\": \"crew\", \"occasion\": \"before\", \"minutes\": 60, \"to\": \"people\","
                + "\"en\": {\"subject\": \"Soon\", \"text\": \"{{guest}} comes.\\n\\n{{bookingPage}}\"}}]");
        edits.change("staff", "mira", mira -> ((ObjectNode) mira)
                .withObject("extra")
                .put("email", "mira@quillmere.example"));
        edits.change("staff", "jonte", jonte -> ((ObjectNode) jonte)
                .withObject("extra")
                .put("email", "jonte@quillmere.example"));
        Order order = paid("private-lesson", "60", 12, "WORKS");
        at(order, Duration.ofMinutes(60));
        String serving = line(order).reserved().staff().iterator().next().value();
        List<Written> got = letters.to(serving + "@quillmere.example", order.id()).stream()
                .filter(l -> l.subject().equals("Soon"))
                .toList();
        assertThat(got).hasSize(1);
        assertThat(got.get(0).text())
                .contains("Wenke Farrow comes.", "/desk/orders/" + order.number())
                .doesNotContain(order.token());
        assertThat(letters.to("wenke@post.example", order.id()))
                .noneMatch(l -> l.subject().equals("Soon"));
    }
}
