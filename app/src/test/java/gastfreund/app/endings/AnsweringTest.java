package gastfreund.app.endings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Requests for the same time are told from others, and a yes to one says what becomes of the others. */
class AnsweringTest extends OrdersTest {

    @Autowired
    private Answering answering;

    @Autowired
    private Rivals rivals;

    @Autowired
    private Attendance attendance;

    private static Answering.Yes yes(boolean declineOthers, boolean inSpite) {
        return new Answering.Yes("Bring your glazes.", declineOthers, "This time is taken.", inSpite);
    }

    /** Requests for one contested time. */
    private List<Order> contested() {
        Answer.Entry entry = IntStream.rangeClosed(8, 27)
                .mapToObj(day -> opening("glaze-call", "25", 1, day))
                .filter(this::isAlone)
                .findFirst()
                .orElseThrow();
        List<Order> asking = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            String basket = keep("glaze-call", "25", 1, entry.time().start());
            assertThat(basket).as("request %s", i).startsWith("/basket");
            order(basket, "Asker " + i, "asker" + i + "@post.example");
            Order order = orders.newest(1).get(0);
            confirm(order.id());
            asking.add(order);
        }
        return asking;
    }

    /** Whether Mira serves nothing else on its date, so that it is contested by nobody yet. */
    private boolean isAlone(Answer.Entry entry) {
        long minute = entry.time().start();
        return jdbc.sql("SELECT count(*) FROM bookings b JOIN booking_staff s ON s.booking = b.id"
                                + " WHERE s.staff = 'mira' AND abs(b.start_at - ?) < 86400")
                        .param(minute * 60)
                        .query(Integer.class)
                        .single()
                == 0;
    }

    private List<BookingStatus> statuses(List<Order> all) {
        return all.stream().map(o -> line(o).status()).toList();
    }

    @Test
    void aYesToOneDeclinesTheOthersWhereThatIsMeant() {
        List<Order> asking = contested();
        assertThat(rivals.of(line(asking.get(0))).asking())
                .extracting(r -> r.order().number())
                .containsExactly(asking.get(1).number());
        assertThat(answering.yes(asking.get(1), line(asking.get(1)).booking(), yes(true, false), HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(statuses(asking)).containsExactly(BookingStatus.DECLINED, BookingStatus.CONFIRMED);
        assertThat(letters.one(asking.get(1).id(), "confirmation").text()).contains("Bring your glazes.");
        assertThat(letters.one(asking.get(0).id(), "declined").text()).contains("This time is taken.");
        assertThat(rivals.of(line(asking.get(1))).isNobody()).isTrue();
    }

    @Test
    void whereSomebodyStandsAYesIsSaidOnlyInSpiteOfIt() {
        List<Order> asking = contested();
        answering.yes(asking.get(0), line(asking.get(0)).booking(), yes(false, false), HOST);
        Order other = asking.get(1);
        assertThat(rivals.of(line(other)).standing()).hasSize(1);
        assertThat(answering.yes(other, line(other).booking(), yes(false, false), HOST))
                .isEqualTo(Outcome.CHANGED);
        assertThat(statuses(asking)).containsExactly(BookingStatus.CONFIRMED, BookingStatus.REQUESTED);
        assertThat(answering.yes(other, line(other).booking(), yes(false, true), HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(statuses(asking)).containsExactly(BookingStatus.CONFIRMED, BookingStatus.CONFIRMED);
    }

    @Test
    void whoCameIsNotedAndTakenBackAndThenNobodyIsMissing() {
        Order order = paid("wheel-hire", "60", 26, "WORKS");
        assertThat(attendance.came(order, line(order).booking(), Attendance.Came.CAME, HOST))
                .as("much too early")
                .isEqualTo(Outcome.CHANGED);
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .plusMinutes(20));
        assertThat(attendance.came(order, line(order).booking(), Attendance.Came.LATE, HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(attendance.canBeMissed(line(order))).isFalse();
        assertThat(attendance.missed(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
        assertThat(attendance.came(order, line(order).booking(), Attendance.Came.NOT_NOTED, HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(attendance.canBeMissed(line(order))).isTrue();
    }
}
