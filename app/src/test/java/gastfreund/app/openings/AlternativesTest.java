package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What else fits where nothing does, when each person can be had next, and a year as months: each as the engine says it. */
class AlternativesTest extends DemoHouseTest {

    @Autowired
    private PanelService panels;

    @Autowired
    private CatalogueService catalogues;

    private Choice choice(Offer offer, String party, String staff, LocalDate day) {
        return Choice.of(
                catalogues.catalogue().house(),
                offer,
                new Choice.Asked(
                        party,
                        offer.lengths().get(offer.lengths().size() - 1).id().value(),
                        null,
                        null,
                        staff,
                        null,
                        day.toString(),
                        null));
    }

    private Document page(String address) {
        return Jsoup.parse(get(address).body());
    }

    @Test
    void whatIsSaidToFitCanBeHadThereAndThen() {
        Set<String> kinds = new HashSet<>();
        int closed = 0;
        for (Offer offer : catalogues.catalogue().listed()) {
            for (String staff : List.of("", "mira")) {
                for (int ahead = 0; ahead < 21; ahead++) {
                    Choice choice =
                            choice(offer, Integer.toString(offer.party().max()), staff, today().plusDays(ahead));
                    Panel panel = panels.panel(choice, null);
                    if (panel.ribbon().selected().isOpen()) {
                        assertThat(panel.others()).isEmpty();
                        continue;
                    }
                    closed++;
                    for (Panel.Other other : panel.others()) {
                        kinds.add(other.kind());
                        boolean there = page(other.address()).select("input[name=start]").stream()
                                .anyMatch(i -> i.val().equals(Long.toString(other.start())));
                        assertThat(there).as(other.toString()).isTrue();
                    }
                }
            }
        }
        assertThat(closed).isPositive();
        assertThat(kinds).contains("day", "staff", "length");
    }

    @Test
    void eachPersonSaysWhenTheyCanBeHadNext() {
        Offer offer = catalogues.catalogue().openOffer("private-lesson").orElseThrow();
        for (String staff : List.of("", "mira", "jonte")) {
            Choice choice = choice(offer, "1", staff, today().plusDays(2));
            Panel panel = panels.panel(choice, null);
            LocalDate first = panel.first();
            for (Panel.StaffChip chip : panel.chips().staff()) {
                if (chip.person() == null) {
                    assertThat(chip.next()).isNull();
                    continue;
                }
                List<Answer.Entry> all = openings.openings(
                                choice.withStaff(chip.person().id())
                                        .query(first, first.plusDays(Ribbon.DAYS - 1L), clock.instant()))
                        .entries();
                assertThat(chip.next())
                        .as(chip.person().name())
                        .isEqualTo(all.isEmpty() ? null : all.get(0).time().start());
            }
        }
    }

    @Test
    void aYearHasASquareForEachDateWithHowManyStartsItHas() {
        Document year = page("/offers/wheel-hire?party=1&months");
        List<Element> open = year.select("a.square");
        assertThat(open).hasSizeGreaterThan(20);
        for (Element square : List.of(open.get(0), open.get(7), open.get(open.size() - 1))) {
            Document day = page(square.attr("href"));
            assertThat(day.select(".slot").size() + " time")
                    .isEqualTo(square.attr("aria-label").replaceAll("^.*?: (\\d+ time).*$", "$1"));
        }
        assertThat(page("/offers/wheel-hire").select("a[data-panel=months]")).hasSize(1);
    }

    @Test
    void theLowestOfSeveralPricesIsMarked() {
        Document page = page("/offers/wheel-hire?party=1&day=" + today().plusDays(1));
        List<String> prices = page.select(".slot .sr-only").eachText();
        assertThat(prices).isNotEmpty().allMatch(p -> p.contains("the lowest price"));
        assertThat(page.select(".slot")).hasSizeGreaterThan(prices.size());
    }
}
