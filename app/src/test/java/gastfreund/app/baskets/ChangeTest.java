package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Lines of a basket that are changed where they stand. */
class ChangeTest extends DemoHouseTest {

    @Autowired
    private BasketService baskets;

    private BasketLine line(String basketPath) {
        return baskets.lines(basketPath.substring("/basket/".length())).get(0);
    }

    private HttpResponse<String> change(String basketPath, String choice, long start) {
        return post(basketPath + "/lines/" + line(basketPath).id() + "/change?" + choice, Map.of("start", start));
    }

    @Test
    void partyLengthAndAddOnsChangeWithOneClickAndThePriceFollows() {
        Answer.Entry entry = opening("private-lesson", "90", 2, 23);
        String basket = keep("private-lesson", "60", 1, entry.time().start());
        String before = get(basket).body();
        BasketLine kept = line(basket);
        clock.moveAhead(Duration.ofMinutes(5));
        assertThat(path(change(
                        basket, "party=2&length=90&add=glazing:1", entry.time().start())))
                .startsWith(basket + "?changed=");
        BasketLine changed = line(basket);
        assertThat(changed.id()).isEqualTo(kept.id());
        assertThat(changed.party()).isEqualTo(2);
        assertThat(changed.time().start()).isEqualTo(kept.time().start());
        assertThat(changed.staff()).isEqualTo(kept.staff());
        assertThat(changed.time().end() - changed.time().start()).isEqualTo(120);
        assertThat(changed.expires()).as("the same start is kept no longer").isEqualTo(kept.expires());
        String after = get(basket).body();
        assertThat(dueNow(after)).isNotEqualTo(dueNow(before));
        assertThat(after).contains("2 people");
    }

    private static String dueNow(String page) {
        Matcher ladder = Pattern.compile("<dd class=\"total\">([^<]+)</dd>").matcher(page);
        assertThat(ladder.find()).isTrue();
        return ladder.group(1);
    }

    @Test
    void aLineMovesToAnotherTimeAndItsOldPlaceIsFree() {
        Answer.Entry first = opening("clay-table", "120", 3, 24);
        Answer.Entry later = opening("clay-table", "120", 3, 27);
        int left = first.open().get(0).opening().left();
        String basket = keep("clay-table", "120", 3, first.time().start());
        String times = get(basket + "/lines/" + line(basket).id() + "/change?party=3&length=120")
                .body();
        assertThat(times).contains("So far you have").contains("Take this instead");
        change(basket, "party=3&length=120", later.time().start());
        assertThat(line(basket).time()).isEqualTo(later.time());
        assertThat(opening("clay-table", "120", 3, 24).open().get(0).opening().left())
                .isEqualTo(left);
    }

    @Test
    void whatCannotBeHadLeavesTheLineAsItWas() {
        Answer.Entry entry = opening("wheel-hire", "60", 3, 25);
        String basket = keep("wheel-hire", "60", 3, entry.time().start());
        int left = openingAt(entry).open().get(0).opening().left();
        keep("wheel-hire", "60", left, entry.time().start());
        BasketLine before = line(basket);
        String told = path(change(basket, "party=4&length=60", entry.time().start()));
        assertThat(told)
                .contains("/change?")
                .contains("&gone=" + entry.time().start())
                .contains("party=4");
        assertThat(get(told).body()).contains("What you have is still kept");
        assertThat(line(basket)).isEqualTo(before);
    }

    private Answer.Entry openingAt(Answer.Entry entry) {
        Answer.Entry again = opening("wheel-hire", "60", 1, 25);
        assertThat(again.time()).isEqualTo(entry.time());
        return again;
    }

    @Test
    void aLineOfAnotherBasketIsNotThere() {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 28);
        String mine = keep("wheel-hire", "60", 1, entry.time().start());
        String yours = keep("wheel-hire", "60", 1, entry.time().start());
        String path = mine + "/lines/" + line(yours).id();
        assertThat(post(
                                path + "/change?party=2&length=60",
                                Map.of("start", entry.time().start()))
                        .statusCode())
                .isEqualTo(404);
        assertThat(post(path + "/release", Map.of()).statusCode()).isEqualTo(404);
        assertThat(line(yours).party()).isEqualTo(1);
    }

    @Test
    void theBasketsAddressIsACodeForACamera() {
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 29).time().start());
        assertThat(get(basket + "/code.svg").body()).startsWith("<svg").contains("<path");
        assertThat(get(basket).body()).contains(address(basket));
    }
}
