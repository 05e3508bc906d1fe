package gastfreund.app.endings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.AllRounds;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Whether guests came, and what is kept of those who did not. */
class AttendanceTest extends OrdersTest {

    @Autowired
    private Attendance attendance;

    @Autowired
    private AllRounds job;

    private void goTo(Order order, Duration afterStart) {
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .plus(afterStart));
    }

    @Test
    void aBookingTakesPlaceByItselfSomeTimeAfterItsEnd() {
        Order order = paid("wheel-hire", "60", 8, "WORKS");
        assertThat(attendance.missed(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
        goTo(order, Duration.ofHours(24));
        job.run();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        goTo(order, Duration.ofHours(38));
        job.run();
        assertThat(line(order).status()).isEqualTo(BookingStatus.COMPLETED);
        assertThat(attendance.missed(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
    }

    @Test
    void whoDidNotComeGetsBackWhatTheTermsLeaveAtTheStart() {
        Order order = paid("clay-table", "120", 9, "WORKS");
        Money paid = line(order).paid();
        goTo(order, Duration.ofMinutes(30));
        Money back = attendance.backAfterNoShow(line(order));
        assertThat(back).isEqualTo(paid.minus(Money.ofMinor(500)));
        assertThat(attendance.missed(order, line(order).booking(), HOST)).isEqualTo(Outcome.DONE);
        assertThat(line(order).status()).isEqualTo(BookingStatus.NO_SHOW);
        assertThat(line(order).unpaid())
                .as("what was not kept is not asked for")
                .isEqualTo(Money.ZERO);
        assertThat(get("/bookings/" + order.token()).body()).doesNotContain("/pay\"");
        assertThat(letters(order)).endsWith("missed");
        await().untilAsserted(() -> assertThat(payment(order)).endsWith(" " + back.minor()));
        ledgersAgree(order);
    }
}
