package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import gastfreund.core.openings.Verdict;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Openings where there are some and reasons where there are none are both what the engine says when asked for all of it. */
class OpeningsOrReasonsTest extends DemoHouseTest {

    private static final int DAYS = 35;

    @Autowired
    private OpeningsService openings;

    @Autowired
    private CatalogueService catalogues;

    @Test
    void eachDateIsAsItsExplanationSays() {
        House house = catalogues.catalogue().house();
        int open = 0;
        int shut = 0;
        for (Offer offer : catalogues.catalogue().listed()) {
            for (Length length : offer.hasTimetable() ? offer.lengths().subList(0, 1) : offer.lengths()) {
                LocalDate last = today().plusDays(DAYS - 1L);
                Query asked = Query.of(offer.id(), today(), last, clock.instant())
                        .withParty(offer.party().min());
                Query query = offer.hasTimetable() ? asked : asked.withLength(length.id(), length.minUnits());
                Answer answer = openings.openingsOrReasons(house, query);
                Answer explanation = openings.explain(house, query);
                assertThat(answer.refusal()).isEqualTo(explanation.refusal());
                for (LocalDate date : today().datesUntil(last.plusDays(1)).toList()) {
                    List<Answer.Entry> all = on(explanation, date, house, e -> true);
                    List<Answer.Entry> can = on(explanation, date, house, Answer.Entry::isOpen);
                    List<Answer.Entry> said = on(answer, date, house, e -> true);
                    if (can.isEmpty()) {
                        assertThat(codes(said))
                                .as("%s %s", offer.id(), date)
                                .isEqualTo(codes(offer.hasTimetable() ? all : withinHours(all)));
                        shut++;
                    } else {
                        assertThat(said.stream().map(e -> Slot.of(e, house)).toList())
                                .as("%s %s", offer.id(), date)
                                .isEqualTo(
                                        can.stream().map(e -> Slot.of(e, house)).toList());
                        open++;
                    }
                }
            }
        }
        assertThat(open).isGreaterThan(100);
        assertThat(shut).isGreaterThan(50);
    }

    private static List<Answer.Entry> on(Answer answer, LocalDate date, House house, Predicate<Answer.Entry> which) {
        return answer.entries().stream()
                .filter(e -> house.zone().dateOf(e.time().start()).equals(date))
                .filter(which)
                .toList();
    }

    /** What of candidates lies within hours, with the first that stands against it. */
    private static List<Answer.Entry> withinHours(List<Answer.Entry> entries) {
        return entries.stream()
                .map(e -> new Answer.Entry(
                        e.time(),
                        e.options().stream()
                                .filter(o -> o.reasons().stream().noneMatch(Reason.OutsideHours.class::isInstance))
                                .map(o -> new Answer.Judged(
                                        o.staff(),
                                        o.place(),
                                        new Verdict.Against(o.reasons().subList(0, 1))))
                                .toList()))
                .filter(e -> !e.options().isEmpty())
                .toList();
    }

    /** What stands against each candidate; the hours that a reason tells of are those of all dates that were asked for. */
    private static List<String> codes(List<Answer.Entry> entries) {
        return entries.stream()
                .map(e -> e.time() + " "
                        + e.options().stream()
                                .map(o -> o.staff() + " "
                                        + o.reasons().stream().map(Reason::code).toList())
                                .toList())
                .toList();
    }
}
