package gastfreund.app.visits;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** Before anything is chosen guests learn whether the house comes to them, and what the way costs. */
class WayTest extends DemoHouseTest {

    private static final String OFFER = "/offers/clay-visit?party=4";

    private String way() {
        Element link = Jsoup.parse(get(OFFER).body()).selectFirst("a[href*=/way]");
        return link.attr("href");
    }

    private String measured(Map<String, Object> form) {
        return Jsoup.parse(post(way(), form).body()).selectFirst("main").text();
    }

    @Test
    void theWayIsMeasuredAndPriced() {
        assertThat(measured(Map.of("address", "Tide Lane 3"))).contains("That is 2.2 km away", "costs nothing");
        Document several =
                Jsoup.parse(post(way(), Map.of("address", "Church Lane 2")).body());
        String farther = several.select("input[name=meant]").last().val();
        assertThat(measured(Map.of("address", "Church Lane 2", "meant", farther)))
                .containsPattern("That is [\\d.]+ km away");
    }

    @Test
    void whatIsNoAddressIsToldAtTheFieldAndStays() {
        assertThat(measured(Map.of("address", " "))).contains("Please tell us where we shall come.");
        String unknown = post(way(), Map.of("address", "Nowhere Road 99")).body();
        assertThat(unknown).contains("We cannot find this address.", "Nowhere Road 99");
        assertThat(measured(Map.of("address", "x".repeat(401)))).contains("400");
    }

    @Test
    void itLeadsBackToTheSameChoiceAndIsAskedOnlyWhereItMatters() {
        assertThat(Jsoup.parse(get(way()).body())
                        .selectFirst("main a[href*=party]")
                        .attr("href"))
                .contains("/offers/clay-visit", "party=4");
        assertThat(get("/offers/private-lesson?party=2").body()).doesNotContain("/way?");
        assertThat(get("/offers/private-lesson/way?party=2").statusCode()).isEqualTo(404);
        assertThat(get("/offers/nothing/way").statusCode()).isEqualTo(404);
    }

    @Test
    void aScriptIsGivenTheFormAlone() {
        String part = get(way() + "&fragment=way").body();
        assertThat(part).contains("name=\"address\"").doesNotContain("<h1", "<html");
    }
}
