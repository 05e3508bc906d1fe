package gastfreund.app.talks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.messages.Mailbox;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Hosts and guests write to one another, over real mail. */
class TalksTest extends OrdersTest {

    @Autowired
    private Talks talks;

    @Autowired
    private Mailbox mailbox;

    @Autowired
    private Outbox outbox;

    @Autowired
    private HostService hosts;

    private Host okka() {
        return hosts.byEmail("okka@quillmere.example").orElseThrow();
    }

    /** The address at which a guest's answer to the last letter from the desk arrives. */
    private String answerTo(Order order) {
        return outbox.written(order.id()).stream()
                .filter(s -> s.letter().kind().equals(TalkLetters.TO_GUEST))
                .reduce((a, b) -> b)
                .orElseThrow()
                .written()
                .reply();
    }

    private static MimeMessage mail(String from, String to) throws MessagingException {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", Integer.toString(STANDINS.smtpPort()));
        String id = "<" + UUID.randomUUID() + "@post.example>";
        MimeMessage mail = new MimeMessage(Session.getInstance(properties)) {
            @Override
            protected void updateMessageID() throws MessagingException {
                setHeader("Message-ID", id);
            }
        };
        mail.setFrom(from);
        mail.setRecipients(Message.RecipientType.TO, to);
        mail.setSubject("about something else entirely");
        return mail;
    }

    private Order written() {
        Order order = paid("wheel-hire", "60", 21, "WORKS");
        assertThat(talks.toGuest(order, line(order).booking(), "  Please bring an apron.\n", okka()))
                .isTrue();
        return order;
    }

    @Test
    void aLetterFromTheDeskGoesToTheGuestAndItsAnswerComesBackToTheBooking() throws MessagingException {
        Order order = written();
        assertThat(letters.one(order.id(), TalkLetters.TO_GUEST).text())
                .contains("Please bring an apron.")
                .contains("Just answer this mail")
                .contains("Wheel")
                .contains("/bookings/" + order.token());
        String to = answerTo(order);
        assertThat(to)
                .startsWith(MAILBOX.substring(0, MAILBOX.indexOf('@')) + "+")
                .endsWith("@quillmere.example");
        MimeMessage mail = mail(order.contact().email(), to);
        mail.setText("We have none.\n\nYou wrote:\n> Please bring an apron.\n");
        Transport.send(mail);
        mailbox.read();
        List<Talk> said = talks.of(order);
        assertThat(said).extracting(Talk::words).containsExactly("Please bring an apron.", "We have none.");
        assertThat(said).extracting(Talk::fromGuest).containsExactly(false, true);
        assertThat(said).allMatch(t -> t.booking().equals(line(order).booking().value()));
        assertThat(said.get(1).seen()).isFalse();
        assertThat(said.get(1).who()).isEmpty();
        await().untilAsserted(() -> assertThat(letters(order))
                .filteredOn(TalkLetters.TO_HOST::equals)
                .hasSize(1));
        Transport.send(mail);
        mailbox.read();
        assertThat(talks.of(order)).as("a mail that comes again is the same").hasSize(2);
        talks.seen(order);
        assertThat(talks.of(order)).allMatch(Talk::seen);
    }

    @Test
    void filesAreNotTakenHtmlIsReducedAndAnotherSenderIsNamed() throws MessagingException {
        Order order = written();
        MimeMultipart parts = new MimeMultipart("mixed");
        MimeBodyPart html = new MimeBodyPart();
        html.setContent("<p>Is it <i>warm</i>?</p><img src=x onerror=alert(1)>", "text/html; charset=utf-8");
        parts.addBodyPart(html);
        MimeBodyPart file = new MimeBodyPart();
        file.setText("MZ");
        file.setFileName("invoice.exe");
        parts.addBodyPart(file);
        MimeMessage mail = mail("other@post.example", answerTo(order));
        mail.setContent(parts);
        Transport.send(mail);
        mailbox.read();
        Talk said = talks.of(order).get(1);
        assertThat(said.words()).isEqualTo("Is it warm?");
        assertThat(said.files()).isEqualTo(1);
        assertThat(said.who()).isEqualTo("other@post.example");
    }

    @Test
    void whatComesToNoAddressOfOursIsLeftAlone() throws MessagingException {
        Order order = written();
        int before = talks.unseen().size();
        MimeMessage guessed = mail(order.contact().email(), MAILBOX.replace("@", "+aaaaaaaaaaaaaaaa@"));
        guessed.setSubject("About order " + order.number());
        guessed.setText("It is I.");
        Transport.send(guessed);
        MimeMessage away = mail(order.contact().email(), answerTo(order));
        away.setHeader("Auto-Submitted", "auto-replied");
        away.setText("I am on holiday.");
        Transport.send(away);
        mailbox.read();
        assertThat(talks.unseen()).hasSize(before);
        assertThat(talks.of(order))
                .extracting(Talk::words)
                .containsExactly("Please bring an apron.", "I am on holiday.");
    }

    @Test
    void aGuestWritesOnTheirPageAndNotWithoutEnd() {
        Order order = paid("wheel-hire", "60", 22, "WORKS");
        String page = "/bookings/" + order.token();
        assertThat(path(post(page + "/write", Map.of("words", "<b>May we</b> come later?"))))
                .contains("?written");
        assertThat(path(post(page + "/write", Map.of("words", "   ")))).contains("?not-written");
        assertThat(get(page).body()).contains("&lt;b&gt;May we&lt;/b&gt; come later?");
        for (int i = 0; i < 40; i++) {
            talks.fromPage(order, null, "again " + i);
        }
        assertThat(talks.of(order)).hasSize(30);
    }

    @Test
    void theHousesNotesAreSeenByNoGuest() {
        Order order = paid("wheel-hire", "60", 23, "WORKS");
        talks.note(line(order).booking(), "left-handed, came late twice", okka());
        assertThat(talks.note(line(order).booking()).orElseThrow().who()).isEqualTo(okka().name());
        assertThat(get("/bookings/" + order.token()).body()).doesNotContain("left-handed");
        talks.note(line(order).booking(), "", okka());
        assertThat(talks.note(line(order).booking())).isEmpty();
    }

    @Test
    void whoeverIsForgottenIsForgottenHereToo() {
        Order order = written();
        talks.note(line(order).booking(), "left-handed", okka());
        talks.forget(order.id());
        assertThat(talks.of(order)).isEmpty();
        assertThat(talks.note(line(order).booking())).isEmpty();
    }
}
