package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.storage.Reading;
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

    private static final String LESSON = "private-lesson";

    @Autowired
    private NextOpenings next;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Reading reading;

    private Optional<Answer.Entry> asked(Offer offer) {
        LocalDate today = today();
        return offer.lengths().stream()
                .map(length -> openings.next(Query.of(offer.id(), today, today, clock.instant())
                        .withLength(length.id(), length.minUnits())
                        .withParty(offer.party().min())))
                .flatMap(Optional::stream)
                .min(Comparator.comparingLong(e -> e.time().start()));
    }

    /** Keeps a place at an opening; its lengths are named by their minutes. */
    private String keep(Answer.Entry entry) {
        return keep(
                LESSON,
                Long.toString(entry.time().length().count()),
                1,
                entry.time().start());
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
        Offer lesson = catalogues.catalogue().offer(LESSON).orElseThrow();
        Answer.Entry first = next.of(lesson).orElseThrow();
        String basket = keep(first);
        assertThat(next.of(lesson)).isNotEqualTo(Optional.of(first));
        agree("when the first is kept");
        String line = jdbc.sql("SELECT id FROM bookings ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
        post(basket + "/lines/" + line + "/release", Map.of());
        assertThat(next.of(lesson)).contains(first);
        agree("when it is given back");
    }

    @Test
    void whatAPageFindsIsNotOfItsPast() {
        Offer lesson = catalogues.catalogue().offer(LESSON).orElseThrow();
        Answer.Entry first = next.of(lesson).orElseThrow();
        Answer.Entry found = reading.of(() -> {
            assertThat(jdbc.sql("SELECT count(*) FROM bookings")
                            .query(Integer.class)
                            .single())
                    .isPositive();
            keep(first);
            return next.of(lesson).orElseThrow();
        });
        assertThat(found).isNotEqualTo(first);
        agree("after a page that began before");
    }

    @Test
    void aHoldThatIsOverChangesIt() {
        Offer lesson = catalogues.catalogue().offer(LESSON).orElseThrow();
        keep(next.of(lesson).orElseThrow());
        clock.moveAhead(Duration.ofMinutes(16));
        agree("when a hold is over");
    }

    @Test
    void theCatalogueChangesIt() {
        Offer lesson = catalogues.catalogue().offer(LESSON).orElseThrow();
        long notice = lesson.bounds().notice().count();
        assertThat(next.of(lesson)).isPresent();
        edits.change("offers", LESSON, o -> o.put("notice", 10_000));
        agree("with more notice");
        edits.change("offers", LESSON, o -> o.put("notice", notice));
        agree("as it was");
    }
}
