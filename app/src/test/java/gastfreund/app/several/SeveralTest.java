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
import java.time.LocalDate;
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
        assertThat(several.carryOut(wish(before, Doing.handOver(other)), "", okka()))
                .isTrue();
        OrderLine after = line(order);
        assertThat(after.reserved().staff()).containsExactly(other);
        assertThat(after.time()).isEqualTo(before.time());
        assertThat(after.total()).isEqualTo(before.total());
        assertThat(letters(order)).contains("moved-by-host");
        assertThat(several.carryOut(wish(after, Doing.handOver(other)), "", okka()))
                .as("they have it already")
                .isFalse();
    }

    @Test
    void whatIsCancelledGivesBackAllOfItAndSaysWhy() {
        Order order = paid("private-lesson", "60", 29, "WORKS");
        assertThat(line(order).paid().isPositive()).isTrue();
        assertThat(several.carryOut(wish(line(order), Doing.CANCEL), "Mira is ill.", okka()))
                .isTrue();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(line(order).paid()).isEqualTo(Money.ZERO);
        assertThat(letters.one(order.id(), "cancelled-by-host").text()).contains("Mira is ill.");
        assertThat(several.look(List.of(line(order).booking()), okka())).isEmpty();
    }

    @Test
    void whatStaysIsWrittenToWhereThereAreWords() {
        Order order = paid("private-lesson", "60", 30, "WORKS");
        assertThat(several.carryOut(wish(line(order), Doing.STAY), "", okka())).isTrue();
        assertThat(letters(order)).doesNotContain("talks.guest");
        assertThat(several.carryOut(wish(line(order), Doing.STAY), "The door is in the yard.", okka()))
                .isTrue();
        assertThat(letters.one(order.id(), "talks.guest").text()).contains("The door is in the yard.");
    }

    @Test
    void formsSayWhatIsDone() {
        assertThat(Doing.of("to-mira")).isEqualTo(Doing.handOver(new StaffId("mira")));
        for (Doing doing : List.of(Doing.STAY, Doing.CANCEL, Doing.handOver(new StaffId("okka")))) {
            assertThat(Doing.of(doing.code())).isEqualTo(doing);
        }
        assertThat(Doing.of("to-")).isEqualTo(Doing.STAY);
        assertThat(Doing.of(null)).isEqualTo(Doing.STAY);
    }
}
