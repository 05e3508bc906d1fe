package gastfreund.app.baskets;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.SmallHouse;
import gastfreund.app.openings.Choice;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Keeping places, asked of the service itself, in a house of three offers. */
class KeepingTest extends DemoHouseTest {

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private Holds holds;

    @BeforeEach
    void smallHouse() {
        SmallHouse house =
                SmallHouse.named("Ferry Row").person("mira").person("odo").resource("boat", 2);
        house.offer("talk", 60, 4000).servedBy("mira", "odo");
        house.offer("crossing", 30, 900).uses("boat", 1);
        house.offer("choir", 90, 1200).shared(3);
        edits.open(house);
    }

    private Kept keep(String offer, int party, long start) {
        Offer wanted = catalogues.catalogue().offer(offer).orElseThrow();
        Choice choice = Choice.of(
                catalogues.catalogue().house(),
                wanted,
                new Choice.Asked(Integer.toString(party), null, null, null, null, null, null, null));
        return holds.keep(null, new KeepRequest(choice, start, null, somebody(), "", ""));
    }

    private long start(String offer, int party) {
        return opening(offer, "only", party, 1).time().start();
    }

    @Test
    void asManyAsServeAreKeptAndNoMore() {
        long start = start("talk", 1);
        assertThat(keep("talk", 1, start)).isInstanceOf(Kept.Held.class);
        assertThat(keep("talk", 1, start)).isInstanceOf(Kept.Held.class);
        assertThat(keep("talk", 1, start)).isInstanceOf(Kept.Gone.class);
    }

    @Test
    void asManySeatsAsThereAreAreKeptAndNoMore() {
        long start = start("choir", 1);
        assertThat(keep("choir", 2, start)).isInstanceOf(Kept.Held.class);
        assertThat(keep("choir", 2, start)).isInstanceOf(Kept.Gone.class);
        assertThat(keep("choir", 1, start)).isInstanceOf(Kept.Held.class);
    }

    @Test
    void whatIsNotBookedInTimeIsFreeAgain() {
        long start = start("crossing", 1);
        keep("crossing", 1, start);
        keep("crossing", 1, start);
        assertThat(keep("crossing", 1, start)).isInstanceOf(Kept.Gone.class);
        clock.moveAhead(Duration.ofMinutes(16));
        assertThat(keep("crossing", 1, start)).isInstanceOf(Kept.Held.class);
    }

    @Test
    void ofManyAtOnceOnlySoManyGetOne() {
        long start = start("crossing", 1);
        List<CompletableFuture<Kept>> tries = IntStream.range(0, 8)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> keep("crossing", 1, start)))
                .toList();
        assertThat(tries.stream().map(CompletableFuture::join).filter(Kept.Held.class::isInstance))
                .hasSize(2);
    }

    @Test
    void aPlaceWasNeverOneWhereNothingBegins() {
        Answer.Entry entry = opening("talk", "only", 1, 1);
        assertThat(keep("talk", 1, entry.time().start() + 7)).isInstanceOf(Kept.Gone.class);
    }
}
