package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.OwnHouse;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;

/** Somebody with fifty addresses and scripts that work for their proofs, and an ordinary guest beside them. */
@Tag("siege")
@DirtiesContext
@ContextConfiguration(initializers = HoarderTest.House.class)
class HoarderTest extends DemoHouseTest {

    /** The limits as they are where nobody sets others. */
    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.shares.visitor", 20, "gastfreund.shares.house", 50, "gastfreund.door.bits", 6);
        }
    }

    private static final int ADDRESSES = 50;

    private long left() {
        return openings
                .openings(Query.of(new OfferId("private-lesson"), today(), today().plusDays(41), clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withParty(1))
                .entries()
                .stream()
                .flatMap(e -> e.open().stream())
                .mapToLong(o -> o.opening().left())
                .sum();
    }

    private List<Long> starts() {
        List<Long> starts = new ArrayList<>();
        for (Answer.Entry entry : openings.openings(
                        Query.of(new OfferId("private-lesson"), today(), today().plusDays(41), clock.instant())
                                .withLength(new LengthId("60"), 1)
                                .withParty(1))
                .entries()) {
            starts.add(entry.time().start());
        }
        return starts;
    }

    /** One try for one start, and, where a moment's work is asked for, another with it. */
    private boolean keeps(long start, String from) {
        String offer = "/offers/private-lesson";
        String choice = "?party=1&length=60";
        String answer = path(sent(offer + choice, offer + "/keep" + choice, start, from));
        if (answer.contains("why=moment")) {
            answer = path(sent(answer, offer + "/keep" + choice, start, from));
        }
        return answer.startsWith("/basket/");
    }

    private HttpResponse<String> sent(String page, String keep, long start, String from) {
        String html = send(HttpRequest.newBuilder(URI.create(address(page))).header(FROM, from))
                .body();
        return post(keep, CheckoutPage.sealed(html, new HashMap<>(Map.of("start", start))), FROM, from);
    }

    @Test
    void anOrdinaryGuestStillGetsAPlace() {
        List<String> addresses = new ArrayList<>();
        for (int i = 0; i < ADDRESSES; i++) {
            addresses.add("203.0.113." + i);
        }
        long before = left();
        int kept = 0;
        int guests = 0;
        int tries = 0;
        boolean anything = true;
        for (int round = 0; anything && round < 12; round++) {
            anything = false;
            List<Long> starts = starts();
            for (String from : addresses) {
                if (starts.isEmpty()) {
                    break;
                }
                tries++;
                // The most that is spoiled by one hold is spoiled by those in the middle of a day.
                boolean got = keeps(starts.get(tries * 37 % starts.size()), from);
                anything |= got;
                if (got) {
                    kept++;
                    starts = starts();
                }
            }
            // An ordinary guest comes by in each round, keeps a place and gives it back.
            long start = starts().get(starts().size() / 2);
            if (keeps(start, somebody())) {
                guests++;
                String basket = jdbc.sql(
                                "SELECT basket FROM bookings WHERE status = 'held' ORDER BY rowid DESC LIMIT 1")
                        .query(String.class)
                        .single();
                String line = jdbc.sql("SELECT id FROM bookings WHERE basket = ?")
                        .param(basket)
                        .query(String.class)
                        .single();
                post("/basket/" + basket + "/lines/" + line + "/release", Map.of());
            }
            assertThat(guests)
                    .as("guests who got a place after round %d", round)
                    .isEqualTo(round + 1);
        }
        assertThat(left())
                .as("what is left of %d with %d holds after %d tries", before, kept, tries)
                .isGreaterThan(before / 5);
        assertThat(starts()).isNotEmpty();
        String basket = keepOne();
        assertThat(get(basket).body()).contains("A private lesson");
    }

    private String keepOne() {
        return keep("private-lesson", "60", 1, starts().get(0));
    }
}
