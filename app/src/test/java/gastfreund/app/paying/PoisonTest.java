package gastfreund.app.paying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.AllRounds;
import gastfreund.app.OwnHouse;
import gastfreund.app.endings.Endings;
import gastfreund.app.guests.Tidying;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.rounds.Stuck;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;

/** A mail server that never answers, and in each round an entry that throws: everything else goes on. */
@Tag("siege")
@DirtiesContext
@ContextConfiguration(initializers = PoisonTest.House.class)
class PoisonTest extends OrdersTest {

    static final class House extends OwnHouse {

        /** It takes every call and says nothing. */
        private static final ServerSocket SILENT = silent();

        private static ServerSocket silent() {
            try {
                return new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        protected Map<String, Object> settings() {
            return Map.of(
                    "spring.mail.host",
                    SILENT.getInetAddress().getHostAddress(),
                    "spring.mail.port",
                    SILENT.getLocalPort(),
                    "gastfreund.jobs.outbox",
                    "200ms",
                    "gastfreund.jobs.steps",
                    "200ms");
        }
    }

    @Autowired
    private AllRounds job;

    @Autowired
    private Tidying tidying;

    @Autowired
    private Rounds rounds;

    @Autowired
    private Endings endings;

    @Autowired
    private TransactionTemplate transaction;

    private void sql(String statement, Object... parameters) {
        transaction.executeWithoutResult(
                s -> jdbc.sql(statement).params(parameters).update());
    }

    private Order going(int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        order(basket, "Hedda Moor", "hedda@post.example");
        return orders.newest(1).get(0);
    }

    private Order request(int daysAhead) {
        return paid("firing", "glaze", daysAhead, "WORKS");
    }

    private List<String> stuckKinds() {
        return rounds.stuck().stream().map(Stuck::kind).distinct().sorted().toList();
    }

    @Test
    void onePoisonedEntryInEachRoundKeepsNothingElse() {
        // Orders that wait for money: the gateway of one is gone, the other was never paid.
        Order lost = going(5);
        sql("UPDATE payments SET gateway = 'gone' WHERE order_id = ?", lost.id());
        Order unpaid = going(6);
        // Requests: the books of one are torn, the other just waits too long.
        Order torn = request(7);
        Order unanswered = request(8);
        // Money that is owed: the same.
        Order owing = paid("private-lesson", "60", 12, "WORKS");
        Order alsoOwing = paid("private-lesson", "60", 13, "WORKS");
        sql(
                "UPDATE order_lines SET balance_due = ? WHERE order_id IN (?, ?)",
                today().toString(),
                owing.id(),
                alsoOwing.id());
        // A refund at a gateway that is gone, and one that is there.
        Order refunded = paid("wheel-hire", "60", 9, "WORKS");
        Order alsoRefunded = paid("wheel-hire", "60", 10, "WORKS");
        sql("UPDATE payments SET gateway = 'gone' WHERE order_id = ?", refunded.id());
        for (Order order : List.of(refunded, alsoRefunded)) {
            endings.refund(
                    order,
                    line(order).booking(),
                    Money.ofMinor(100),
                    line(order).paid(),
                    "",
                    HOST);
        }
        await().untilAsserted(() -> assertThat(payment(alsoRefunded)).endsWith(" 100"));
        // Bookings that have taken place.
        String attended = jdbc.sql(
                        "SELECT id FROM bookings WHERE status = 'confirmed' AND order_id IS NOT NULL AND end_at < "
                                + "(SELECT min(start_at) FROM bookings WHERE order_id = ?) ORDER BY end_at LIMIT 1")
                .param(owing.id())
                .query(String.class)
                .single();
        sql(
                "UPDATE bookings SET order_id = ? WHERE id IN (?, ?)",
                lost.id(),
                line(torn).booking().value(),
                attended);
        sql(
                "UPDATE bookings SET order_id = NULL WHERE id = ?",
                line(owing).booking().value());
        sql("INSERT INTO spent_seals (seal, at) VALUES ('old', 0)");
        sql("CREATE TRIGGER poison BEFORE DELETE ON spent_seals BEGIN SELECT RAISE(ABORT, 'poisoned'); END");
        clock.moveAhead(Duration.ofHours(49));
        for (int i = 0; i < 5; i++) {
            job.run();
            tidying.run();
            clock.moveAhead(Duration.ofMinutes(2));
        }
        assertThat(now(unpaid).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(line(unanswered).status()).isEqualTo(BookingStatus.LAPSED);
        assertThat(letters(alsoOwing)).contains("balance");
        assertThat(jdbc.sql("SELECT count(*) FROM bookings WHERE status = 'completed'")
                        .query(Integer.class)
                        .single())
                .isPositive();
        assertThat(now(lost).status()).as("nothing was decided about it").isEqualTo(OrderStatus.WAITING);
        assertThat(stuckKinds()).contains("ask", "end", "unanswered", "owed", "attended", "tidy");
        assertThat(rounds.stuck()).allSatisfy(s -> {
            assertThat(s.error()).isNotBlank();
            assertThat(s.tries()).isGreaterThanOrEqualTo(4);
        });
        await().atMost(Duration.ofSeconds(30)).untilAsserted(() -> {
            clock.moveAhead(Duration.ofMinutes(2));
            assertThat(stuckKinds()).contains("step");
        });
        await().atMost(Duration.ofSeconds(60)).untilAsserted(() -> assertThat(
                        jdbc.sql("SELECT count(*) FROM work WHERE kind = 'letter' AND last_error <> ''")
                                .query(Integer.class)
                                .single())
                .as("letters that the mail server did not take")
                .isPositive());
        assertThat(jdbc.sql("SELECT count(*) FROM outbox WHERE sent_at IS NOT NULL")
                        .query(Integer.class)
                        .single())
                .isZero();
        rounds.tryNow();
        sql("DROP TRIGGER poison");
        tidying.run();
        assertThat(stuckKinds()).as("what succeeds is stuck no longer").doesNotContain("tidy");
        // The books of other tests are looked at after this one: mend what was torn here.
        sql("UPDATE bookings SET order_id = (SELECT order_id FROM order_lines WHERE booking = bookings.id) WHERE id IN "
                + "(SELECT booking FROM order_lines)");
    }
}
