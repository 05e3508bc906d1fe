package gastfreund.app.messages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.rounds.Rounds;
import gastfreund.housefile.HouseFile;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Letters that a mail server refuses now or for good, or sends back. */
class LostLettersTest extends OrdersTest {

    @Autowired
    private Outbox outbox;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Mailbox mailbox;

    @Autowired
    private Rounds rounds;

    @Autowired
    private TransactionTemplate transaction;

    private Sent put(String recipient) {
        transaction.executeWithoutResult(
                t -> outbox.put(new Letter(null, "asked.mine", recipient, Locale.ENGLISH, "{\"bookings\":[]}")));
        outbox.send();
        return last(recipient);
    }

    private Sent last(String recipient) {
        return outbox.last(50).stream()
                .filter(s -> s.recipient().equals(recipient))
                .findFirst()
                .orElseThrow();
    }

    private static long inMailbox(String recipient) {
        return STANDINS.mailTo(recipient);
    }

    @Test
    void mailsComeFromWhomTheHouseSaysWithItsWordsUnderThem() {
        edits.change(
                "house",
                "1",
                house -> ((ObjectNode) house.path("extra"))
                        .set(
                                "mails",
                                HouseFile.parse(
                                        """
                                {"sender": "Okka of Quillmere", "reply": "answers@quillmere.example", "foot": "Register 12"}
                                """)));
        put("footed@post.example");
        Pattern link = Pattern.compile("/mail/(\\d+)\"[^>]*>\\s*<b>[^<]*</b>\\s*<span[^>]*>footed@post.example<");
        // Letters are numbered as they come, those of other tests between.
        await().untilAsserted(() -> {
            Matcher number = link.matcher(STANDINS.page("/mail"));
            assertThat(number.find()).isTrue();
            assertThat(STANDINS.page("/mail/" + number.group(1)))
                    .contains("Okka of Quillmere")
                    .containsPattern("Register 12\\s*</pre>");
            assertThat(STANDINS.page("/mail/" + number.group(1) + "/html")).contains(">Register 12</p>");
        });
        edits.change("house", "1", house -> ((ObjectNode) house.path("extra")).remove("mails"));
    }

    @Test
    void whatIsRefusedForGoodIsNotTriedAgain() {
        Sent sent = put("nobody@post.example");
        assertThat(sent.state()).isEqualTo("refused");
        assertThat(sent.why()).contains("Nobody lives here");
        assertThat(rounds.stuck()).isEmpty();
        clock.moveAhead(Duration.ofDays(1));
        outbox.send();
        assertThat(last("nobody@post.example").state()).isEqualTo("refused");
        assertThat(inMailbox("nobody@post.example")).isZero();
    }

    @Test
    void whatIsRefusedForNowIsTriedAgainAfterGrowingPauses() {
        assertThat(put("later@post.example").state()).isEqualTo("tried");
        outbox.send();
        assertThat(last("later@post.example").tries()).as("it rests").isEqualTo(1);
        for (int pause : List.of(5, 10, 20)) {
            clock.moveAhead(Duration.ofSeconds(pause));
            outbox.send();
        }
        assertThat(last("later@post.example").tries()).isEqualTo(4);
        assertThat(rounds.stuck()).hasSize(1);
        transaction.executeWithoutResult(t -> {
            jdbc.sql("DELETE FROM outbox WHERE recipient = 'later@post.example'")
                    .update();
            jdbc.sql("DELETE FROM work").update();
        });
    }

    @Test
    void whatComesBackIsNotedAtItsLetterAndCanBeSentAgain() {
        Sent sent = put("gone@post.example");
        assertThat(sent.state()).isEqualTo("sent");
        mailbox.read();
        Sent back = last("gone@post.example");
        assertThat(back.state()).isEqualTo("bounced");
        assertThat(back.why()).contains("The mailbox is gone");
        mailbox.read();
        assertThat(outbox.again(back.id())).isTrue();
        outbox.send();
        assertThat(inMailbox("gone@post.example")).isEqualTo(2);
        assertThat(outbox.again("nothing")).isFalse();
    }

    @Test
    void anAddressThatBeginsWithAPlusIsNoTelephone() {
        Sent sent = put("+tag@post.example");
        assertThat(sent.isText()).isFalse();
        assertThat(sent.state()).isEqualTo("sent");
        assertThat(STANDINS.page("/mail")).contains("tag@post.example");
    }

    @Test
    void aServerThatIsSlowGetsEachLetterOnce() {
        assertThat(put("slow@post.example").state()).isEqualTo("sent");
        assertThat(inMailbox("slow@post.example")).isEqualTo(1);
    }
}
