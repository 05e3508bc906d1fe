package gastfreund.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Sent;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
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

/** Text messages: to guests who want them, at numbers that get them, never in quiet hours, each once. */
class TextMessagesTest extends OrdersTest {

    private static final String PAVEL = "+4915123456789";

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private TimedLetters timed;

    @Autowired
    private Outbox outbox;

    @BeforeEach
    void texts() {
        edits.change("house", "1", house -> {
            ObjectNode extra = (ObjectNode) house.path("extra");
            extra.put("country", "DE");
            extra.remove("quiet");
            extra.set(
                    "letters",
                    HouseFile.parse(
                            """
                            [{"id": "confirmed", "occasion": "confirmed", "texts": true},
                             {"id": "day-before", "occasion": "before", "minutes": 1440, "texts": true, "off": true,
                              "en": {"subject": "Soon", "text": "Soon", "message": "Hello {{guest}}: {{offer}} at {{start}}"}}]
                            """));
        });
        transaction.executeWithoutResult(
                t -> jdbc.sql("DELETE FROM outbox WHERE sent_at IS NULL AND recipient LIKE '+%'")
                        .update());
    }

    private Order booked(int daysAhead, String phone) {
        Order order = paid("wheel-hire", "60", daysAhead, "WORKS");
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE orders SET texts = 1, phone = ? WHERE id = ?")
                .params(phone, order.id())
                .update());
        return now(order);
    }

    private void at(Order order, Duration beforeStart) {
        Instant start = line(order).time().startInstant();
        clock.moveAhead(Duration.between(clock.instant(), start.minus(beforeStart)));
        timed.send();
    }

    private List<Sent> to(Order order, String number) {
        return outbox.last(500).stream()
                .filter(s -> s.order() != null
                        && s.order() == order.id()
                        && s.recipient().equals(number))
                .toList();
    }

    @Test
    void aGuestWhoWantsThemAtCheckoutGetsThemAtANumberThatIsOne() {
        String checkout = keep(
                        "wheel-hire",
                        "60",
                        1,
                        opening("wheel-hire", "60", 1, 37).time().start()) + "/checkout";
        String page = get(checkout).body();
        assertThat(page).contains("Text me about this booking");
        Map<String, Object> form = CheckoutPage.filled(page, "Pavel Ostin", "pavel@post.example");
        form.put("texts", "true");
        form.put("phone", "030 5550 100");
        assertThat(post(checkout, form).body()).contains("This is no number that gets text messages");
        form.put("phone", "0151 / 234 567 89");
        assertThat(post(checkout, form).statusCode()).isEqualTo(302);
        assertThat(jdbc.sql("SELECT texts FROM orders WHERE email = 'pavel@post.example'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    @Test
    void oneGoesADayBeforeInTheHousesWordsOnceAndNotToThoseWhoDidNotWantIt() {
        Order order = booked(9, "0151 23456789");
        Order silent = paid("wheel-hire", "60", 9, "WORKS");
        at(order, Duration.ofDays(1));
        timed.send();
        outbox.send();
        assertThat(to(order, PAVEL)).extracting(Sent::state).containsExactly("sent");
        assertThat(STANDINS.page("/texts")).contains(PAVEL, "Hello Wenke Farrow: Wheel hire at");
        assertThat(outbox.last(500))
                .filteredOn(s -> s.order() != null && s.order() == silent.id())
                .noneMatch(s -> s.recipient().startsWith("+"));
        assertThat(letters.ofOrder(order.id())).as("not as a mail").noneMatch(w -> w.subject()
                .equals("Soon"));
    }

    @Test
    void inQuietHoursItWaits() {
        Order order = booked(16, "0151 23456789");
        // In one transaction: the outbox, which sends beside, sees the letter and the quiet hours together.
        transaction.executeWithoutResult(t -> {
            at(order, Duration.ofDays(1));
            edits.change("house", "1", house -> ((ObjectNode) house.path("extra"))
                    .set("quiet", HouseFile.parse("{\"from\": \"00:00\", \"to\": \"22:30\"}")));
        });
        outbox.send();
        assertThat(to(order, PAVEL)).extracting(Sent::state).containsExactly("waiting");
        clock.moveAhead(Duration.ofHours(24
                        - clock.instant()
                                .atZone(java.time.ZoneId.of("Europe/Berlin"))
                                .getHour())
                .minusMinutes(75));
        outbox.send();
        assertThat(clock.instant().atZone(java.time.ZoneId.of("Europe/Berlin")).getHour())
                .isGreaterThanOrEqualTo(22);
        assertThat(to(order, PAVEL)).extracting(Sent::state).containsExactly("sent");
    }

    @Test
    void aNumberThatDoesNotExistIsNotTriedAgainAndOneThatCannotBeReachedIs() {
        Order gone = booked(23, "0151 23456000");
        at(gone, Duration.ofDays(1));
        outbox.send();
        assertThat(to(gone, "+4915123456000")).extracting(Sent::state).containsExactly("refused");
        Order later = booked(30, "0151 23456503");
        at(later, Duration.ofDays(1));
        outbox.send();
        assertThat(to(later, "+4915123456503")).extracting(Sent::state).containsExactly("tried");
    }
}
