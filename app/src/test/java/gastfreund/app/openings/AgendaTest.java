package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is on, and when: the same openings as each offer's own page has them. */
class AgendaTest extends DemoHouseTest {

    @Autowired
    private Agenda agenda;

    @Autowired
    private CatalogueService catalogues;

    @Test
    void aDayHasTheOpeningsOfEveryOfferAndNoOther() {
        Instant now = clock.instant();
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        int lanes = 0;
        for (int ahead : List.of(0, 1, 3, 9, 60)) {
            for (int party : List.of(1, 2, 5)) {
                LocalDate day = today.plusDays(ahead);
                List<Agenda.Lane> found = agenda.day(day, party, now);
                lanes += found.size();
                for (Offer offer : catalogues.catalogue().listed()) {
                    Optional<Agenda.Lane> lane =
                            found.stream().filter(l -> l.offer().equals(offer)).findFirst();
                    assertThat(lane.map(Agenda.Lane::slots).orElse(List.of()))
                            .as(offer.id() + " on " + day + " for " + party)
                            .isEqualTo(offer.party().allows(party) ? alone(offer, party, day, now) : List.of());
                }
            }
        }
        assertThat(lanes).isGreaterThan(30);
    }

    /** By a question of its own for each length, until one has an opening. */
    private List<Slot> alone(Offer offer, int party, LocalDate day, Instant now) {
        for (Length length : offer.lengths()) {
            List<Slot> slots = openings
                    .openings(Query.of(offer.id(), day, day, now)
                            .withLength(length.id(), length.minUnits())
                            .withParty(party))
                    .entries()
                    .stream()
                    .map(e -> Slot.of(e, catalogues.catalogue().house()))
                    .toList();
            if (!slots.isEmpty()) {
                return slots;
            }
        }
        return List.of();
    }

    @Test
    void aDayThatIsOverOrNoneIsToday() {
        String today = get("/agenda").body().replaceAll("(?s).*name=\"day\" value=\"([^\"]+)\".*", "$1");
        for (String day : List.of("2020-01-01", "someday", "9999-12-31", "")) {
            assertThat(get("/agenda?party=none&day=" + day).body()).contains("name=\"day\" value=\"" + today + "\"");
        }
    }

    @Test
    void itStandsInAFrameAndKeepsWhereItsGuestComesFrom() {
        String page = get("/embed/agenda?from=gazette&party=2").body();
        assertThat(page).contains("What is on, and when", "href=\"/embed/~");
        String link = page.replaceAll("(?s).*<a class=\"chip\"[^>]*href=\"([^\"#]+)[^\"]*\".*", "$1")
                .replace("&amp;", "&");
        assertThat(get(link).body()).contains("2 people");
        assertThat(get("/agenda?from=gazette").body()).contains("from=gazette");
    }
}
