package gastfreund.app.moves;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.app.till.Hand;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.LengthId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A booking is made longer or shorter where a length fits, costs what that costs, and is as it was when that is taken back. */
class SizesTest extends OrdersTest {

    private static final LengthId HOUR_AND_A_HALF = new LengthId("90");

    @Autowired
    private Moves moves;

    @Autowired
    private Endings endings;

    private Moves.Sized sized(Order order, String length) {
        return moves.sizes(now(order), line(order)).stream()
                .filter(s -> s.size().length().id().value().equals(length))
                .findFirst()
                .orElseThrow();
    }

    private Outcome last(Order order, Moves.Size size, Money shown, boolean grace) {
        OrderLine line = line(order);
        return moves.move(
                order,
                line.booking(),
                new Moves.Wish(
                        Audience.DESK,
                        line.time().start(),
                        new Moves.Target(line.reserved().staff().get(0), false, size),
                        shown,
                        false,
                        true,
                        grace,
                        HOST));
    }

    private Money price(Order order, Moves.Size size) {
        OrderLine line = line(order);
        return moves.proposal(
                        now(order),
                        line,
                        line.time().start(),
                        new Moves.Target(line.reserved().staff().get(0), false, size),
                        Audience.DESK)
                .orElseThrow()
                .total();
    }

    @Test
    void allLengthsAreToldWithWhetherTheyFit() {
        Order order = paid("private-lesson", "60", 17, "WORKS");
        List<Moves.Sized> sizes = moves.sizes(order, line(order));
        assertThat(sizes).extracting(s -> s.size().length().id().value()).containsExactly("60", "90", "120");
        assertThat(sizes)
                .extracting(s -> s.time().start())
                .containsOnly(line(order).time().start());
        assertThat(sizes.get(0).time()).isEqualTo(line(order).time());
        assertThat(sizes.get(0).option().isOpen()).as("as long as it is").isTrue();
    }

    @Test
    void longerItTakesThatTimeAndCostsThatAndCanBeTakenBack() {
        Order order = paid("private-lesson", "60", 18, "WORKS");
        OrderLine before = line(order);
        Moves.Sized longer = sized(order, "90");
        assertThat(longer.option().isOpen()).isTrue();
        Money price = price(order, longer.size());
        assertThat(price).isGreaterThan(before.total());
        assertThat(last(order, longer.size(), before.total(), true)).isEqualTo(Outcome.CHANGED);
        assertThat(last(order, longer.size(), price, true)).isEqualTo(Outcome.DONE);
        OrderLine after = line(order);
        assertThat(after.length()).isEqualTo(HOUR_AND_A_HALF);
        assertThat(after.sold().length().id()).isEqualTo(HOUR_AND_A_HALF);
        assertThat(after.time()).isEqualTo(longer.time());
        assertThat(after.total()).isEqualTo(price);
        booksAgree(order);
        assertThat(moves.takeBack(order, before.booking(), HOST)).isEqualTo(Outcome.DONE);
        OrderLine back = line(order);
        assertThat(back.time()).isEqualTo(before.time());
        assertThat(back.length()).isEqualTo(before.length());
        assertThat(back.sold()).isEqualTo(before.sold());
        assertThat(back.total()).isEqualTo(before.total());
        booksAgree(order);
    }

    @Test
    void shorterWhatWasPaidTooMuchGoesBack() {
        Order order = paid("wheel-hire", "60", 19, "WORKS");
        assertThat(moves.size(order, line(order), new LengthId("no such"), 1)).isEmpty();
        assertThat(moves.size(order, line(order), line(order).length(), 99)).isEmpty();
        List<Moves.Sized> sizes = moves.sizes(order, line(order));
        Moves.Size before =
                new Moves.Size(line(order).sold().length(), line(order).units());
        Moves.Size longer = sizes.stream()
                .filter(s ->
                        s.time().end() > line(order).time().end() && s.option().isOpen())
                .findFirst()
                .orElseThrow()
                .size();
        Money had = line(order).total();
        assertThat(moves.move(order, line(order).booking(), wish(order, longer, priceOf(order, longer))))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).length()).isEqualTo(longer.length().id());
        endings.paidOnTheSpot(
                order,
                line(order).booking(),
                Hand.CASH,
                line(order).unpaid(),
                line(order).paid(),
                HOST);
        assertThat(moves.move(order, line(order).booking(), wish(order, before, priceOf(order, before))))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).total()).isEqualTo(had);
        assertThat(line(order).paid()).as("what was too much went back").isEqualTo(had);
        booksAgree(order);
    }

    private Money priceOf(Order order, Moves.Size size) {
        return moves.proposal(
                        now(order),
                        line(order),
                        line(order).time().start(),
                        new Moves.Target(null, false, size),
                        Audience.DESK)
                .orElseThrow()
                .total();
    }

    private Moves.Wish wish(Order order, Moves.Size size, Money price) {
        return new Moves.Wish(
                Audience.DESK,
                line(order).time().start(),
                new Moves.Target(null, false, size),
                price,
                false,
                false,
                false,
                HOST);
    }
}
