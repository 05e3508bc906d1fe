package gastfreund.app.embeds;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What may stand in a frame, on whose pages, and what is asked of its looks. */
class EmbedsTest extends DemoHouseTest {

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Tickets tickets;

    private static final String OFFER = "/embed/offers/clay-table";

    private void sites(String... origins) {
        edits.change("house", "1", house -> {
            ArrayNode sites = ((ObjectNode) house.path("extra")).putArray("sites");
            List.of(origins).forEach(sites::add);
        });
    }

    private static String header(HttpResponse<String> answer, String name) {
        return String.join(" ", answer.headers().allValues(name));
    }

    @Test
    void onlyTheSitesOfTheHouseMayFrameItAndOnlyThere() {
        sites("https://gazette.example", "https://shop.example:8443");
        HttpResponse<String> framed = get(OFFER);
        assertThat(header(framed, "Content-Security-Policy"))
                .endsWith("frame-ancestors 'self' https://gazette.example https://shop.example:8443");
        assertThat(header(framed, "X-Frame-Options")).isEmpty();
        assertThat(header(framed, "X-Robots-Tag")).contains("noindex");
        assertThat(header(framed, "Set-Cookie")).isEmpty();
        HttpResponse<String> front = get("/offers/clay-table");
        assertThat(header(front, "Content-Security-Policy")).contains("frame-ancestors 'none'");
        assertThat(header(front, "X-Frame-Options")).isEqualTo("DENY");
        assertThat(header(front, "X-Robots-Tag")).isEmpty();
        sites();
        assertThat(header(get(OFFER), "Content-Security-Policy")).endsWith("frame-ancestors 'self'");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/embed/desk",
                "/embed/desk/sign-in",
                "/embed/~YQ/desk",
                "/embed/payments/card/notifications",
                "/embed/up",
                "/embed/embed/desk",
                "/embed//desk"
            })
    void theDeskIsNeverInAFrame(String path) {
        assertThat(get(path).statusCode()).isIn(400, 404);
    }

    @Test
    void howItLooksIsKeptByEveryLinkAndForm() {
        String page = get(OFFER + "?accent=2d6a4f&corners=small&lang=de&without=text&scheme=dark&party=2")
                .body();
        assertThat(page)
                .contains("--clay: #2d6a4f", "corners-small", "data-scheme=\"dark\"", "lang=\"de\"", "Wer kommt")
                .doesNotContain("href=\"/offers", "action=\"/offers", "data-wrong=\"a");
        String link = page.replaceAll("(?s).*?<a class=\"chip\"[^>]*href=\"([^\"]+)\".*", "$1")
                .replace("&amp;", "&");
        assertThat(link).startsWith("/embed/~");
        assertThat(get(link).body()).contains("--clay: #2d6a4f", "corners-small", "Wer kommt");
        String other = page.replaceAll("(?s).*hreflang=\"en\" href=\"([^\"]+)\".*", "$1")
                .replace("&amp;", "&");
        HttpResponse<String> english = get(other);
        assertThat(english.body()).contains("Who comes", "--clay: #2d6a4f");
        assertThat(header(english, "Set-Cookie")).isEmpty();
        String next = english.body()
                .replaceAll("(?s).*?<a class=\"chip\"[^>]*href=\"([^\"]+)\".*", "$1")
                .replace("&amp;", "&");
        assertThat(get(next).body()).contains("Who comes");
    }

    @ParameterizedTest
    @CsvSource({
        "accent=%23ffff00,accent",
        "accent=red,accent",
        "corners=wavy,corners",
        "font=comic,font",
        "without=price,without",
        "scheme=dim,scheme",
        "lang=xx,lang",
        "page=javascript:alert(1),page",
        "font=page&family=%7D%20body%7Bdisplay:none%7D,family",
        "font=page&family=%3C/style%3E,family",
        "look=No+such+look,look",
        "party=99,party",
        "party=many&units=x,party",
        "length=no-such-length&staff=nobody,'length, staff'"
    })
    void whatCannotBeHadIsLeftOutAndNamed(String asked, String wrong) {
        String page = get(OFFER + "?" + asked).body();
        assertThat(page).contains("data-wrong=\"" + wrong + "\"").doesNotContain("display:none}", "</style></style>");
    }

    @Test
    void aCategoryIsShownAlone() {
        edits.change(
                "offers", "private-lesson", offer -> ((ObjectNode) offer.path("extra")).put("category", "Lessons"));
        String some = get("/embed/?category=Lessons").body();
        assertThat(some).contains("A private lesson").doesNotContain("Open clay table", "data-wrong=\"c");
        assertThat(get("/embed/?category=No+such+one").body())
                .contains("A private lesson", "Open clay table", "data-wrong=\"category\"");
    }

    @Test
    void whateverStandsInThePathIsLookedAtAgain() {
        Embed forged = Embed.read(Base64.getUrlEncoder()
                .encodeToString("family=}body{}\naccent=#2d6a4f\nsites=*".getBytes(StandardCharsets.UTF_8)));
        assertThat(forged.said()).isEqualTo(Map.of("accent", "#2d6a4f"));
        assertThat(get("/embed/~!!!/offers/clay-table").statusCode()).isIn(200, 400);
        assertThat(get("/embed/~" + "A".repeat(3000) + "/offers/clay-table").statusCode())
                .isIn(200, 400, 414);
    }

    @Test
    void aTicketLeadsToItsBookingOnce() {
        String ticket = tickets.issue("some-booking");
        assertThat(path(get("/embed/back/" + ticket))).isEqualTo("/embed/bookings/some-booking");
        assertThat(get("/embed/back/" + ticket).statusCode()).isEqualTo(404);
    }

    @Test
    void whoComesBackIsOnlyLedToPagesOfTheHousesSites() {
        sites("https://gazette.example");
        String known = mounted("https://gazette.example/gifts?x=1#top");
        assertThat(paid(known)).startsWith("https://gazette.example/gifts?x=1#gastfreund=");
        assertThat(paid(mounted("https://elsewhere.example/gifts"))).startsWith(address("/bookings/"));
        assertThat(paid("/embed")).startsWith(address("/bookings/"));
    }

    private static String mounted(String page) {
        return "/embed/~" + Embed.of(name -> name.equals("page") ? page : null).written();
    }

    private String paid(String mount) {
        String token = jdbc.sql("SELECT token FROM orders ORDER BY id LIMIT 1")
                .query(String.class)
                .single();
        return get(mount + "/bookings/" + token + "/paid")
                .headers()
                .firstValue("Location")
                .orElse("");
    }

    @Test
    void theOwnerSaysOnWhichSites() {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String sheet = "/desk/house/about";
        host.get(sheet + "?tab=booking");
        host.post(sheet, Map.of("tab", "booking", "extra/sites", "https://"));
        assertThat(host.get(sheet + "?tab=booking").body()).contains("This cannot be read.");
        host.post(
                sheet + "/keep",
                Map.of("tab", "booking", "extra/sites", "gazette.example\nhttp://shop.example:81/x?y"));
        assertThat(header(get(OFFER), "Content-Security-Policy"))
                .endsWith("frame-ancestors 'self' https://gazette.example http://shop.example:81");
    }
}
