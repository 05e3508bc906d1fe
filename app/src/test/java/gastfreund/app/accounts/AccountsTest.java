package gastfreund.app.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.GuestBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.guests.Tidying;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Written;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Guests' accounts as the house chose: none, offered, required; got into by a link and by a password. */
class AccountsTest extends DemoHouseTest {

    private static final Pattern LINK = Pattern.compile("/account/link/[\\w-]+");
    private static final String GOOD = "three pots and a kettle";

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Tidying tidying;

    @Autowired
    private AllRounds rounds;

    @Autowired
    private Outbox outbox;

    private GuestBrowser browser;
    private String lene;

    @BeforeEach
    void somebodyNew() {
        browser = new GuestBrowser(address(""), somebody());
        lene = "lene." + somebody() + "@post.example";
        house("offered");
    }

    private void house(String chosen) {
        edits.change("house", "1", house -> ((ObjectNode) house.at("/extra/checkout")).put("accounts", chosen));
    }

    private List<String> links(String email) {
        List<String> links = new ArrayList<>();
        for (Written letter : letters.to(email)) {
            Matcher link = LINK.matcher(letter.text());
            if (link.find()) {
                links.add(link.group());
            }
        }
        return links;
    }

    private String link(String email, String to) {
        browser.post("/account/link", Map.of("email", email, "to", to));
        List<String> links = links(email);
        return links.get(links.size() - 1);
    }

    private String enter(String email) {
        return path(browser.post(link(email, ""), Map.of()));
    }

    private String booked(String email, int daysAhead) {
        String basket = keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, daysAhead).time().start());
        String paid = pay(order(basket, "Lene Dorsch", email), "WORKS");
        get(paid);
        return paid.substring(0, paid.lastIndexOf("/paid"));
    }

    @Test
    void aLinkLeadsInOnceWithinHalfAnHourAndMakesTheAccount() {
        assertThat(path(browser.get("/account"))).isEqualTo("/account/enter");
        browser.post("/account/link", Map.of("email", " " + lene.toUpperCase()));
        String link = links(lene).get(0);
        assertThat(browser.get(link).body()).contains(lene, "Get in");
        assertThat(browser.keepsAny()).as("looking at a link is no getting in").isFalse();
        HttpResponse<String> in = browser.post(link, Map.of());
        assertThat(path(in)).isEqualTo("/account");
        assertThat(in.headers().firstValue("Set-Cookie").orElseThrow()).contains("HttpOnly", "SameSite=Lax", "Path=/");
        assertThat(browser.get("/account").body()).contains(lene, "Nothing is booked just now");
        GuestBrowser other = new GuestBrowser(address(""), somebody());
        assertThat(other.get(link).body()).contains("This link works no more");
        assertThat(path(other.post(link, Map.of()))).isEqualTo(link);
        assertThat(other.keepsAny()).isFalse();
        String late = link(lene, "");
        clock.moveAhead(Duration.ofMinutes(31));
        assertThat(other.get(late).body()).contains("This link works no more");
    }

    @Test
    void nothingTellsWhetherThereIsAnAccountAndNobodyIsFloodedWithLinks() {
        String known = path(browser.post("/account/link", Map.of("email", lene)));
        assertThat(path(browser.post("/account/link", Map.of("email", "nobody." + lene))))
                .isEqualTo(known);
        browser.post("/account/link", Map.of("email", lene.toUpperCase()));
        assertThat(links(lene)).hasSize(1);
        assertThat(browser.post("/account/link", Map.of("email", "lene at home"))
                        .body())
                .contains("Please write a mail address.", "value=\"lene at home\"");
        String wrong = browser.post("/account/enter", Map.of("email", "nobody." + lene, "password", GOOD))
                .body();
        assertThat(wrong).contains("Address and password do not belong together");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"https://elsewhere.example/", "//elsewhere.example", "/desk", "/basket/../desk/checkout", ""})
    void nobodyIsLedElsewhere(String to) {
        assertThat(path(browser.post(link(lene, to), Map.of()))).isEqualTo("/account");
    }

    private String wordsOf(GuestBrowser somebody, String password) {
        return somebody.post("/account/enter", Map.of("email", lene, "password", password))
                .body();
    }

    @Test
    void aPasswordOpensItAndWhenItIsWrongTooOftenOnlyTheLinkDoes() {
        enter(lene);
        assertThat(browser.post("/account/ways/password", Map.of("fresh", "kiln"))
                        .body())
                .contains("12 to 200 characters");
        assertThat(path(browser.post("/account/ways/password", Map.of("fresh", GOOD))))
                .isEqualTo("/account/ways?said=password-set");
        assertThat(letters.to(lene)).extracting(Written::text).anyMatch(t -> t.contains("a password was set"));
        GuestBrowser other = new GuestBrowser(address(""), somebody());
        assertThat(path(other.post("/account/enter", Map.of("email", lene, "password", GOOD))))
                .isEqualTo("/account");
        assertThat(other.get("/account/ways").body()).contains("in one other browser");
        GuestBrowser stranger = new GuestBrowser(address(""), somebody());
        IntStream.range(0, 8).forEach(i -> assertThat(wordsOf(stranger, "two pots and a pan"))
                .contains("do not belong together"));
        assertThat(wordsOf(stranger, GOOD)).as("not told, and not let in").contains("do not belong together");
        clock.moveAhead(Duration.ofMinutes(5));
        assertThat(path(stranger.post(link(lene, ""), Map.of())))
                .as("the link works")
                .isEqualTo("/account");
        clock.moveAhead(Duration.ofHours(1));
        GuestBrowser later = new GuestBrowser(address(""), somebody());
        assertThat(path(later.post("/account/enter", Map.of("email", lene, "password", GOOD))))
                .isEqualTo("/account");
        other.post("/account/ways/password", Map.of("fresh", GOOD + " more"));
        assertThat(path(browser.get("/account"))).as("closed everywhere else").isEqualTo("/account/enter");
        assertThat(other.get("/account").statusCode()).isEqualTo(200);
    }

    @Test
    void itShowsWhatIsBookedUnderItsAddressAndNothingElse() {
        String own = booked(lene, 9);
        String others = booked("other." + lene, 9);
        enter(lene);
        String page = browser.get("/account").body();
        assertThat(page)
                .contains("Hello Lene Dorsch", "href=\"" + own + "\"", "Receipt", own + "/documents/", "/again")
                .doesNotContain(others);
        assertThat(path(browser.post("/account/follow", Map.of()))).isEqualTo("/account/follow");
        Matcher feed = Pattern.compile("/calendars/[\\w-]+\\.ics")
                .matcher(browser.get("/account/follow").body());
        assertThat(feed.find()).isTrue();
        assertThat(get(feed.group()).body()).contains("BEGIN:VEVENT", "A private lesson");
        clock.moveAhead(Duration.ofDays(20));
        assertThat(browser.get("/account").body()).contains("Nothing is booked just now", "Past and cancelled", own);
        clock.moveAhead(Duration.ofDays(71));
        assertThat(path(browser.get("/account"))).as("after 90 days").isEqualTo("/account/enter");
    }

    @Test
    void vouchersShowWhatIsLeft() {
        String basket = path(post("/vouchers/clay-card/keep", Map.of()));
        String paid = pay(order(basket, "Lene Dorsch", lene), "WORKS");
        get(paid);
        enter(lene);
        assertThat(browser.get("/account").body()).contains("The clay card", "10 visits left");
    }

    @Test
    void detailsAreFilledInAndWhatWasSaidForOneBookingIsNot() {
        booked(lene, 9);
        enter(lene);
        String basket = keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, 10).time().start());
        assertThat(get(basket + "/checkout").body())
                .contains("Do you have an account here?", "/account/enter?to=" + basket);
        String page = browser.get(basket + "/checkout").body();
        assertThat(page)
                .contains("You are in your account, " + lene, "value=\"Lene Dorsch\"", "value=\"" + lene + "\"")
                .doesNotContain("readonly");
        assertThat(path(browser.post(link("b" + lene, basket + "/checkout"), Map.of())))
                .isEqualTo(basket + "/checkout");
    }

    @Test
    void whereItIsRequiredNothingIsOrderedWithoutOneAndUnderNoOtherAddress() {
        house("required");
        String basket = keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, 11).time().start());
        String checkout = basket + "/checkout";
        assertThat(path(get(checkout))).isEqualTo("/account/enter?to=" + checkout);
        assertThat(path(post(checkout, Map.of("name", "Lene", "email", lene))))
                .isEqualTo("/account/enter?to=" + checkout);
        assertThat(path(browser.post(link(lene, checkout), Map.of()))).isEqualTo(checkout);
        String page = browser.get(checkout).body();
        assertThat(page).contains("readonly", lene);
        String pays = browser.post(checkout, CheckoutPage.filled(page, "Lene Dorsch", "other." + lene))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(pays, "WORKS"));
        assertThat(jdbc.sql("SELECT count(*) FROM orders WHERE email = ?")
                        .param(lene)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(jdbc.sql("SELECT count(*) FROM orders WHERE email = ?")
                        .param("other." + lene)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void inAFrameOnlyTheLinkIsOfferedAndItOpensTheHousesOwnPage() {
        house("required");
        String checkout = keep(
                        "private-lesson",
                        "60",
                        1,
                        opening("private-lesson", "60", 1, 13).time().start())
                + "/checkout";
        String enter = path(get("/embed" + checkout));
        assertThat(enter).isEqualTo("/embed/account/enter?to=" + checkout);
        assertThat(get(enter).body())
                .contains("action=\"/embed/account/link\"", "value=\"" + checkout + "\"")
                .doesNotContain("Use a passkey", "With a password");
        post("/embed/account/link", Map.of("email", lene, "to", checkout));
        String link = links(lene).get(0);
        assertThat(get("/embed" + link).statusCode()).isEqualTo(404);
        assertThat(path(browser.post(link, Map.of()))).isEqualTo(checkout);
        assertThat(get("/embed/account").statusCode()).isEqualTo(404);
        assertThat(get("/embed/account/ways").statusCode()).isEqualTo(404);
    }

    @Test
    void whoIsInHasShownThatTheAddressIsTheirs() {
        String basket = keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, 12).time().start());
        String line = jdbc.sql("SELECT id FROM bookings WHERE basket = ?")
                .param(basket.substring(basket.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
        post(basket + "/lines/" + line + "/pay", Map.of("later", true));
        enter(lene);
        String page = browser.get(basket + "/checkout").body();
        String booking = path(browser.post(basket + "/checkout", CheckoutPage.filled(page, "Lene Dorsch", lene)));
        assertThat(get(booking).body()).doesNotContain("One more step");
    }

    @Test
    void whereThereAreNoneNothingOfThemIsThere() {
        enter(lene);
        house("none");
        assertThat(browser.get("/account").statusCode()).isNotEqualTo(200);
        assertThat(browser.get("/account/enter").statusCode()).isEqualTo(404);
        assertThat(browser.post("/account/link", Map.of("email", lene)).statusCode())
                .isEqualTo(404);
        assertThat(get("/").body()).doesNotContain("/account");
        assertThat(get(booked(lene, 12)).body()).doesNotContain("/account");
    }

    @Test
    void afterAnOrderOneIsOfferedAndItsLinkGoesToTheAddressOfTheOrder() {
        String booking = booked(lene, 9);
        String page = get(booking).body();
        assertThat(page).contains("All your bookings in one place", "action=\"/account/link\"");
        browser.post("/account/link", Map.of("email", lene));
        assertThat(path(browser.post(links(lene).get(0), Map.of()))).isEqualTo("/account");
        assertThat(browser.get("/account").body()).contains(booking);
    }

    @Test
    void oneTakesOnesDataOutAndDeletesThem() {
        String booking = booked(lene, 9);
        enter(lene);
        JsonNode data = JsonMapper.builder()
                .build()
                .readTree(browser.post("/account/data", Map.of()).body());
        assertThat(data.path("orders")).hasSize(1);
        assertThat(data.at("/accounts/0/email").asString()).isEqualTo(lene);
        assertThat(browser.get("/account").body()).contains("once none of them is still to come");
        assertThat(path(browser.post("/account/delete", Map.of("forget", "true"))))
                .as("what is to come is not forgotten")
                .isEqualTo("/account/enter?said=deleted");
        assertThat(browser.keepsAny()).isFalse();
        assertThat(get(booking).body()).contains("Lene Dorsch");
        clock.moveAhead(Duration.ofDays(20));
        rounds.run();
        outbox.send();
        enter(lene);
        assertThat(path(browser.post("/account/delete", Map.of("forget", "true"))))
                .isEqualTo("/account/enter?said=forgotten");
        assertThat(get(booking).statusCode()).isEqualTo(404);
        assertThat(jdbc.sql("SELECT count(*) FROM accounts WHERE email = ?")
                        .param(lene)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "x",
                "{}",
                "{'challenge': '%s'}",
                "{'challenge': '%s', 'credential': {'id': 'a', 'rawId': 'a', 'type': 'public-key', 'response': {}}}",
                "{'challenge': '%s', 'credential': {'id': 'YQ', 'rawId': 'YQ', 'type': 'public-key', 'response':"
                        + " {'clientDataJSON': 'YQ', 'authenticatorData': 'YQ', 'signature': 'YQ'}}}",
                "{'challenge': '%s', 'credential': {'id': '*', 'rawId': '*', 'type': '*', 'response':"
                        + " {'clientDataJSON': '*', 'authenticatorData': '*', 'signature': '*'}}}"
            })
    void whatIsNoPasskeyOpensNothing(String answer) {
        String challenge = JsonMapper.builder()
                .build()
                .readTree(post("/account/passkey/ask", Map.of()).body())
                .path("challenge")
                .asString("");
        HttpResponse<String> entered = send(HttpRequest.newBuilder(URI.create(address("/account/passkey")))
                .header("Content-Type", "application/json")
                .header(FROM, somebody())
                .POST(HttpRequest.BodyPublishers.ofString(
                        answer.replace('\'', '"').replace("%s", challenge))));
        assertThat(entered.statusCode()).isBetween(400, 403);
        assertThat(entered.headers().firstValue("Set-Cookie")).isEmpty();
    }

    @Test
    void whatNobodyUsesIsTidiedAway() {
        enter(lene);
        link("late." + lene, "");
        clock.moveAhead(Duration.ofDays(365 * 4L));
        tidying.run();
        assertThat(jdbc.sql("SELECT email FROM accounts UNION SELECT email FROM account_links")
                        .query(String.class)
                        .list())
                .doesNotContain(lene, "late." + lene);
        assertThat(jdbc.sql("SELECT count(*) FROM account_visits WHERE made_at < ?")
                        .param(clock.instant().minus(Duration.ofDays(90)).getEpochSecond())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void otherWebsitesCannotPressItsButtons() {
        enter(lene);
        assertThat(post("/account/delete", Map.of(), "Sec-Fetch-Site", "cross-site")
                        .statusCode())
                .isEqualTo(403);
    }
}
