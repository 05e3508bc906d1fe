package gastfreund.app.several;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.time.HouseZone;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Somebody is ill: others take over at the same time and price, or it is cancelled and all of it goes back. */
class SeveralTest extends OrdersTest {

    @Autowired
    private Several several;

    @Autowired
    private HostService hosts;

    private Host okka() {
        return hosts.byEmail("okka@quillmere.example").orElseThrow();
    }

    private Several.One look(Order order) {
        return several.look(List.of(line(order).booking()), okka()).get(0);
    }

    private static Several.Wish wish(OrderLine line, Doing doing) {
        return new Several.Wish(line.booking(), doing);
    }

    /** A lesson at a time at which more than one of those who give them could. */
    private Order atATimeOfSeveral() {
        LocalDate from = today().plusDays(15);
        Answer.Entry entry = openings
                .openings(Query.of(new OfferId("private-lesson"), from, from.plusDays(20), clock.instant())
                        .withLength(new LengthId("60"), 1)
                        .withParty(1))
                .entries()
                .stream()
                .filter(e -> e.options().size() > 1)
                .findFirst()
                .orElseThrow();
        String basket = keep("private-lesson", "60", 1, entry.time().start());
        get(pay(order(basket, "Wenke Farrow", "wenke@post.example"), "WORKS"));
        return orders.newest(1).get(0);
    }

    @Test
    void whoIsFreeTakesOverAtTheSameTimeAndPrice() {
        Order order = atATimeOfSeveral();
        OrderLine before = line(order);
        List<Staff> free = look(order).free();
        assertThat(free).isNotEmpty().noneMatch(s -> before.reserved().staff().contains(s.id()));
        StaffId other = free.get(0).id();
        assertThat(several.carryOut(List.of(wish(before, Doing.handOver(other))), "", okka()))
                .isEmpty();
        OrderLine after = line(order);
        assertThat(after.reserved().staff()).containsExactly(other);
        assertThat(after.time()).isEqualTo(before.time());
        assertThat(after.total()).isEqualTo(before.total());
        assertThat(letters(order)).contains("moved-by-host");
        assertThat(several.carryOut(List.of(wish(after, Doing.handOver(other))), "", okka()))
                .as("they have it already")
                .hasSize(1);
    }

    @Test
    void whatIsCancelledGivesBackAllOfItAndSaysWhy() {
        Order order = paid("private-lesson", "60", 29, "WORKS");
        assertThat(line(order).paid().isPositive()).isTrue();
        assertThat(several.carryOut(List.of(wish(line(order), Doing.CANCEL)), "Mira is ill.", okka()))
                .isEmpty();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(line(order).paid()).isEqualTo(Money.ZERO);
        assertThat(letters.one(order.id(), "cancelled-by-host").text()).contains("Mira is ill.");
        assertThat(several.look(List.of(line(order).booking()), okka())).isEmpty();
    }

    @Test
    void whatStaysIsWrittenToWhereThereAreWords() {
        Order order = paid("private-lesson", "60", 30, "WORKS");
        assertThat(several.carryOut(List.of(wish(line(order), Doing.STAY)), "", okka()))
                .isEmpty();
        assertThat(letters(order)).doesNotContain("talks.guest");
        assertThat(several.carryOut(List.of(wish(line(order), Doing.STAY)), "The door is in the yard.", okka()))
                .isEmpty();
        assertThat(letters.one(order.id(), "talks.guest").text()).contains("The door is in the yard.");
    }

    /** Two lessons of one person, the second of which begins when the time of the first is over. */
    private List<Order> oneAfterTheOther() {
        LocalDate from = today().plusDays(17);
        List<Answer.Entry> entries = openings.openings(
                        Query.of(new OfferId("private-lesson"), from, from.plusDays(20), clock.instant())
                                .withLength(new LengthId("60"), 1)
                                .withParty(1))
                .entries();
        for (Answer.Entry first : entries) {
            for (Answer.Entry second : entries) {
                if (second.time().start() >= first.time().end() + 60
                        && second.time().start() <= first.time().end() + 120) {
                    List<Order> both = List.of(lesson(first), lesson(second));
                    if (line(both.get(0))
                            .reserved()
                            .staff()
                            .equals(line(both.get(1)).reserved().staff())) {
                        return both;
                    }
                }
            }
        }
        throw new AssertionError("nobody has two lessons on a day");
    }

    private Order lesson(Answer.Entry entry) {
        String basket = keep("private-lesson", "60", 1, entry.time().start());
        get(pay(order(basket, "Wenke Farrow", "wenke@post.example"), "WORKS"));
        return orders.newest(1).get(0);
    }

    @Test
    void whatIsMovedAlikeMakesRoomForTheOther() {
        List<Order> both = oneAfterTheOther();
        long first = line(both.get(0)).time().start();
        long second = line(both.get(1)).time().start();
        StaffId who = line(both.get(0)).reserved().staff().get(0);
        List<Several.Wish> exchange = List.of(
                wish(line(both.get(0)), Doing.move(second, who)), wish(line(both.get(1)), Doing.move(second + 1, who)));
        assertThat(several.check(exchange, "", okka()))
                .as("no lesson begins at such a minute, so the other's time is not free")
                .extracting(Several.Hindered::booking)
                .containsExactlyInAnyOrder(
                        line(both.get(0)).booking(), line(both.get(1)).booking());
        Several.Later later = look(both.get(1)).later().get(0);
        List<Several.Wish> row = List.of(
                wish(line(both.get(0)), Doing.move(second, who)),
                wish(line(both.get(1)), Doing.move(later.start(), later.person())));
        assertThat(several.check(row, "Later.", okka())).isEmpty();
        assertThat(line(both.get(0)).time().start()).as("it was only tried").isEqualTo(first);
        assertThat(letters(both.get(0))).doesNotContain("moved-by-host", "talks.guest");
        assertThat(several.carryOut(row, "Later.", okka())).isEmpty();
        assertThat(line(both.get(0)).time().start()).isEqualTo(second);
        assertThat(line(both.get(1)).time().start()).isEqualTo(later.start());
        assertThat(letters(both.get(0))).contains("moved-by-host", "talks.guest");
    }

    @Test
    void nothingIsMovedIntoWhatIsOverOrFartherThanAnybodyPlans() {
        Order order = paid("private-lesson", "60", 31, "WORKS");
        long start = line(order).time().start();
        for (int weeks : List.of(-999, -6, 999)) {
            assertThat(several.check(
                            List.of(wish(line(order), Doing.move(start + weeks * 7L * 24 * 60, null))), "", okka()))
                    .as("%d weeks", weeks)
                    .hasSize(1);
        }
        assertThat(line(order).time().start()).isEqualTo(start);
    }

    @Test
    void otherTimesAreNearTheTimeOfDayAndOfferedOnce() {
        List<Order> both = oneAfterTheOther();
        List<Several.One> seen =
                several.look(both.stream().map(o -> line(o).booking()).toList(), okka());
        assertThat(seen).allSatisfy(o -> assertThat(o.later()).isNotEmpty());
        assertThat(seen.stream().flatMap(o -> o.later().stream()).toList()).doesNotHaveDuplicates();
    }

    @Test
    void daysKeepTheTimeOfDayAndMinutesCount() {
        HouseZone berlin = HouseZone.of("Europe/Berlin");
        long evening = berlin.minuteOf(LocalDateTime.of(2027, 3, 27, 18, 0));
        assertThat(berlin.localOf(Shift.of("1", "days").orElseThrow().of(evening, berlin)))
                .isEqualTo(LocalDateTime.of(2027, 3, 28, 18, 0));
        assertThat(berlin.localOf(Shift.of("24", "hours").orElseThrow().of(evening, berlin)))
                .isEqualTo(LocalDateTime.of(2027, 3, 28, 19, 0));
        assertThat(Shift.of("-30", "minutes").orElseThrow().of(evening, berlin)).isEqualTo(evening - 30);
        assertThat(Shift.of("0", "days")).isEmpty();
        assertThat(Shift.of("soon", "days")).isEmpty();
        assertThat(Shift.of("1", "months")).isEmpty();
    }

    @Test
    void formsSayWhatIsDone() {
        assertThat(Doing.of("to-mira")).isEqualTo(Doing.handOver(new StaffId("mira")));
        for (Doing doing : List.of(
                Doing.STAY,
                Doing.CANCEL,
                Doing.handOver(new StaffId("okka")),
                Doing.SHIFT,
                Doing.move(29000000, null),
                Doing.move(29000000, new StaffId("jon-o")))) {
            assertThat(Doing.of(doing.code())).isEqualTo(doing);
        }
        assertThat(Doing.of("to-")).isEqualTo(Doing.STAY);
        assertThat(Doing.of(null)).isEqualTo(Doing.STAY);
    }
}
