package gastfreund.app.offerdesk;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** What the editor of an offer does with what is pressed and typed, over HTTP. */
class OfferDeskTest extends DemoHouseTest {

    @Autowired
    private Editing editing;

    @Autowired
    private HostService hosts;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private TransactionTemplate transaction;

    private HostBrowser host;

    @BeforeEach
    void atTheDesk() {
        transaction.executeWithoutResult(t -> jdbc.sql("DELETE FROM drafts").update());
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private JsonNode draft(String offer) {
        Host okka = hosts.byEmail("okka@quillmere.example").orElseThrow();
        return editing.seen(okka, DocumentRef.offer(offer)).orElseThrow().json();
    }

    private String type(String offer, Map<String, String> form) {
        host.get("/desk/offers/" + offer);
        host.post("/desk/offers/" + offer, form);
        return host.get("/desk/offers/" + offer + "?tab=" + form.getOrDefault("tab", "sold"))
                .body();
    }

    @Test
    void aDateOfATimetableIsSetApartAndCanBeOtherwise() {
        JsonNode before = draft("wheel-evenings").path("timetable");
        String date = Dates.of(before.get(0), today(), 3).get(2).toString();
        type("wheel-evenings", Map.of("tab", "dates", "add", "apart/0", "apart/0", date));
        JsonNode after = draft("wheel-evenings").path("timetable");
        assertThat(after.size()).isEqualTo(before.size() + 1);
        assertThat(after.get(0).path("exdates").toString()).contains(date);
        assertThat(after.get(1).path("start").stringValue()).startsWith(date);
        assertThat(after.get(1).has("rrule")).isFalse();
        String page = type(
                "wheel-evenings",
                Map.of(
                        "tab",
                        "dates",
                        "timetable/1/seats",
                        "3",
                        "timetable/1/date",
                        date,
                        "timetable/1/time",
                        "19:00"));
        assertThat(draft("wheel-evenings").at("/timetable/1/seats").intValue()).isEqualTo(3);
        assertThat(page).contains("Set this date apart");
        type("wheel-evenings", Map.of("tab", "dates", "add", "apart/0", "apart/0", "2020-01-01"));
        type("wheel-evenings", Map.of("tab", "dates", "add", "apart/99", "apart/99", date));
        type("wheel-evenings", Map.of("tab", "dates", "add", "apart/x", "apart/x", date));
        assertThat(draft("wheel-evenings").path("timetable").size())
                .as("a date that it has not")
                .isEqualTo(after.size());
    }

    @Test
    void whatMakesAnotherSettingPointlessIsSaidWithTheReason() {
        assertThat(type("wheel-hire", Map.of("limits/minutesPerDay", "30 min"))).contains("no length fits into that");
        assertThat(type("wheel-hire", Map.of("limits/minutesPerDay", "", "limits/perDay", "0")))
                .contains("there may be none on a day");
        assertThat(type(
                        "wheel-hire",
                        Map.of("limits/perDay", "", "season/from", "2026-01-01", "season/to", "2026-02-01")))
                .contains("it was over on");
        assertThat(type("clay-table", Map.of("seats", "2", "party/min", "4", "party/max", "6")))
                .contains("larger than the 2 seats");
    }

    @Test
    void anOfferIsFoundByItsTagsAndHasItsSignAndColourOnTheBoard() {
        edits.change("offers", "private-lesson", offer -> {
            offer.withObject("/extra")
                    .put("sign", "◆")
                    .put("tone", "plum")
                    .putArray("tags")
                    .add("teaching");
        });
        assertThat(host.get("/desk/offers?search=TEACH").body())
                .contains("A private lesson at the wheel")
                .doesNotContain("Wheel hire");
        String day = jdbc.sql(
                        """
                        SELECT date(min(start_at), 'unixepoch') FROM bookings
                        WHERE offer = 'private-lesson' AND status = 'confirmed' AND start_at > ?
                        """)
                .param(clock.instant().getEpochSecond())
                .query(String.class)
                .single();
        assertThat(host.get("/desk?day=" + day).body()).contains("class=\"tone plum\"", "◆ ");
        edits.change("offers", "private-lesson", offer -> offer.withObject("/extra")
                .remove(java.util.List.of("sign", "tone", "tags")));
    }

    @Test
    void morePicturesComeBesideTheFirstEachWithThePointThatMatters() throws IOException {
        host.get("/desk/offers/clay-table?tab=what");
        assertThat(path(picture("/desk/offers/clay-table/more/picture", new byte[] {1, 2, 3})))
                .contains("more=unreadable");
        assertThat(path(picture("/desk/offers/clay-table/more/picture", png()))).doesNotContain("more=");
        JsonNode pictures = draft("clay-table").at("/extra/pictures");
        assertThat(pictures.size()).isEqualTo(1);
        String id = pictures.get(0).get("id").stringValue();
        Map<String, String> form = new HashMap<>(Map.of(
                "tab", "what", "extra/pictures/" + id + "/text", "Bowls", "extra/pictures/" + id + "/at", "top-left"));
        String page = type("clay-table", form);
        assertThat(page).contains(pictures.get(0).get("name").stringValue().replace("-1600.", "-320."));
        host.post("/desk/offers/clay-table/keep", Map.of("tab", "what"));
        assertThat(get("/offers/clay-table").body()).contains("class=\"gallery\"", "alt=\"Bowls\"", "at-top-left");
        form = Map.of("tab", "what", "remove", "extra/pictures/" + id);
        type("clay-table", form);
        assertThat(draft("clay-table").path("extra").has("pictures")).isFalse();
    }

    private static byte[] png() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private java.net.http.HttpResponse<String> picture(String path, byte[] bytes) throws IOException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.write(("--x\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + host.token()
                        + "\r\n--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"f\"\r\n\r\n")
                .getBytes(StandardCharsets.US_ASCII));
        body.write(bytes);
        body.write("\r\n--x--\r\n".getBytes(StandardCharsets.US_ASCII));
        return host.send(host.request(path)
                .header("Content-Type", "multipart/form-data; boundary=x")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
    }

    @Test
    void aHostTriesWhetherMailsGoOut() {
        assertThat(host.get("/desk/mail").body()).contains("letters go out");
        assertThat(host.post("/desk/mail", Map.of()).body()).contains("okka@quillmere.example was taken by the mail");
    }

    @Test
    void whoWouldBeForgottenIsShownBeforeAnybodyIs() {
        String page = host.get("/desk/guests/forgetting?months=1").body();
        assertThat(page).contains("1 months after the last booking", "Nothing happens on this page");
        assertThat(host.get("/desk/guests/forgetting?months=many").body()).contains("36 months");
    }

    @Test
    void howManyThereAreOfAnAddOnIsSaidWithItAndGoesWithIt() {
        String page = type("wheel-hire", Map.of("tab", "money", "extra/stock/clay", "12"));
        assertThat(draft("wheel-hire").at("/extra/stock/clay").intValue()).isEqualTo(12);
        assertThat(page).contains("How many there are of “clay”: nothing → 12");
        assertThat(type("wheel-hire", Map.of("tab", "money", "extra/stock/clay", "a lot")))
                .contains("a lot", "This cannot be read.");
        type("wheel-hire", Map.of("tab", "money", "remove", "addOns/clay"));
        type("wheel-hire", Map.of("tab", "money"));
        assertThat(draft("wheel-hire").path("extra").has("stock")).isFalse();
    }

    @Test
    void whatOtherPricesWouldHaveBroughtIsToldFromWhatWasBooked() {
        String prices = "/desk/offers/private-lesson/prices";
        assertThat(host.get(prices).body()).doesNotContain("In the last 90 days");
        int rules = draft("private-lesson").path("priceRules").size();
        host.post(prices, Map.of("add", "priceRules"));
        host.get(prices);
        String rule = "priceRules/" + rules + "/";
        String always = rule + "days/sat\n" + rule + "days/sun";
        host.post(prices, Map.of(rule + "by", "5", rule + "how", "more", "asked", always));
        long booked = jdbc.sql("SELECT count(*) FROM bookings WHERE offer = 'private-lesson' AND start_at < ?"
                        + " AND status IN ('confirmed', 'completed', 'no-show')")
                .param(clock.instant().getEpochSecond())
                .query(Long.class)
                .single();
        assertThat(booked).isPositive();
        assertThat(host.get(prices).body())
                .contains("In the last 90 days these prices would have brought " + 5 * booked + ".00\u00a0€ more.");
        host.post(prices, Map.of(rule + "by", "5", rule + "how", "less", "asked", always));
        assertThat(host.get(prices).body()).contains(5 * booked + ".00\u00a0€ less.");
    }
}
