package gastfreund.app.troubles;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.busytimes.BusyTimes;
import gastfreund.app.messages.Mailbox;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.offers.StaffId;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Those in charge are told of what does not get through, once a day. */
class TroublesTest extends OrdersTest {

    private static final String OKKA = "okka@quillmere.example";

    @Autowired
    private Troubles troubles;

    @Autowired
    private Outbox outbox;

    @Autowired
    private Mailbox mailbox;

    @Autowired
    private BusyTimes busy;

    @Autowired
    private TransactionTemplate transaction;

    private List<Written> told() {
        return letters.to(OKKA).stream()
                .filter(w -> w.subject().contains("get through"))
                .toList();
    }

    @Test
    void aLetterThatCameBackIsShownAtTheOrderAndToldOnceADayAsIsACalendarThatFails() {
        Order order = paid("wheel-hire", "60", 30, "WORKS");
        outbox.send();
        troubles.tell();
        assertThat(told()).as("nothing is wrong").isEmpty();
        transaction.executeWithoutResult(t -> jdbc.sql(
                        "UPDATE outbox SET recipient = 'gone@post.example' WHERE order_id = ? AND kind = 'confirmation'")
                .param(order.id())
                .update());
        String letter = jdbc.sql("SELECT id FROM outbox WHERE order_id = ? AND kind = 'confirmation'")
                .param(order.id())
                .query(String.class)
                .single();
        HostBrowser browser = new HostBrowser(address(""), "10.8.8.2");
        browser.signIn(OKKA, "clay and water");
        assertThat(browser.get("/desk/letters/sent?search=GONE@").body()).contains("gone@post.example", "sent");
        browser.post("/desk/letters/sent/again", Map.of("id", letter));
        assertThat(browser.post("/desk/letters/sent/again", Map.of("id", "nothing"))
                        .statusCode())
                .isEqualTo(404);
        outbox.send();
        mailbox.read();
        assertThat(browser.get("/desk/orders/" + order.number()).body())
                .contains("The letter to gone@post.example came back", "The mailbox is gone");
        assertThat(browser.get("/desk/letters/sent").body()).contains("came back");
        busy.follow(new StaffId("mira"), STANDINS.address() + "/calendars/nobody.ics", "nobody.ics");
        troubles.tell();
        assertThat(told()).hasSize(1);
        assertThat(told().get(0).text())
                .contains(
                        "A letter to gone@post.example came back, Order " + order.number(),
                        "/desk/orders/" + order.number())
                .doesNotContain("nobody.ics");
        troubles.tell();
        assertThat(told()).as("within a day").hasSize(1);
        clock.moveAhead(Duration.ofHours(25));
        busy.readDue();
        troubles.tell();
        assertThat(told()).hasSize(2);
        assertThat(told().get(1).text())
                .contains("The calendar nobody.ics cannot be read")
                .doesNotContain("gone@");
        clock.moveAhead(Duration.ofHours(25));
        busy.readDue();
        troubles.tell();
        assertThat(told()).as("the calendar was told").hasSize(2);
    }
}
