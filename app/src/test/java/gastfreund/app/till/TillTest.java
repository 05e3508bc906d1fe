package gastfreund.app.till;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.money.Money;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Money that is taken and given by hand is written once, numbered, and adds up to what lies in the drawer. */
class TillTest extends OrdersTest {

    @Autowired
    private Till till;

    @Autowired
    private Endings endings;

    @Autowired
    private HostService hosts;

    private Host okka() {
        return hosts.byEmail("okka@quillmere.example").orElseThrow();
    }

    private static Money euros(long euros) {
        return Money.ofMinor(euros * 100);
    }

    /** What the entries of cash come to, counted one by one. */
    private Money counted() {
        return Money.ofMinor(jdbc.sql("SELECT amount FROM till WHERE way = 'cash'").query(Long.class).list().stream()
                .mapToLong(n -> n)
                .sum());
    }

    @Test
    void cashThatComesAndGoesIsInTheDrawerAndTheRestIsNot() {
        Money before = till.drawer();
        Order order = paid("private-lesson", "60", 12, "WORKS");
        Money first = euros(10);
        Money open = line(order).unpaid().minus(first);
        endings.paidOnTheSpot(
                order, line(order).booking(), Hand.CASH, first, line(order).paid(), HOST);
        assertThat(till.drawer()).isEqualTo(before.plus(first));
        endings.paidOnTheSpot(
                order, line(order).booking(), Hand.TERMINAL, open, line(order).paid(), HOST);
        assertThat(till.drawer()).isEqualTo(before.plus(first));
        assertThat(endings.refund(
                        order,
                        line(order).booking(),
                        line(order).paid(),
                        line(order).paid(),
                        "",
                        HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(till.drawer()).as("cash goes back as cash").isEqualTo(before);
        assertThat(till.on(today()))
                .filteredOn(e -> Long.valueOf(order.number()).equals(e.order()))
                .extracting(e -> e.kind() + " " + e.way() + " " + e.amount().minor())
                .containsExactlyInAnyOrder(
                        "TAKEN CASH 1000",
                        "TAKEN TERMINAL " + open.minor(),
                        "GIVEN CASH -1000",
                        "GIVEN TERMINAL -" + open.minor());
        booksAgree(order);
    }

    @Test
    void whatIsCountedOtherwiseIsNotedAndNoMoreIsHandedOverThanIsThere() {
        till.putIn(euros(50), okka());
        Money there = till.drawer();
        assertThat(till.counted(there, "", okka())).isEqualTo(Money.ZERO);
        assertThat(till.counted(there.minus(euros(2)), "a coin too few", okka()))
                .isEqualTo(Money.ofMinor(-200));
        assertThat(till.drawer()).isEqualTo(there.minus(euros(2)));
        assertThat(till.handOver(there, "Mira", okka())).isFalse();
        assertThat(till.handOver(till.drawer(), "Mira", okka())).isTrue();
        assertThat(till.drawer()).isEqualTo(Money.ZERO).isEqualTo(counted());
        List<TillEntry> entries = till.on(today());
        assertThat(entries).extracting(TillEntry::number).isSorted().doesNotHaveDuplicates();
        assertThat(entries.get(entries.size() - 1).words()).isEqualTo("Mira");
    }

    @Test
    void whatCameInOnADayIsToldByItsWay() {
        Order order = paid("wheel-hire", "60", 13, "WORKS");
        Money online = line(order).paid();
        Money before = came("practice-card");
        Order other = paid("wheel-hire", "60", 14, "WORKS");
        await().untilAsserted(() -> assertThat(came("practice-card").minus(before))
                .isEqualTo(line(other).paid()));
        assertThat(online).isEqualTo(line(other).paid());
    }

    private Money came(String gateway) {
        return Money.sum(till.came(today()).stream()
                .filter(c -> c.gateway().equals(gateway))
                .map(Till.Came::rest)
                .toList());
    }
}
