package gastfreund.app.moves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Whoever moves a booking while the terms keep something takes that along, and money goes back the way it came. */
class FloorTest extends OrdersTest {

    @Autowired
    private Moves moves;

    @Autowired
    private Endings endings;

    @Autowired
    private PaymentSteps steps;

    @Autowired
    private PrepaidService prepaid;

    private void goTo(Order order, Duration beforeStart) {
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minus(beforeStart));
    }

    private void move(Order order, int daysAhead) {
        Answer.Entry to = opening("wheel-hire", "60", 1, daysAhead);
        Moves.Proposal proposal = moves.proposal(
                        now(order), line(order), to.time().start(), Moves.Target.ANYONE, Audience.GUEST)
                .orElseThrow();
        Moves.Wish wish = Moves.Wish.ofGuest(to.time().start(), proposal.total());
        assertThat(moves.move(now(order), line(order).booking(), wish)).isEqualTo(Outcome.DONE);
    }

    @Test
    void movingFarAwayFirstAndCancellingThenKeepsWhatCancellingAtOnceWouldHave() {
        Order order = paid("wheel-hire", "60", 25, "WORKS");
        Money paid = line(order).paid();
        goTo(order, Duration.ofHours(10));
        Money kept = endings.byTheTerms(line(order)).keep();
        assertThat(kept).isGreaterThan(Money.ZERO);
        move(order, 9);
        assertThat(line(order).floor()).isEqualTo(kept);
        assertThat(get("/bookings/" + order.token()).body()).doesNotContain("Free to cancel");
        Money back = endings.byTheTerms(line(order)).refund();
        assertThat(back).isEqualTo(line(order).paid().minus(kept));
        String cancel = "/bookings/" + order.token() + "/lines/" + line(order).booking() + "/cancel";
        post(cancel, Map.of("refund", back.minor()));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(line(order).paid()).isEqualTo(kept);
        assertThat(kept.plus(back)).isLessThanOrEqualTo(paid.plus(line(order).total()));
        await().untilAsserted(() -> ledgersAgree(order));
    }

    @Test
    void aMoveInTimeSetsNoFloorAndTheHostsMovesNeverDo() {
        Order order = paid("wheel-hire", "60", 26, "WORKS");
        move(order, 27);
        assertThat(line(order).floor()).isEqualTo(Money.ZERO);
        goTo(order, Duration.ofHours(5));
        Answer.Entry to = opening("wheel-hire", "60", 1, 6);
        Money total = moves.proposal(now(order), line(order), to.time().start(), Moves.Target.ANYONE, Audience.DESK)
                .orElseThrow()
                .total();
        moves.move(
                now(order),
                line(order).booking(),
                new Moves.Wish(
                        Audience.DESK, to.time().start(), Moves.Target.ANYONE, total, false, false, false, HOST));
        assertThat(line(order).floor()).isEqualTo(Money.ZERO);
    }

    /** A voucher that paid for one line never comes back on the card that paid for another. */
    @Test
    void whatAVoucherPaidOfALineGoesBackOntoTheVoucher() {
        String bought = path(post("/vouchers/voucher/keep", Map.of("amount", "free", "written", "18.00")));
        get(pay(order(bought, "Rika Thorn", "rika@post.example"), "WORKS"));
        String code = prepaid.byId(orders.goods(orders.newest(1).get(0)).get(0).prepaid())
                .code();
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 28).time().start());
        long later = opening("wheel-hire", "120", 1, 29).time().start();
        post(
                "/offers/wheel-hire/keep?party=1&length=120&basket=" + basket.substring(basket.lastIndexOf('/') + 1),
                Map.of("start", later),
                FROM,
                somebody());
        post(basket + "/code", Map.of("code", code));
        get(pay(order(basket, "Veit Harms", "veit@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        OrderLine first = order.lines().get(0);
        assertThat(first.total()).as("the voucher paid all of the first line").isLessThanOrEqualTo(Money.ofMinor(1800));
        endings.cancelByHost(order, first.booking(), first.paid(), "", false, HOST);
        assertThat(prepaid.byCode(code).orElseThrow().rest())
                .as("all of it is on the voucher again")
                .isGreaterThanOrEqualTo(first.total().minor());
        assertThat(jdbc.sql(
                                "SELECT count(*) FROM payment_steps s JOIN payments p ON p.id = s.payment WHERE p.order_id = ?")
                        .param(order.id())
                        .query(Integer.class)
                        .single())
                .as("nothing goes back onto the card")
                .isZero();
    }

    @Test
    void aRefundByCardIsNotMarkedAsSentByHand() {
        Order order = paid("wheel-hire", "60", 30, "WORKS");
        clock.moveAhead(Duration.ofMinutes(1));
        endings.refund(
                order, line(order).booking(), Money.ofMinor(300), line(order).paid(), "", HOST);
        String step = jdbc.sql(
                        "SELECT s.id FROM payment_steps s JOIN payments p ON p.id = s.payment WHERE p.order_id = ?")
                .param(order.id())
                .query(String.class)
                .single();
        assertThat(steps.handedBack(step, HOST)).isFalse();
        await().untilAsserted(() -> assertThat(payment(order)).endsWith(" 300"));
        ledgersAgree(order);
    }
}
