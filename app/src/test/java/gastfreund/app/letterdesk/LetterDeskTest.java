package gastfreund.app.letterdesk;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.wording.HouseLetters;
import gastfreund.app.wording.OwnLetter;
import gastfreund.core.hours.OfferId;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.node.ObjectNode;

/** Letters are looked at, written, kept and taken back at the desk. */
class LetterDeskTest extends OrdersTest {

    private static final String PAGE = "/desk/letters";

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private CatalogueEdits edits;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        edits.change("house", "1", house -> ((ObjectNode) house.path("extra")).remove("letters"));
        edits.change("offers", "wheel-hire", offer -> ((ObjectNode) offer.path("extra")).remove("letters"));
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private HouseLetters kept() {
        return catalogues.catalogue().extras().letters();
    }

    private HttpResponse<String> press(String what, Map<String, String> form) {
        host.get(PAGE);
        return host.post(PAGE + what, form);
    }

    private static Map<String, String> form(String letter, String subject, String text) {
        return new HashMap<>(
                Map.of("letter", letter, "language", "en", "goes", "mail", "subject", subject, "text", text));
    }

    private static String said(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceAll(".*said=", "");
    }

    @Test
    void aLetterIsKeptInOwnWordsAndGoesBackToOurs() {
        assertThat(said(press("/keep", form("moved", "Now: {{when}}", "{{guest}}, it is now {{when}}."))))
                .isEqualTo("kept");
        OwnLetter moved = kept().house().get(0);
        assertThat(moved.id()).isEqualTo("moved");
        assertThat(moved.in(Locale.ENGLISH).orElseThrow().subject()).isEqualTo("Now: {{when}}");
        assertThat(host.get(PAGE + "?letter=moved").body()).contains("Now: {{when}}", "Back to our own wording");
        assertThat(said(press("/reset", form("moved", "", "")))).isEqualTo("reset");
        assertThat(kept().house()).isEmpty();
        Map<String, String> off = form("cancelled", "", "");
        off.remove("subject");
        off.remove("text");
        off.put("goes", "not");
        assertThat(said(press("/keep", off))).isEqualTo("kept");
        assertThat(kept().house()).containsExactly(kept().house().get(0)).allMatch(OwnLetter::off);
        off.put("goes", "mail");
        press("/keep", off);
        assertThat(kept().house()).as("as it is without it").isEmpty();
    }

    @Test
    void whatIsWrongIsToldAtTheFieldAndNothingTypedIsLost() {
        HttpResponse<String> answer = press("/keep", form("confirmed", "Hello {{gust}}", "{{#left}}open"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(HtmlUtils.htmlUnescape(answer.body()))
                .contains(
                        "There is no tag {{gust}}.",
                        "A tag is not closed here",
                        "value=\"Hello {{gust}}\"",
                        "{{#left}}open");
        assertThat(kept().house()).isEmpty();
        assertThat(press("/keep", form("confirmed", "", " ")).body()).contains("Please write something here.");
    }

    @Test
    void lettersBeforeAndAfterAreAddedMovedAndTakenAway() {
        String to = press("/add", Map.of("occasion", "before"))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        assertThat(to).contains("letter=before", "said=added");
        press("/add", Map.of("occasion", "before"));
        assertThat(kept().house()).extracting(OwnLetter::id).containsExactly("before", "before-2");
        assertThat(kept().house()).extracting(OwnLetter::minutes).containsOnly(1440L);
        Map<String, String> form = form("before-2", "Soon", "Soon: {{when}}");
        form.put("minutes", "2 h");
        press("/keep", form);
        assertThat(kept().house().get(1).minutes()).isEqualTo(120);
        form.put("minutes", "one moment");
        assertThat(press("/keep", form).body()).contains("Please write how long", "one moment");
        press("/remove", form("before", "", ""));
        assertThat(kept().house()).extracting(OwnLetter::id).containsExactly("before-2");
        assertThat(press("/add", Map.of("occasion", "moved")).statusCode()).isEqualTo(404);
    }

    @Test
    void anOfferHasItsOwnVersionUntilItIsLikeAllOffers() {
        Map<String, String> form = form("confirmed", "At the wheel: {{when}}", "See you, {{guest}}.");
        form.put("offer", "wheel-hire");
        press("/keep", form);
        assertThat(kept().house()).isEmpty();
        assertThat(kept().offers().get(new OfferId("wheel-hire"))).hasSize(1);
        assertThat(host.get(PAGE).body()).contains("1 of its own");
        Order order = paid("wheel-hire", "60", 22, "WORKS");
        assertThat(letters.one(order.id(), "confirmation").subject()).startsWith("At the wheel: ");
        Order other = paid("clay-table", "120", 22, "WORKS");
        assertThat(letters.one(other.id(), "confirmation").subject()).startsWith("Booked: ");
        press("/reset", form);
        assertThat(kept().offers().getOrDefault(new OfferId("wheel-hire"), List.of()))
                .isEmpty();
    }

    @Test
    void itIsShownAsARealGuestWouldGetIt() {
        Order order = paid("wheel-hire", "60", 23, "WORKS");
        Map<String, String> form = form("confirmed", "For {{guest}}", "{{guest}} <b>comes</b>\n\n{{bookingPage}}");
        String page = HtmlUtils.htmlUnescape(press("", form).body());
        assertThat(page).contains("For " + order.contact().name(), "/bookings/" + order.token());
        String frame = page.replaceAll("(?s).*(/desk/letters/preview/[\\w-]+).*", "$1");
        HttpResponse<String> mail = host.get(frame);
        assertThat(mail.body()).contains("&lt;b&gt;comes&lt;/b&gt;", "Your booking");
        assertThat(mail.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "sandbox", "frame-ancestors 'self'");
        assertThat(kept().house()).isEmpty();
        assertThat(press("/send", form).body()).contains("It is on its way to okka@quillmere.example");
    }
}
