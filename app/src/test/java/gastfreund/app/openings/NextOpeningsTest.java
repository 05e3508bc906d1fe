package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The next opening of each offer, beside what asking for every length of every offer says. */
class NextOpeningsTest extends DemoHouseTest {

    @Autowired
    private NextOpenings next;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private CatalogueEdits edits;

    private Optional<Answer.Entry> asked(Offer offer) {
        LocalDate today = today();
        return offer.lengths().stream()
                .map(length -> openings.next(Query.of(offer.id(), today, today, clock.instant())
                        .withLength(length.id(), length.minUnits())
                        .withParty(offer.party().min())))
                .flatMap(Optional::stream)
                .min(Comparator.comparingLong(e -> e.time().start()));
    }

    private void agree(String when) {
        for (Offer offer : catalogues.catalogue().house().offers()) {
            assertThat(next.of(offer)).as(offer.title() + " " + when).isEqualTo(asked(offer));
        }
    }

    @Test
    void itIsWhatAskingForEachLengthSays() {
        for (int hours = 0; hours < 24 * 9; hours += 13) {
            agree("in " + hours + " hours");
            clock.moveAhead(Duration.ofHours(13));
        }
    }

    @Test
    void aBookingChangesItAndSoDoesItsEnd() {
        Offer call = catalogues.catalogue().offer("glaze-call").orElseThrow();
        Answer.Entry first = next.of(call).orElseThrow();
        String basket = keep("glaze-call", "25", 1, first.time().start());
        agree("when the first is kept");
        String line = jdbc.sql("SELECT id FROM bookings ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
        post(basket + "/lines/" + line + "/release", Map.of());
        assertThat(next.of(call)).contains(first);
        agree("when it is given back");
    }

    @Test
    void aHoldThatIsOverChangesIt() {
        Offer call = catalogues.catalogue().offer("glaze-call").orElseThrow();
        keep("glaze-call", "25", 1, next.of(call).orElseThrow().time().start());
        clock.moveAhead(Duration.ofMinutes(16));
        agree("when a hold is over");
    }

    @Test
    void theCatalogueChangesIt() {
        Offer call = catalogues.catalogue().offer("glaze-call").orElseThrow();
        long notice = call.bounds().notice().count();
        assertThat(next.of(call)).isPresent();
        edits.change("offers", "glaze-call", o -> o.put("notice", 10_000));
        agree("with more notice");
        edits.change("offers", "glaze-call", o -> o.put("notice", notice));
        agree("as it was");
    }
}
