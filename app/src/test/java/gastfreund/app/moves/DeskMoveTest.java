package gastfreund.app.moves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.endings.Endings;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Bookings that the house moves: past what the terms let guests do, at the new price or the old one. */
class DeskMoveTest extends OrdersTest {

    @Autowired
    private Moves moves;

    @Autowired
    private Endings endings;

    private Moves.Wish wish(Answer.Entry to, Money total, boolean keepPrice, boolean tell) {
        return new Moves.Wish(
                Audience.DESK, to.time().start(), Moves.Target.ANYONE, total, keepPrice, tell, false, HOST);
    }

    private Money price(Order order, Answer.Entry to) {
        return moves.proposal(now(order), line(order), to.time().start(), Moves.Target.ANYONE, Audience.DESK)
                .orElseThrow()
                .total();
    }

    @Test
    void theDeskMovesWhatItsGuestNoLongerMay() {
        Order order = paid("wheel-hire", "60", 20, "WORKS");
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minusHours(2));
        assertThat(moves.mayMove(line(order))).isFalse();
        Answer.Entry to = opening("wheel-hire", "60", 1, 3);
        assertThat(moves.move(order, line(order).booking(), wish(to, price(order, to), false, true)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).time()).isEqualTo(to.time());
        assertThat(letters(order)).contains("moved-by-host").doesNotContain("host-moved");
        assertThat(orders.journal(order)).extracting(JournalEntry::who).contains(HOST);
    }

    @Test
    void thePriceStaysWhereTheHouseWantsItSo() {
        Order order = paid("wheel-hire", "120", 21, "WORKS");
        Money before = line(order).total();
        Answer.Entry to = openings
                .openings(moves.choice(order, line(order), Audience.DESK)
                        .orElseThrow()
                        .query(today().plusDays(22), today().plusDays(29), clock.instant()))
                .entries()
                .stream()
                .filter(e -> !e.open().get(0).opening().price().equals(before))
                .findFirst()
                .orElseThrow();
        assertThat(moves.move(order, line(order).booking(), wish(to, before, true, false)))
                .as("what was shown was another price")
                .isEqualTo(Outcome.CHANGED);
        assertThat(moves.move(order, line(order).booking(), wish(to, price(order, to), true, false)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).time()).isEqualTo(to.time());
        assertThat(line(order).total()).isEqualTo(before);
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        assertThat(letters(order)).doesNotContain("moved-by-host");
    }

    @Test
    void aRequestThatIsMovedIsCapturedForNoMoreThanItCosts() {
        Order order = paid("firing", "biscuit", 15, "WORKS");
        Answer.Entry to = opening("firing", "biscuit", 1, 17);
        assertThat(moves.move(order, line(order).booking(), wish(to, price(order, to), false, true)))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        assertThat(line(order).balance()).isEqualTo(Money.ZERO);
        endings.accept(order, line(order).booking(), HOST);
        await().untilAsserted(() -> assertThat(payment(order)).startsWith("captured 3000"));
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        ledgersAgree(order);
    }
}
