package gastfreund.app.messages;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.OwnHouse;
import gastfreund.app.orders.Contact;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;

/** Nobody makes the house write to strangers. */
@DirtiesContext
@ContextConfiguration(initializers = StrangersMailTest.House.class)
class StrangersMailTest extends DemoHouseTest {

    @Autowired
    private Outbox outbox;

    @Autowired
    private TransactionTemplate transaction;

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.limits.letters", 3, "gastfreund.jobs.outbox", "1h");
        }
    }

    private String checkout(int daysAhead) {
        return keep(
                        "wheel-hire",
                        "60",
                        1,
                        opening("wheel-hire", "60", 1, daysAhead).time().start()) + "/checkout";
    }

    private Map<String, Object> filled(String checkout, String name, String email) {
        return CheckoutPage.filled(get(checkout).body(), name, email);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Win now at https://pills.example",
                "www.pills.example",
                "Look at pills.com",
                "mail me@post.example",
                "PILLS.SHOP/now",
                "pills.de"
            })
    void namesLeadNowhere(String name) {
        String checkout = checkout(10);
        assertThat(post(checkout, filled(checkout, name, "lene@post.example")).body())
                .contains("Please write a name only")
                .contains("name-error");
        assertThat(post("/vouchers/voucher/keep", Map.of("amount", "2500", "recipient", name))
                        .body())
                .contains("recipient-error");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Dr. Lene Dorsch-O\u2019Neil",
                "J.R. de Vries",
                "Anka T\u00f6pfer & S\u00f6hne",
                "\u674e\u5c0f\u9f99",
                "Prof.Dr. M. Sever"
            })
    void otherNamesAreTaken(String name) {
        String checkout = checkout(11);
        assertThat(post(checkout, filled(checkout, name, "lene@post.example")).statusCode())
                .isEqualTo(302);
    }

    @Test
    void anAddressGetsSoManyLettersADayAndTheRestLater() {
        for (int i = 0; i < 4; i++) {
            String checkout = checkout(12 + i);
            String to = post(checkout, filled(checkout, "Veit Harms", "Victim@post.example"))
                    .headers()
                    .firstValue("Location")
                    .orElseThrow();
            get(pay(to, "WORKS"));
        }
        List<Long> waits = jdbc.sql(
                        "SELECT (not_before - created_at) / 3600 FROM outbox WHERE recipient = 'Victim@post.example' ORDER BY rowid")
                .query(Long.class)
                .list();
        assertThat(waits).containsExactly(0L, 0L, 0L, 24L);
        assertThat(jdbc.sql(
                                "SELECT count(*) FROM outbox WHERE recipient = 'okka@quillmere.example' AND not_before > created_at")
                        .query(Integer.class)
                        .single())
                .as("the house gets all of its own")
                .isZero();
    }

    @Test
    void subjectsToHostsHoldNothingThatAGuestWrote() {
        bought(17, "URGENT Your account", "x@post.example");
        assertThat(letters.to("okka@quillmere.example")).isNotEmpty().noneMatch(l -> l.subject()
                .contains("URGENT"));
    }

    @Test
    void aChangeOfTheAddressIsToldToTheOldOne() {
        bought(18, "Wenke Farrow", "before@post.example");
        String token = newestToken();
        Map<String, Object> form =
                Map.of("name", "Wenke Farrow", "email", "after@post.example", "phone", "030 5550 100");
        post("/bookings/" + token + "/details", form);
        String told = letters.to("before@post.example").stream()
                .map(Written::text)
                .reduce((earlier, later) -> later)
                .orElseThrow();
        assertThat(told).contains("was changed").doesNotContain("after@post.example", token);
        post("/bookings/" + token + "/details", form);
        assertThat(jdbc.sql("SELECT count(*) FROM outbox WHERE kind = 'address'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    @Test
    void linksToMailboxesBeginNothingElse() {
        assertThat(Contact.of("x", "a?subject=Win&body=b@post.example", "1").mailto())
                .isEqualTo("mailto:a%3Fsubject%3DWin%26body%3Db@post.example");
        assertThat(Contact.of("x", "lene.d+clay@post.example", "1").mailto())
                .isEqualTo("mailto:lene.d%2Bclay@post.example");
    }

    /** A letter that waits says what was when it was caused, in the words of when it goes out. */
    @Test
    void aLetterSaysWhatWasWhenItWasCaused() {
        bought(19, "Wenke Farrow", "wenke@post.example");
        String token = newestToken();
        Map<String, Object> form =
                Map.of("name", "Wenke Farrow-Tal", "email", "wenke@post.example", "phone", "030 5550 100");
        post("/bookings/" + token + "/details", form);
        assertThat(letters.to("wenke@post.example"))
                .singleElement()
                .satisfies(l -> assertThat(l.text()).contains("Hello Wenke Farrow,"))
                .satisfies(l -> assertThat(l.calendar()).contains("BEGIN:VEVENT"));
        assertThat(jdbc.sql("SELECT count(*) FROM outbox WHERE sent_at IS NULL AND html_part <> ''")
                        .query(Integer.class)
                        .single())
                .as("none is written before it goes out")
                .isZero();
    }

    /** Letters that were written before they became facts are sent as they are. */
    @Test
    void aLetterThatIsWrittenAlreadyGoesOutAsItIs() {
        transaction.executeWithoutResult(status -> jdbc.sql(
                        "INSERT INTO outbox (id, kind, recipient, subject, text_part,"
                                + " html_part, created_at, not_before)"
                                + " VALUES ('early', 'host', 'early@post.example', 'As before', 'Words', '<p>Words</p>', 0, 0)")
                .update());
        outbox.send();
        assertThat(jdbc.sql("SELECT subject FROM outbox WHERE id = 'early' AND sent_at > 0 AND text_part = 'Words'")
                        .query(String.class)
                        .single())
                .isEqualTo("As before");
    }

    /** Somebody orders something some days ahead, and pays. */
    private void bought(int daysAhead, String name, String email) {
        String checkout = checkout(daysAhead);
        HttpResponse<String> ordered = post(checkout, filled(checkout, name, email));
        get(pay(ordered.headers().firstValue("Location").orElseThrow(), "WORKS"));
    }

    private String newestToken() {
        return jdbc.sql("SELECT token FROM orders ORDER BY id DESC LIMIT 1")
                .query(String.class)
                .single();
    }
}
