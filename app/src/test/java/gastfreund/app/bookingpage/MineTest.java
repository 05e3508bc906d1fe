package gastfreund.app.bookingpage;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.messages.Written;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Guests who look for their bookings get links by mail, and nobody learns who has some. */
class MineTest extends DemoHouseTest {

    /** @param which of those who have something to come, each another guest */
    private String somebodyWhoBooked(int which) {
        return jdbc.sql("SELECT DISTINCT lower(o.email) FROM orders o JOIN bookings b ON b.order_id = o.id"
                        + " WHERE b.status = 'confirmed' AND b.end_at > ? ORDER BY 1 LIMIT 1 OFFSET ?")
                .params(clock.instant().plus(Duration.ofDays(2)).getEpochSecond(), which)
                .query(String.class)
                .single();
    }

    private String ask(String email) {
        return post("/mine", Map.of("email", email))
                .headers()
                .firstValue("Location")
                .orElse("");
    }

    private List<Written> sent(String email) {
        return letters.to(email.toLowerCase()).stream()
                .filter(l -> l.subject().startsWith("Your bookings at"))
                .toList();
    }

    @Test
    void whoBookedGetsALinkToEachBookingThatIsStillToCome() {
        String email = somebodyWhoBooked(0);
        assertThat(ask(" " + email.toUpperCase() + " ")).isEqualTo(ask("nobody@post.example"));
        List<String> tokens = jdbc.sql("SELECT DISTINCT o.token FROM orders o JOIN bookings b ON b.order_id = o.id"
                        + " WHERE lower(o.email) = ? AND b.status IN ('requested', 'confirmed') AND b.end_at > ?")
                .params(email, clock.instant().getEpochSecond())
                .query(String.class)
                .list();
        List<Written> sent = sent(email);
        assertThat(sent).hasSize(1);
        assertThat(tokens).isNotEmpty().allSatisfy(t -> assertThat(sent.get(0).text())
                .contains("/bookings/" + t));
        assertThat(sent("nobody@post.example")).isEmpty();
    }

    @Test
    void anAddressGetsSuchALetterNowAndThenOnly() {
        String email = somebodyWhoBooked(1);
        ask(email);
        ask(email.toUpperCase());
        assertThat(sent(email)).hasSize(1);
        clock.moveAhead(Duration.ofMinutes(31));
        ask(email);
        assertThat(sent(email)).hasSize(2);
    }

    @Test
    void whatIsNoAddressIsToldAtTheField() {
        String page = post("/mine", Map.of("email", "okka at home")).body();
        assertThat(page).contains("Please write a mail address.", "value=\"okka at home\"");
        assertThat(get("/embed/mine?lang=de").body()).contains("Ihre Buchungen", "action=\"/embed/~");
    }
}
