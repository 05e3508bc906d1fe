package gastfreund.app.agenda;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.openings.Slot;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is on, and when: the same openings as each offer's own page has them. */
class AgendaTest extends DemoHouseTest {

    @Autowired
    private Agenda agenda;

    @Autowired
    private CatalogueService catalogues;

    private Sought sought(Map<String, String> asked) {
        return Sought.of(
                catalogues.catalogue(),
                new Sought.Asked(
                        asked.get("party"),
                        asked.get("category"),
                        asked.get("staff"),
                        asked.get("place"),
                        asked.get("part"),
                        asked.get("most"),
                        null,
                        null));
    }

    private List<Map<String, String>> questions() {
        List<Map<String, String>> asked =
                new ArrayList<>(List.of(Map.of(), Map.of("party", "2"), Map.of("party", "5")));
        Sought.categories(catalogues.catalogue()).forEach(c -> asked.add(Map.of("category", c)));
        Sought.people(catalogues.catalogue()).forEach(p -> asked.add(Map.of("staff", p.value(), "party", "2")));
        Sought.places(catalogues.catalogue()).forEach(p -> asked.add(Map.of("place", p.value(), "part", "afternoon")));
        asked.add(Map.of("most", "40"));
        asked.add(Map.of("part", "evening"));
        return asked;
    }

    @Test
    void aDayHasTheOpeningsOfEveryOfferAndNoOther() {
        Instant now = clock.instant();
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        int lanes = 0;
        for (Map<String, String> asked : questions()) {
            Sought sought = sought(asked);
            List<Integer> counts = agenda.counts(sought, today, 70, now);
            List<List<Agenda.Lane>> days = agenda.days(sought, today, today.plusDays(69), now);
            for (int ahead : List.of(0, 1, 2, 3, 9, 60)) {
                LocalDate day = today.plusDays(ahead);
                List<Agenda.Lane> found = agenda.day(sought, day, now);
                assertThat(found).isEqualTo(days.get(ahead));
                assertThat(counts.get(ahead))
                        .isEqualTo(found.stream()
                                .mapToInt(l -> l.openings().size())
                                .sum());
                lanes += found.size();
                for (Offer offer : catalogues.catalogue().listed()) {
                    Optional<Agenda.Lane> lane =
                            found.stream().filter(l -> l.offer().equals(offer)).findFirst();
                    assertThat(lane.map(l -> l.openings().stream()
                                            .map(Agenda.Opening::slot)
                                            .toList())
                                    .orElse(List.of()))
                            .as(offer.id() + " on " + day + " for " + asked)
                            .isEqualTo(alone(offer, asked, day, now));
                }
            }
        }
        assertThat(lanes).isGreaterThan(100);
    }

    /** By questions of its own for each length and place, until one has an opening. */
    private List<Slot> alone(Offer offer, Map<String, String> asked, LocalDate day, Instant now) {
        House house = catalogues.catalogue().house();
        int party = Integer.parseInt(asked.getOrDefault("party", "1"));
        String category = catalogues.catalogue().shelfOf(offer.id()).category();
        if (!asked.getOrDefault("category", category).equals(category)
                || asked.containsKey("most") && catalogues.catalogue().isAgreed(offer.id())) {
            return List.of();
        }
        StaffId person =
                Optional.ofNullable(asked.get("staff")).map(StaffId::new).orElse(null);
        List<PlaceId> places = new ArrayList<>(
                asked.containsKey("place") ? List.of(new PlaceId(asked.get("place"))) : house.placesOf(offer));
        if (places.isEmpty() || offer.hasTimetable() && !asked.containsKey("place")) {
            places = Collections.singletonList(null);
        }
        for (Length length : offer.lengths()) {
            Map<Long, Slot> slots = new TreeMap<>();
            for (PlaceId place : places) {
                Query query = Query.of(offer.id(), day, day, now)
                        .withParty(party)
                        .withStaff(person)
                        .withPlace(place);
                Answer answer = openings.openings(
                        offer.hasTimetable() ? query : query.withLength(length.id(), length.minUnits()));
                answer.entries().stream()
                        .map(e -> Slot.of(e, house))
                        .filter(s -> !asked.containsKey("part")
                                || PartOfDay.of(house.zone()
                                                .localOf(s.time().start())
                                                .toLocalTime())
                                        .word()
                                        .equals(asked.get("part")))
                        .filter(s -> !asked.containsKey("most")
                                || s.price().compareTo(Money.ofMinor(100L * Integer.parseInt(asked.get("most")))) <= 0)
                        .forEach(s -> slots.putIfAbsent(s.time().start(), s));
            }
            if (!slots.isEmpty()) {
                return List.copyOf(slots.values());
            }
        }
        return List.of();
    }

    @Test
    void aDayThatIsOverOrNoneIsTheFirstWithSomething() {
        String first = dayOf(page("/agenda?party=none"));
        for (String day : List.of("2020-01-01", "someday", "9999-12-31", "")) {
            assertThat(dayOf(page("/agenda?party=none&day=" + day))).isEqualTo(first);
        }
        assertThat(page("/agenda").select("button.opening")).isNotEmpty();
    }

    private static String dayOf(Document page) {
        return page.select("input[name=day]").attr("value");
    }

    private Document page(String path) {
        return Jsoup.parse(get(path).body());
    }

    @Test
    void whatIsAskedStaysAsTheDayTheWeekAndTheMonthAreLookedAt() {
        Document page = page("/agenda?party=2&part=afternoon&most=200&from=gazette");
        for (String view : List.of("day", "week", "month")) {
            String link = page.select("a[data-agenda=view-" + view + "]").attr("href");
            Document there = page(link);
            assertThat(there.select("[data-agenda=view-" + view + "]").attr("aria-current"))
                    .isEqualTo("true");
            assertThat(there.select("select[name=party] option[selected]").attr("value"))
                    .isEqualTo("2");
            assertThat(there.select("select[name=part] option[selected]").attr("value"))
                    .isEqualTo("afternoon");
            assertThat(there.select("select[name=most] option[selected]").attr("value"))
                    .isEqualTo("200");
            assertThat(there.select("input[name=from]").attr("value")).isEqualTo("gazette");
        }
        assertThat(sought(Map.of("category", "no such")).category()).isEmpty();
    }

    @Test
    void anOpeningIsTakenStraightIntoTheBasketAndIsGoneAfterwards() {
        Document page = page("/agenda?party=2");
        Element opening = page.select("button.opening").get(0);
        var kept = post(page.select("form[data-taken]").attr("action"), Map.of("take", opening.attr("value")));
        assertThat(path(kept)).startsWith("/basket/");
        String basket = get(path(kept)).body();
        String title = opening.attr("aria-label").replaceAll(": .*", "");
        assertThat(basket).contains(title, "2 people");
        Document later = page("/agenda?party=2&basket=" + path(kept).substring("/basket/".length()));
        assertThat(later.select("input[name=basket]")).isNotEmpty();
    }

    @Test
    void anOpeningThatIsNoneLeadsBackWithTheReason() {
        Document page = page("/agenda?party=1");
        String action = page.select("form[data-taken]").attr("action");
        Matcher value = Pattern.compile("(.*) (\\d+) (\\d+)")
                .matcher(page.select("button.opening").get(0).attr("value"));
        assertThat(value.matches()).isTrue();
        long never = Long.parseLong(value.group(2)) + 1;
        var gone = post(action, Map.of("take", value.group(1) + " " + never + " " + value.group(3)));
        assertThat(get(path(gone)).body()).contains("Somebody else has just taken it");
        assertThat(post(action, Map.of("take", "nonsense")).statusCode()).isEqualTo(400);
        assertThat(post(action, Map.of("take", "nothing sixty  29000000 100")).statusCode())
                .isEqualTo(404);
    }

    @Test
    void aMonthHasTheSessionsOfTimetablesWithTheirSeats() {
        Document month = page("/agenda?view=month&party=1");
        assertThat(month.select(".month-day").size() % 7).isZero();
        Instant now = clock.instant();
        LocalDate today = catalogues.catalogue().zone().dateOf(now);
        List<Agenda.Session> sessions = agenda.sessions(sought(Map.of()), today, today.plusDays(60), now);
        assertThat(sessions).isNotEmpty();
        assertThat(sessions)
                .allSatisfy(s -> assertThat(s.offer().hasTimetable()).isTrue());
        // Nobody comes twelve at once to sessions of fewer: they are full for so many, or not asked at all.
        assertThat(agenda.sessions(sought(Map.of("party", "12")), today, today.plusDays(60), now))
                .allSatisfy(s -> assertThat(s.offer().party().allows(12)).isTrue());
    }

    @Test
    void itStandsInAFrameAndKeepsWhereItsGuestComesFrom() {
        Document page = page("/embed/agenda?from=gazette&party=2");
        assertThat(page.select("form[data-taken]").attr("action"))
                .startsWith("/embed/~")
                .contains("from=gazette");
        assertThat(page("/agenda?from=gazette").select("input[name=from]").attr("value"))
                .isEqualTo("gazette");
    }
}
