package gastfreund.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.openings.Answer;
import gastfreund.core.time.HouseZone;
import gastfreund.housefile.AnswerWriter;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/** What every program can read without a key. */
class PublicTest extends ProgramTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Test
    void whatIsThereIsDescribedAndNothingElse() {
        Set<String> there = new TreeSet<>();
        mappings.getHandlerMethods().keySet().forEach(info -> info.getPatternValues().stream()
                .filter(p -> p.startsWith("/api/"))
                .forEach(p -> info.getMethodsCondition()
                        .getMethods()
                        .forEach(m -> there.add(m + " " + p.substring("/api".length())))));
        assertThat(description().operations()).hasSizeGreaterThan(15).isEqualTo(there);
    }

    @Test
    void theHouseAndWhatItSellsAreToldInTheLanguageOfWhoeverAsks() {
        assertThat(read("/api/house").path("name").asString()).isEqualTo("Quillmere Clay House");
        assertThat(read("/api/house").path("zone").asString()).isEqualTo("Europe/Berlin");
        JsonNode offers = read("/api/offers").path("offers");
        assertThat(offers.valueStream().map(o -> o.path("id").asString()))
                .contains("private-lesson", "wheel-hire", "wheel-evenings");
        JsonNode lesson = read("/api/offers/private-lesson");
        assertThat(lesson.path("lengths").get(0).path("priceFrom").asLong()).isEqualTo(4800);
        assertThat(lesson.path("terms").path("cancel")).hasSize(3);
        assertThat(read("/api/problems/taken", "Accept-Language", "de")
                        .path("title")
                        .asString())
                .isEqualTo("Diese Zeit ist nicht zu haben");
    }

    @Test
    void openingsAreThoseOfTheEngine() {
        var first = today().plusDays(2);
        var last = today().plusDays(9);
        JsonNode told = read("/api/offers/private-lesson/openings?party=2&length=90&from=" + first + "&to=" + last);
        Answer answer = openings.openings(gastfreund.core.openings.Query.of(
                        new gastfreund.core.hours.OfferId("private-lesson"), first, last, clock.instant())
                .withLength(new gastfreund.core.offers.LengthId("90"), 1)
                .withParty(2)
                .withPlace(new gastfreund.core.offers.PlaceId("mill-yard")));
        List<String> starts = new ArrayList<>();
        told.path("openings").forEach(o -> starts.add(o.path("start").asString()));
        assertThat(starts)
                .isNotEmpty()
                .containsExactlyElementsOf(answer.entries().stream()
                        .map(e -> AnswerWriter.instant(ZONE, e.time().start()))
                        .toList());
    }

    @Test
    void aPriceSaysWhatIsDueWhenAndWhatCancellingWouldCost() {
        String start = start("private-lesson", "60", 9);
        JsonNode price = read("/api/offers/private-lesson/price?length=60&party=2&add=glazing:1&start=" + start);
        long total = price.path("total").asLong();
        assertThat(total)
                .isEqualTo(price.path("adjusted").asLong()
                        + price.path("addOnsPrice").asLong())
                .isEqualTo(price.path("dueNow").asLong() + price.path("balance").asLong());
        assertThat(price.path("dueNow").asLong()).as("30 percent, to the cent").isEqualTo(Math.round(total * 0.3));
        JsonNode steps = price.path("cancelling");
        assertThat(steps).hasSizeGreaterThanOrEqualTo(3);
        assertThat(steps.get(0).path("keep").asLong()).isZero();
        assertThat(steps.get(1).path("keep").asLong())
                .isEqualTo(price.path("dueNow").asLong());
    }

    @Test
    void aSeriesIsFoundDateByDate() {
        JsonNode series = read("/api/offers/wheel-hire/series?length=60&times=4&start=" + start("wheel-hire", "60", 5));
        assertThat(series.path("dates")).hasSize(4);
        assertThat(series.path("free").asInt()).isBetween(1, 4);
    }

    @Test
    void whoeverHasItAlreadyIsToldSoAndPagesOfAnyHostMayAsk() {
        HttpResponse<String> first = asked("GET", "/api/offers", null, "Origin", "https://shop.example");
        assertThat(first.headers().firstValue("Access-Control-Allow-Origin")).hasValue("*");
        assertThat(first.headers().firstValue("Access-Control-Allow-Credentials"))
                .isEmpty();
        String tag = first.headers().firstValue("ETag").orElseThrow();
        HttpResponse<String> again = asked("GET", "/api/offers", null, "If-None-Match", tag);
        assertThat(again.statusCode()).isEqualTo(304);
        HttpResponse<String> closed = asked("GET", "/api/orders", null, "Origin", "https://shop.example");
        assertThat(closed.headers().firstValue("Access-Control-Allow-Origin"))
                .as("a key is nothing for pages")
                .isEmpty();
    }

    @Test
    void whatCannotBeRightIsSaidAllAtOnce() {
        HttpResponse<String> wrong = asked(
                "GET", "/api/offers/private-lesson/openings?party=99&length=7&units=x&add=moon&staff=nobody", null);
        JsonNode problem = json(wrong, 422);
        assertThat(problem.path("errors").valueStream().map(e -> e.path("field").asString()))
                .containsExactlyInAnyOrder("party", "length", "units", "add", "staff");
        for (String bad : List.of("from=yesterday", "from=2027-01-20&to=2027-01-19", "from=2027-01-20&to=2027-04-19")) {
            assertThat(asked("GET", "/api/offers/private-lesson/openings?" + bad, null)
                            .statusCode())
                    .as(bad)
                    .isEqualTo(422);
        }
        for (String bad : List.of("", "start=2027-01-20T10:00", "start=2027-01-20T10:00:30%2B01:00")) {
            assertThat(why(asked("GET", "/api/offers/private-lesson/price?" + bad, null)))
                    .as(bad)
                    .isEqualTo("wrong-fields");
        }
        HttpResponse<String> taken =
                asked("GET", "/api/offers/private-lesson/price?start=2027-01-20T03:00%2B01:00", null);
        assertThat(json(taken, 409).path("nearest")).isNotEmpty();
        assertThat(why(taken)).isEqualTo("taken");
        assertThat(read("/api/problems/taken").path("status").asInt()).isEqualTo(409);
        assertThat(why(asked("GET", "/api/offers/nothing", null))).isEqualTo("not-there");
    }

    private String start(String offer, String length, int daysAhead) {
        return URLEncoder.encode(
                AnswerWriter.instant(
                        ZONE, opening(offer, length, 2, daysAhead).time().start()),
                StandardCharsets.UTF_8);
    }
}
