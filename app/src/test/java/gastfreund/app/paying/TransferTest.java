package gastfreund.app.paying;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.endings.Endings;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Orders that are paid by bank transfer: they wait with a reference and a date, and the host marks what has come. */
class TransferTest extends OrdersTest {

    private static final int DAYS = 5;

    @Autowired
    private Gateways gateways;

    @Autowired
    private PaymentService payments;

    @Autowired
    private PaymentSteps steps;

    @Autowired
    private Endings endings;

    @Autowired
    private AllRounds job;

    @BeforeEach
    void switchOn() {
        switchTransfers(true);
    }

    @AfterEach
    void switchOff() {
        switchTransfers(false);
    }

    private void switchTransfers(boolean on) {
        gateways.keep(new GatewayAccount(
                GatewayAccount.Kind.TRANSFER,
                GatewayAccount.Mode.LIVE,
                on,
                Map.of(
                        "holder",
                        "Quillmere Clay House",
                        "iban",
                        "DE02120300000000202051",
                        "bank",
                        "",
                        "days",
                        "" + DAYS)));
    }

    private Order byTransfer(String offer, String length, int daysAhead) {
        String basket = keep(
                offer, length, 1, opening(offer, length, 1, daysAhead).time().start());
        Map<String, Object> form =
                CheckoutPage.filled(get(basket + "/checkout").body(), "Imke Dahl", "imke@post.example");
        form.put("way", "transfer");
        assertThat(path(post(basket + "/checkout", form))).startsWith("/bookings/");
        return orders.newest(1).get(0);
    }

    private Payment transfer(Order order) {
        return payments.ofOrder(order.id()).stream()
                .filter(Payment::isTransfer)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPlaceIsKeptUntilTheDateAndBookedWhenTheMoneyHasCome() {
        Order order = byTransfer("wheel-hire", "60", 30);
        Payment transfer = transfer(order);
        assertThat(transfer.reference()).matches(order.number() + "-[A-Z2-9]{3}");
        assertThat(order.status()).isEqualTo(OrderStatus.WAITING);
        assertThat(line(order).status()).isEqualTo(BookingStatus.HELD);
        assertThat(line(order).expires())
                .as("first for two days")
                .isBetween(
                        order.placed().plus(Duration.ofHours(48)),
                        order.placed().plus(Duration.ofHours(48)).plusSeconds(2));
        confirm(order.id());
        assertThat(line(order).expires()).isEqualTo(transfer.expires());
        String page = get("/bookings/" + order.token()).body();
        assertThat(page)
                .contains("We wait for your transfer")
                .contains("DE02 1203 0000 0000 2020 51")
                .contains(transfer.reference());
        assertThat(letters(order)).containsExactly("transfer");
        assertThat(letters.one(order.id(), "transfer").text()).contains(transfer.reference(), "DE02120300000000202051");
        clock.moveAhead(Duration.ofDays(DAYS - 1));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.WAITING);

        assertThat(payments.transfersAwaited()).extracting(Payment::id).contains(transfer.id());
        assertThat(payments.received(transfer, HOST)).isTrue();
        assertThat(payments.received(transfer, HOST)).isFalse();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(now(order).paid()).isEqualTo(order.total());
        assertThat(letters(order)).containsExactly("transfer", "confirmation", "host");
        assertThat(orders.journal(order))
                .filteredOn(e -> e.about().equals("payment"))
                .extracting(JournalEntry::who)
                .containsExactly(HOST);
    }

    @Test
    void aTransferThatDoesNotComeFreesThePlaceAndOneThatComesLateTakesItAgain() {
        Order order = byTransfer("wheel-hire", "60", 31);
        clock.moveAhead(Duration.ofDays(DAYS).plusMinutes(1));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(letters(order)).containsExactly("transfer", "transfer-missed");
        assertThat(payments.received(transfer(order), HOST)).isTrue();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(now(order).paid()).isEqualTo(order.total());
    }

    @Test
    void whoCallsItOffFreesThePlaceAtOnceAndWhatComesAllTheSameGoesBack() {
        Order order = byTransfer("wheel-hire", "60", 35);
        OrderLine line = line(order);
        post("/bookings/" + order.token() + "/release", Map.of());
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(letters(order)).containsExactly("transfer", "called-off");
        assertThat(get("/bookings/" + order.token()).body())
                .contains("Nothing is booked any more")
                .doesNotContain("/pay\"");
        post("/bookings/" + order.token() + "/release", Map.of());
        assertThat(letters(order)).hasSize(2);
        assertThat(payments.transfersAwaited()).extracting(Payment::order).doesNotContain(order.id());
        assertThat(payments.received(transfer(order), HOST))
                .as("it came all the same")
                .isTrue();
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(steps.toHandBack())
                .anyMatch(h -> h.order() == order.id() && h.amount().equals(order.dueNow()));
    }

    @Test
    void aVoucherAloneCanBePaidByTransferToo() {
        String basket = path(post("/vouchers/voucher/keep", Map.of("amount", 2500, "recipient", "Lene")));
        Map<String, Object> form =
                CheckoutPage.filled(get(basket + "/checkout").body(), "Imke Dahl", "imke@post.example");
        form.put("way", "transfer");
        assertThat(path(post(basket + "/checkout", form))).startsWith("/bookings/");
        Order order = orders.newest(1).get(0);
        assertThat(letters(order)).containsExactly("transfer");
        clock.moveAhead(Duration.ofDays(DAYS).plusMinutes(1));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(letters(order)).containsExactly("transfer", "transfer-missed");
        assertThat(payments.received(transfer(order), HOST)).isTrue();
        assertThat(orders.goods(order).get(0).isIssued()).isTrue();
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
    }

    @Test
    void whoPaysByCardInsteadIsNotWaitedFor() {
        Order order = byTransfer("wheel-hire", "60", 32);
        String to = post("/bookings/" + order.token() + "/pay", Map.of("way", "practice-card"))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(to, "WORKS"));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(payments.transfersAwaited()).extracting(Payment::order).doesNotContain(order.id());
        assertThat(payments.received(transfer(order), HOST))
                .as("it came all the same")
                .isTrue();
        assertThat(steps.toHandBack())
                .anyMatch(h -> h.order() == order.id() && h.amount().equals(order.dueNow()));
        assertThat(now(order).paid()).isEqualTo(order.total());
    }

    @Test
    void aRefundOfATransferIsSentByTheHost() {
        Order order = byTransfer("wheel-hire", "60", 33);
        payments.received(transfer(order), HOST);
        Money back = Money.ofMinor(700);
        assertThat(endings.refund(
                        order, line(order).booking(), back, line(order).paid(), "no clay left", HOST))
                .isEqualTo(Outcome.DONE);
        String step = steps.toHandBack().stream()
                .filter(h -> h.order() == order.id())
                .findFirst()
                .orElseThrow()
                .step();
        assertThat(transfer(order).refunded()).isEqualTo(Money.ZERO);
        assertThat(steps.handedBack(step, HOST)).isTrue();
        assertThat(steps.handedBack(step, HOST)).isFalse();
        assertThat(transfer(order).refunded()).isEqualTo(back);
        assertThat(steps.toHandBack()).noneMatch(h -> h.order() == order.id());
    }

    @Test
    void whatBeginsTooSoonOrWaitsForAYesCannotBePaidByTransfer() {
        String soon = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 2).time().start());
        assertThat(get(soon + "/checkout").body()).doesNotContain("bank transfer");
        String request = keep(
                "firing",
                "biscuit",
                1,
                opening("firing", "biscuit", 1, 40).time().start());
        assertThat(get(request + "/checkout").body()).doesNotContain("bank transfer");
        String later = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 34).time().start());
        assertThat(get(later + "/checkout").body()).contains("By bank transfer").contains("within 5 days");
    }

    @Test
    void whereNoWayToPayIsSwitchedOnNothingIsPlacedAndNothingTypedIsLost() {
        GatewayAccount card = gateways.account(GatewayAccount.Kind.CARD, GatewayAccount.Mode.PRACTICE);
        switchTransfers(false);
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 29).time().start());
        Map<String, Object> form =
                CheckoutPage.filled(get(basket + "/checkout").body(), "Imke Dahl", "imke@post.example");
        long before = jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single();
        gateways.keep(card.switched(false));
        try {
            assertThat(post(basket + "/checkout", form).body())
                    .contains("We cannot take payments just now")
                    .contains("value=\"Imke Dahl\"");
            assertThat(jdbc.sql("SELECT count(*) FROM orders").query(Long.class).single())
                    .isEqualTo(before);
        } finally {
            gateways.keep(card.switched(true));
        }
    }
}
