package gastfreund.app.moves;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.housefile.HouseFile;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Bookings that the house moves to a person, in spite of a reason, and back again. */
class TargetsTest extends OrdersTest {

    private static final StaffId MIRA = new StaffId("mira");
    private static final StaffId JONTE = new StaffId("jonte");

    @Autowired
    private Moves moves;

    private StaffId other(Order order) {
        return line(order).reserved().staff().contains(MIRA) ? JONTE : MIRA;
    }

    private LocalDate date(Order order) {
        return LocalDate.ofInstant(line(order).time().startInstant(), ZoneId.of("Europe/Berlin"));
    }

    private List<Answer.Entry> places(Order order) {
        return moves.places(now(order), line(order), date(order), date(order));
    }

    private Moves.Wish wish(long start, Moves.Target target, Money total, boolean grace) {
        return new Moves.Wish(Audience.DESK, start, target, total, true, true, grace, HOST);
    }

    private Money total(Order order, long start, Moves.Target target) {
        return moves.proposal(now(order), line(order), start, target, Audience.DESK)
                .orElseThrow()
                .total();
    }

    /** A start at which something stands against whoever serves already. */
    private long against(Order order, StaffId person) {
        return places(order).stream()
                .filter(e -> e.options().stream().anyMatch(o -> o.staff().contains(person) && !o.isOpen()))
                .mapToLong(e -> e.time().start())
                .filter(s -> s > line(order).time().end())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void itIsWithWhomTheHouseWants() {
        Order order = paid("private-lesson", "60", 18, "WORKS");
        StaffId wanted = other(order);
        long start = moves
                .places(now(order), line(order), date(order), date(order).plusDays(6))
                .stream()
                .filter(e -> e.open().stream().anyMatch(o -> o.staff().contains(wanted)))
                .mapToLong(e -> e.time().start())
                .findFirst()
                .orElseThrow();
        Moves.Target target = new Moves.Target(wanted, false);
        assertThat(moves.move(order, line(order).booking(), wish(start, target, total(order, start, target), false)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).time().start()).isEqualTo(start);
        assertThat(line(order).reserved().staff()).containsExactly(wanted);
        assertThat(line(order).sold().staff()).containsOnlyKeys(wanted);
        assertThat(moves.proposal(now(order), line(order), start, target, Audience.DESK))
                .as("it is there already")
                .isEmpty();
    }

    @Test
    void theHouseMovesInSpiteOfAReasonAndNobodyElseDoes() {
        Order order = paid("private-lesson", "60", 19, "WORKS");
        StaffId person = line(order).reserved().staff().get(0);
        long start = against(order, person);
        Moves.Target inSpite = new Moves.Target(person, true);
        assertThat(moves.proposal(now(order), line(order), start, new Moves.Target(person, false), Audience.DESK))
                .isEmpty();
        assertThat(moves.proposal(now(order), line(order), start, inSpite, Audience.GUEST))
                .isEmpty();
        Money total = total(order, start, inSpite);
        assertThat(total).isEqualTo(Money.ofMinor(total.minor())).isNotEqualTo(Money.ZERO);
        assertThat(moves.move(order, line(order).booking(), wish(start, inSpite, total, false)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).time().start()).isEqualTo(start);
        booksAgree(order);
    }

    @Test
    void whoServesWhoeverNamesNobodyIsFreeAlsoWhereReasonsMayBeOverruled() {
        Order order = paid("private-lesson", "60", 24, "WORKS");
        Answer.Entry mixed = moves
                .places(now(order), line(order), date(order), date(order).plusDays(6))
                .stream()
                .filter(e -> e.isOpen() && e.open().size() < e.options().size())
                .filter(e -> e.time().start() != line(order).time().start())
                .findFirst()
                .orElseThrow();
        Moves.Target target = new Moves.Target(null, true);
        assertThat(moves.proposal(now(order), line(order), mixed.time().start(), target, Audience.DESK)
                        .orElseThrow()
                        .option()
                        .isOpen())
                .isTrue();
    }

    @Test
    void aMoveIsTakenBackWithItsLettersAsLongAsTheyHaveNotGone() {
        Order order = paid("private-lesson", "60", 20, "WORKS");
        long before = line(order).time().start();
        Money price = line(order).total();
        StaffId person = line(order).reserved().staff().get(0);
        long start = against(order, person);
        Moves.Target inSpite = new Moves.Target(person, true);
        moves.move(order, line(order).booking(), wish(start, inSpite, total(order, start, inSpite), true));
        assertThat(letters(order)).contains("moved-by-host");
        assertThat(moves.canBeTakenBack(line(order).booking())).isTrue();
        assertThat(moves.takeBack(order, line(order).booking(), HOST)).isEqualTo(Outcome.DONE);
        assertThat(line(order).time().start()).isEqualTo(before);
        assertThat(line(order).total()).isEqualTo(price);
        assertThat(line(order).reserved().staff()).containsExactly(person);
        assertThat(letters(order)).doesNotContain("moved-by-host", "host-moved-here");
        assertThat(moves.takeBack(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
        booksAgree(order);
    }

    @Test
    void afterTheGraceItStaysMovedAndTheLetterGoes() {
        Order order = paid("private-lesson", "60", 21, "WORKS");
        StaffId person = line(order).reserved().staff().get(0);
        long start = against(order, person);
        Moves.Target inSpite = new Moves.Target(person, true);
        moves.move(order, line(order).booking(), wish(start, inSpite, total(order, start, inSpite), true));
        clock.moveAhead(Duration.ofSeconds(20));
        assertThat(moves.canBeTakenBack(line(order).booking())).isFalse();
        assertThat(moves.takeBack(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
        assertThat(line(order).time().start()).isEqualTo(start);
        assertThat(letters(order)).contains("moved-by-host");
    }

    @Test
    void whatTheBoardIsToldIsWhatCanBeHad() {
        Order order = paid("private-lesson", "60", 22, "WORKS");
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String path = "/desk/orders/" + order.number() + "/bookings/"
                + line(order).booking() + "/move/places?from=" + date(order) + "&to=" + date(order);
        JsonNode told = HouseFile.parse(host.get(path).body());
        Set<String> free = new HashSet<>();
        for (JsonNode place : told.get("places")) {
            if (place.get(2).intValue() == 1) {
                free.add(told.get("lanes").get(place.get(1).intValue()).stringValue() + " "
                        + place.get(0).longValue());
            } else {
                assertThat(told.get("words").get(place.get(3).intValue()).stringValue())
                        .isNotEmpty();
            }
        }
        Set<String> open = openings
                .openings(moves.choice(order, line(order), Audience.DESK)
                        .orElseThrow()
                        .query(date(order), date(order), clock.instant()))
                .entries()
                .stream()
                .flatMap(e -> e.options().stream()
                        .flatMap(o -> o.staff().stream())
                        .map(s -> "person:" + s + " " + e.time().start()))
                .collect(Collectors.toSet());
        assertThat(free).isNotEmpty().isEqualTo(open);
        assertThat(host.get(path.replaceAll("&to=.*", "&to=" + date(order).plusDays(30)))
                        .statusCode())
                .isEqualTo(400);
    }

    @Test
    void aMoveFromTheBoardLeadsBackToItAndNowhereElse() {
        Order order = paid("private-lesson", "60", 23, "WORKS");
        StaffId person = line(order).reserved().staff().get(0);
        long start = against(order, person);
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String move =
                "/desk/orders/" + order.number() + "/bookings/" + line(order).booking() + "/move";
        String board = "/desk?day=" + date(order);
        String asked = host.get(move + "/to?start=" + start + "&person=" + person
                        + "&inSpite=true&fragment=change&board=" + "/desk?day%3D" + date(order))
                .body();
        assertThat(asked)
                .contains("This stands against it.", "name=\"inSpite\"")
                .doesNotContain("<nav");
        Money total = total(order, start, new Moves.Target(person, true));
        Map<String, Object> form = Map.of(
                "start",
                start,
                "person",
                person,
                "inSpite",
                "true",
                "total",
                total.minor(),
                "keepPrice",
                "true",
                "board",
                board);
        assertThat(host.post(move, form).headers().firstValue("Location").orElseThrow())
                .endsWith(board + "&moved=" + line(order).booking());
        String page = host.get(board + "&moved=" + line(order).booking()).body();
        assertThat(page).contains("For 20 seconds no letter goes out", move + "/back", "1 no longer fits");
        assertThat(host.post(move + "/back", Map.of("board", "https://elsewhere.example/desk"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .doesNotContain("elsewhere");
    }
}
