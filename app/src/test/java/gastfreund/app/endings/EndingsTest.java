package gastfreund.app.endings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.AllRounds;
import gastfreund.app.PdfPicture;
import gastfreund.app.moves.Moves;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.orders.Outcome;
import gastfreund.app.paying.Balances;
import gastfreund.app.till.Hand;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.math.BigDecimal;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Requests, cancellations and refunds, over HTTP and with the real stand-in; its ledger and ours agree in the end. */
class EndingsTest extends OrdersTest {

    @Autowired
    private AllRounds job;

    @Autowired
    private Endings endings;

    @Autowired
    private Moves moves;

    @Autowired
    private Balances balances;

    @Autowired
    private TransactionTemplate transaction;

    private HttpResponse<String> cancel(Order order, Map<String, Object> form) {
        return post("/bookings/" + order.token() + "/lines/" + line(order).booking() + "/cancel", form);
    }

    @Test
    void aRequestIsAuthorisedAndCapturedByTheHostsYes() {
        Order order = paid("firing", "biscuit", 8, "WORKS");
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        assertThat(payment(order)).isEqualTo("authorised 0 0 0");
        assertThat(letters(order)).containsExactly("request", "host-request");
        assertThat(get("/bookings/" + order.token()).body())
                .contains("We have your request")
                .contains("nothing is charged");
        assertThat(endings.accept(order, line(order).booking(), HOST)).isEqualTo(Outcome.DONE);
        assertThat(endings.accept(order, line(order).booking(), HOST)).isEqualTo(Outcome.CHANGED);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).paid()).isEqualTo(Money.ofMinor(3000));
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("captured 3000 0 0"));
        assertThat(letters(order)).containsExactly("request", "host-request", "confirmation");
        ledgersAgree(order);
    }

    @Test
    void whatIsPutAsideBeyondWhatARequestCostsIsLetGo() {
        Order order = paid("firing", "glaze", 11, "WORKS");
        transaction.executeWithoutResult(
                s -> jdbc.sql("UPDATE order_lines SET total = 3000, due_now = 3000 WHERE order_id = ?")
                        .param(order.id())
                        .update());
        endings.accept(order, line(order).booking(), HOST);
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("captured 3000 1500 0"));
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        ledgersAgree(order);
    }

    @Test
    void aNoLetsTheMoneyGo() {
        Order order = paid("firing", "glaze", 9, "WORKS");
        assertThat(endings.decline(order, line(order).booking(), "the kiln is being mended", HOST))
                .isEqualTo(Outcome.DONE);
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("voided 0 4500 0"));
        assertThat(letters(order)).contains("declined");
        assertThat(letters.one(order.id(), "declined").text()).contains("the kiln is being mended");
        assertThat(letters.one(order.id(), "declined").html()).contains("the kiln is being mended");
        assertThat(line(order).status()).isEqualTo(BookingStatus.DECLINED);
        ledgersAgree(order);
    }

    @Test
    void whatNobodyAnswersLapses() {
        Order order = paid("firing", "glaze", 10, "WORKS");
        clock.moveAhead(Duration.ofHours(25));
        job.run();
        assertThat(line(order).status()).isEqualTo(BookingStatus.LAPSED);
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("voided 0 4500 0"));
        assertThat(letters(order)).contains("unanswered");
    }

    @Test
    void aRequestWithoutMoneyWaitsForTheHostAtOnce() {
        Answer.Entry entry = opening("glaze-call", "25", 1, 12);
        String basket = keep("glaze-call", "25", 1, entry.time().start());
        assertThat(order(basket, "Ada Kreuz", "ada@post.example")).contains("/bookings/");
        Order order = orders.newest(1).get(0);
        assertThat(line(order).status()).as("first the mail is confirmed").isEqualTo(BookingStatus.HELD);
        confirm(order.id());
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        assertThat(letters(order)).containsExactly("prove", "request", "host-request");
    }

    @Test
    void aGuestWhoCancelsInTimeGetsAllOfItBackAndThePlaceIsFree() {
        Order order = paid("wheel-hire", "60", 16, "WORKS");
        Money paid = line(order).paid();
        String page = get("/bookings/" + order.token() + "/lines/" + line(order).booking() + "/cancel")
                .body();
        Matcher refund = Pattern.compile("name=\"refund\" value=\"(\\d+)\"").matcher(page);
        assertThat(refund.find()).isTrue();
        assertThat(Long.parseLong(refund.group(1))).isEqualTo(paid.minor()).isPositive();
        assertThat(cancel(order, Map.of("refund", paid.minor() - 1))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .endsWith("?changed");
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        cancel(order, Map.of("refund", refund.group(1), "why", "A cold."));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(line(order).paid()).isEqualTo(Money.ZERO);
        await().untilAsserted(() -> assertThat(payment(order)).startsWith("refunded"));
        assertThat(letters(order)).containsExactly("confirmation", "host", "cancelled", "host-cancelled");
        cancel(order, Map.of("refund", 0));
        assertThat(letters(order)).hasSize(4);
        assertThat(get("/bookings/" + order.token()).body()).contains("Nothing is booked any more");
        ledgersAgree(order);
    }

    @Test
    void lateItCostsWhatTheTermsSay() {
        Order order = paid("wheel-hire", "60", 17, "WORKS");
        Money paid = line(order).paid();
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minusHours(10));
        long half = paid.minor() - Math.round(paid.minor() / 2.0);
        cancel(order, Map.of("refund", half));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        await().untilAsserted(() -> assertThat(payment(order)).startsWith("partly refunded"));
        assertThat(line(order).paid()).isEqualTo(Money.ofMinor(paid.minor() - half));
        ledgersAgree(order);
    }

    @Test
    void theHostGivesBackWhatTheyLikeUpToWhatWasPaid() {
        Order order = paid("wheel-hire", "60", 18, "WORKS");
        Money paid = line(order).paid();
        assertThat(endings.refund(
                        order,
                        line(order).booking(),
                        paid.plus(Money.ofMinor(1)),
                        line(order).paid(),
                        "",
                        HOST))
                .isEqualTo(Outcome.CHANGED);
        assertThat(endings.refund(
                        order,
                        line(order).booking(),
                        Money.ofMinor(300),
                        line(order).paid(),
                        "no apron left",
                        HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(endings.refund(order, line(order).booking(), Money.ofMinor(300), paid, "sent twice", HOST))
                .isEqualTo(Outcome.CHANGED);
        assertThat(line(order).unpaid()).as("what was given back is not owed").isEqualTo(Money.ZERO);
        assertThat(get("/bookings/" + order.token()).body())
                .doesNotContain("/pay\"")
                .contains("Given back");
        assertThat(endings.cancelByHost(order, line(order).booking(), paid, "", true, HOST))
                .isEqualTo(Outcome.CHANGED);
        assertThat(endings.cancelByHost(order, line(order).booking(), paid.minus(Money.ofMinor(300)), "", false, HOST))
                .isEqualTo(Outcome.DONE);
        await().untilAsserted(() -> assertThat(payment(order)).startsWith("refunded"));
        assertThat(letters(order)).containsExactly("confirmation", "host", "refunded");
        ledgersAgree(order);
    }

    @Test
    void whatTheHostGaveBackIsNotAskedForAgain() {
        Order order = paid("private-lesson", "60", 33, "WORKS");
        Money left = line(order).unpaid();
        Money given = Money.ofMinor(500);
        endings.refund(order, line(order).booking(), given, line(order).paid(), "the radio was too loud", HOST);
        assertThat(line(order).unpaid()).isEqualTo(left);
        Answer.Entry other = opening("private-lesson", "60", 1, 34);
        Moves.Wish wish = new Moves.Wish(
                Audience.DESK,
                other.time().start(),
                Moves.Target.ANYONE,
                moves.proposal(now(order), line(order), other.time().start(), Moves.Target.ANYONE, Audience.DESK)
                        .orElseThrow()
                        .total(),
                true,
                true,
                false,
                HOST);
        assertThat(moves.move(now(order), line(order).booking(), wish)).isEqualTo(Outcome.DONE);
        booksAgree(order);
        assertThat(line(order).unpaid()).isEqualTo(left);
        assertThat(line(order).balance()).isEqualTo(left);
        assertThat(endings.paidOnTheSpot(
                        order,
                        line(order).booking(),
                        Hand.CASH,
                        left,
                        line(order).paid(),
                        HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(now(order).paid()).isEqualTo(line(order).total().minus(given));
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minusHours(5));
        job.run();
        assertThat(letters(order)).noneMatch(k -> k.startsWith("balance") || k.startsWith("unpaid"));
        assertThat(balances.owing()).extracting(Order::id).doesNotContain(order.id());
    }

    @Test
    void whoIsBookedAtOnceAndDoesNotPayIsAskedAndTheHostSeesIt() {
        Answer.Entry entry = opening("wheel-evenings", "150", 1, 20);
        String to = order(keep("wheel-evenings", "150", 1, entry.time().start()), "Till Rabe", "till@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        job.run();
        assertThat(letters(order)).containsExactly("confirmation", "host");
        assertThat(letters.one(order.id(), "confirmation").text())
                .contains("Due, and not paid yet")
                .doesNotContain("To be paid later");
        clock.moveAhead(Duration.ofMinutes(61));
        job.run();
        job.run();
        assertThat(letters(order)).containsExactly("confirmation", "host", "unpaid");
        assertThat(balances.owing()).extracting(Order::id).contains(order.id());
        clock.moveAhead(Duration.ofHours(21));
        job.run();
        job.run();
        assertThat(letters(order)).endsWith("unpaid", "unpaid-again").hasSize(4);
        String again = post("/bookings/" + order.token() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElse(to);
        get(pay(again, "UNTOLD"));
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        assertThat(balances.owing()).extracting(Order::id).doesNotContain(order.id());
    }

    @Test
    void aBalanceIsAskedForWhenItFallsDueRemindedOfOnceAndPaidByTheLink() {
        Order order = paid("private-lesson", "60", 21, "WORKS");
        Money deposit = line(order).paid();
        Money left = line(order).unpaid();
        assertThat(deposit.plus(left)).isEqualTo(line(order).total());
        job.run();
        assertThat(letters(order)).doesNotContain("balance");
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minusHours(30));
        job.run();
        job.run();
        clock.moveAhead(Duration.ofHours(21));
        job.run();
        job.run();
        assertThat(letters(order)).filteredOn(k -> k.startsWith("balance")).containsExactly("balance", "balance-again");
        assertThat(balances.owing()).extracting(Order::id).contains(order.id());
        clock.reset();
        String to = post("/bookings/" + order.token() + "/lines/" + line(order).booking() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(to, "UNTOLD"));
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        assertThat(balances.owing()).extracting(Order::id).doesNotContain(order.id());
        cancel(order, Map.of("refund", line(order).total().minor()));
        await().untilAsserted(
                        () -> assertThat(jdbc.sql("SELECT sum(captured - refunded) FROM payments WHERE order_id = ?")
                                        .param(order.id())
                                        .query(Long.class)
                                        .single())
                                .isZero());
    }

    @Test
    void aGuestMovesABookingAndTheDifferenceIsSettled() {
        Order order = paid("wheel-hire", "120", 22, "WORKS");
        OrderLine before = line(order);
        String move = "/bookings/" + order.token() + "/lines/" + before.booking() + "/move";
        Answer.Entry other = openings
                .openings(gastfreund.core.openings.Query.of(
                                before.offer(), today().plusDays(23),
                                today().plusDays(30), clock.instant())
                        .withLength(before.length(), 1))
                .entries()
                .stream()
                .filter(e -> !e.open().get(0).opening().price().equals(before.total()))
                .findFirst()
                .orElseThrow();
        long total = other.open().get(0).opening().price().minor();
        assertThat(get(move + "/to?start=" + other.time().start()).body()).contains("Move it here?");
        assertThat(post(move, Map.of("start", other.time().start(), "total", total - 1))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .endsWith("?gone");
        assertThat(line(order).time()).isEqualTo(before.time());
        post(move, Map.of("start", other.time().start(), "total", total));
        assertThat(line(order).time()).isEqualTo(other.time());
        assertThat(line(order).total()).isEqualTo(Money.ofMinor(total));
        assertThat(letters(order)).contains("moved", "host-moved");
        Money kept = Money.ofMinor(Math.min(total, before.total().minor()));
        assertThat(line(order).paid()).isEqualTo(kept);
        await().untilAsserted(() -> ledgersAgree(order));
        await().untilAsserted(() ->
                assertThat(payment(order)).endsWith(" " + (before.paid().minor() - kept.minor())));
        if (line(order).unpaid().isPositive()) {
            String to = post("/bookings/" + order.token() + "/lines/" + before.booking() + "/pay", Map.of())
                    .headers()
                    .firstValue("Location")
                    .orElseThrow();
            get(pay(to, "WORKS"));
            assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        }
        clock.moveAhead(Duration.between(clock.instant(), line(order).time().startInstant())
                .minusHours(3));
        assertThat(get(move).statusCode()).isEqualTo(302);
    }

    @Test
    void moneyForWhatWasCancelledMeanwhileGoesBack() {
        Answer.Entry entry = opening("wheel-evenings", "150", 1, 13);
        String basket = keep("wheel-evenings", "150", 1, entry.time().start());
        String to = order(basket, "Basil Horn", "basil@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        cancel(order, Map.of("refund", 0));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        get(pay(to, "WORKS"));
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("refunded 4200 0 4200"));
        assertThat(now(order).paid()).isEqualTo(Money.ZERO);
        ledgersAgree(order);
    }

    @Test
    void whatWasPaidElsewhereIsGivenBackByHand() {
        Order order = orders.byNumber(jdbc.sql(
                                "SELECT min(o.number) FROM orders o JOIN bookings b ON b.order_id = o.id "
                                        + "WHERE b.status IN ('confirmed', 'completed') AND b.offer = 'wheel-hire' AND o.basket IS NULL")
                        .query(Long.class)
                        .single())
                .orElseThrow();
        Money paid = line(order).paid();
        assertThat(endings.refund(
                        order, line(order).booking(), paid, line(order).paid(), "", HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(payment(order)).isEqualTo("refunded " + paid.minor() + " 0 " + paid.minor());
    }

    @Test
    void aReceiptAndACreditNoteAreIssuedAndCanBeRead() throws Exception {
        Order order = paid("wheel-hire", "60", 24, "WORKS");
        Money paid = line(order).paid();
        cancel(order, Map.of("refund", paid.minor()));
        Matcher links = Pattern.compile("/bookings/[^\"]+/documents/(\\d+)\\.pdf")
                .matcher(get("/bookings/" + order.token()).body());
        List<String> paths = links.results().map(m -> m.group()).toList();
        assertThat(paths).hasSize(2);
        String receipt = text(paths.get(0));
        String credit = text(paths.get(1));
        assertThat(receipt)
                .contains("Quillmere Clay House", "Receipt ", "Wheel hire", "contains 19", "Order " + order.number());
        assertThat(credit).contains("Credit note ", "Comes back to you");
        long first = Long.parseLong(paths.get(0).replaceAll(".*/(\\d+)\\.pdf", "$1"));
        assertThat(paths.get(1)).endsWith("/" + (first + 1) + ".pdf");
        assertThat(get("/bookings/" + order.token() + "/documents/1.pdf").statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatWasNotYetPaidOfACancelledBookingIsCreditedToo() throws Exception {
        Order order = paid("private-lesson", "60", 35, "WORKS");
        Money deposit = line(order).paid();
        booksAgree(order);
        cancel(order, Map.of("refund", deposit.minor()));
        booksAgree(order);
        Matcher links = Pattern.compile("/bookings/[^\"]+/documents/(\\d+)\\.pdf")
                .matcher(get("/bookings/" + order.token()).body());
        List<String> paths = links.results().map(m -> m.group()).toList();
        Money total = line(order).total();
        assertThat(text(paths.get(1)))
                .contains("Total " + written(total))
                .contains("Comes back to you " + written(deposit))
                .contains("No longer to be paid " + written(total.minus(deposit)));
    }

    private static String written(Money amount) {
        return BigDecimal.valueOf(amount.minor(), 2).toString();
    }

    private String text(String path) throws Exception {
        byte[] pdf = java.net.http.HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address(path))).build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        return PdfPicture.text(pdf);
    }

    @Test
    void whoPaysThereIsBookedAtOnceAndTheHostNotesTheMoney() {
        Answer.Entry entry = opening("wheel-evenings", "150", 1, 6);
        String basket = keep("wheel-evenings", "150", 1, entry.time().start());
        String line = jdbc.sql("SELECT id FROM bookings WHERE basket = ?")
                .param(basket.substring(basket.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
        post(basket + "/lines/" + line + "/pay", Map.of("later", true));
        assertThat(order(basket, "Stella Arp", "stella@post.example")).contains("/bookings/");
        Order order = orders.newest(1).get(0);
        confirm(order.id());
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(now(order).balance()).isEqualTo(Money.ofMinor(4200));
        assertThat(endings.paidOnTheSpot(
                        order,
                        line(order).booking(),
                        Hand.CASH,
                        Money.ofMinor(4201),
                        line(order).paid(),
                        HOST))
                .isEqualTo(Outcome.CHANGED);
        assertThat(endings.paidOnTheSpot(
                        order,
                        line(order).booking(),
                        Hand.CASH,
                        Money.ofMinor(4200),
                        line(order).paid(),
                        HOST))
                .isEqualTo(Outcome.DONE);
        assertThat(now(order).balance()).isEqualTo(Money.ZERO);
        endings.cancelByHost(order, line(order).booking(), Money.ofMinor(4200), "", true, HOST);
        assertThat(payment(order)).isEqualTo("refunded 4200 0 4200");
    }

    @Test
    void aPromoCodeLowersTheSumOrSaysWhyNot() {
        Answer.Entry entry = opening("wheel-hire", "120", 1, 19);
        String basket = keep("wheel-hire", "120", 1, entry.time().start());
        Map<String, String> said = new TreeMap<>(Map.of(
                "nonsense", "There is no such code.",
                "welcome5",
                        entry.open().get(0).opening().price().minor() < 3000
                                ? "There is too little"
                                : "The code is used.",
                " kilnmate ", "The code is used."));
        said.forEach((code, words) -> {
            post(basket + "/code", Map.of("code", code));
            assertThat(get(basket).body()).contains(words);
        });
        post(basket + "/code", Map.of("code", "kilnmate"));
        long price = entry.open().get(0).opening().price().minor();
        order(basket, "Nils Kamp", "nils@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(order.total().minor()).isEqualTo(price - Math.round(price / 10.0));
    }

    @Test
    void aGuestChangesTheirDetails() {
        Order order = paid("wheel-hire", "60", 20, "WORKS");
        String details = "/bookings/" + order.token() + "/details";
        assertThat(post(details, Map.of("name", "", "email", "new@post.example", "phone", "030 5550 100"))
                        .body())
                .contains("Please tell us your name.")
                .contains("new@post.example");
        post(details, Map.of("name", "Wenke Farrow-Lind", "email", "new@post.example", "phone", "030 5550 100"));
        assertThat(now(order).contact().name()).isEqualTo("Wenke Farrow-Lind");
    }
}
