package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import gastfreund.app.AllRounds;
import gastfreund.app.CheckoutPage;
import gastfreund.app.PdfPicture;
import gastfreund.app.endings.Endings;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.awt.image.BufferedImage;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Vouchers and passes from their sale to their last use, and whatever happens to what they paid. */
class PrepaidTest extends OrdersTest {

    @Autowired
    private PrepaidService prepaid;

    @Autowired
    private Endings endings;

    @Autowired
    private AllRounds job;

    /** After every test: what is left is always what it was worth less all its uses. */
    @AfterEach
    void nothingIsLost() {
        assertThat(jdbc.sql(
                                """
                                SELECT count(*) FROM prepaid p WHERE p.rest <> p.worth
                                    - (SELECT coalesce(sum(u.amount), 0) FROM prepaid_uses u WHERE u.prepaid = p.id)
                                """)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    private String put(String product, Map<String, Object> form) {
        return path(post("/vouchers/" + product + "/keep", form));
    }

    private Prepaid bought(String product, Map<String, Object> form) {
        String to = order(put(product, form), "Rika Thorn", "rika@post.example");
        get(pay(to, "WORKS"));
        Order order = orders.newest(1).get(0);
        assertThat(order.status()).isEqualTo(OrderStatus.PLACED);
        return prepaid.byId(goods(order).prepaid());
    }

    private Goods goods(Order order) {
        return orders.goods(order).get(0);
    }

    private Prepaid voucher(long amount) {
        return bought("voucher", Map.of("amount", "free", "written", amount / 100 + ".00"));
    }

    private long rest(Prepaid one) {
        return prepaid.byId(one.id()).rest();
    }

    private String basketWith(Prepaid one, String offer, String length, int party, int daysAhead) {
        String basket = keep(
                offer,
                length,
                party,
                opening(offer, length, party, daysAhead).time().start());
        post(basket + "/code", Map.of("code", one.code().toLowerCase().replace("-", " ")));
        return basket;
    }

    private Order ordered(String basket) {
        order(basket, "Veit Harms", "veit@post.example");
        return orders.newest(1).get(0);
    }

    private HttpResponse<String> cancel(Order order, long refund) {
        return post(
                "/bookings/" + order.token() + "/lines/" + line(order).booking() + "/cancel", Map.of("refund", refund));
    }

    @Test
    void aVoucherIsBoughtIssuedWhenItIsPaidAndCanBePrinted() throws Exception {
        String basket = put("voucher", Map.of("amount", "5000", "recipient", "Lene", "greeting", "For the big pots."));
        assertThat(get(basket).body())
                .contains("A voucher")
                .contains("50.00")
                .contains("For Lene")
                .doesNotContain("contains 0");
        String to = order(basket, "Rika Thorn", "rika@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(order.status()).isEqualTo(OrderStatus.WAITING);
        assertThat(goods(order).isIssued()).isFalse();
        job.run();
        assertThat(now(order).status()).as("it waits for its money").isEqualTo(OrderStatus.WAITING);
        get(pay(to, "TWICE"));
        await().untilAsserted(() -> assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED));
        Prepaid issued = prepaid.byId(goods(order).prepaid());
        assertThat(issued.code()).matches("[A-HJ-NP-Z2-9]{4}(-[A-HJ-NP-Z2-9]{4}){2}");
        assertThat(letters(order)).containsExactly("issued", "host-issued");
        assertThat(get("/bookings/" + order.token()).body())
                .contains("Thank you, Rika Thorn")
                .contains(issued.code());
        assertThat(get("/codes/" + issued.code()).body()).contains("50.00").contains("left");
        assertThat(get("/codes/AAAA-AAAA-AAAA").statusCode()).isEqualTo(404);

        byte[] pdf = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address("/codes/" + issued.code() + "/print.pdf")))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        assertThat(PdfPicture.text(pdf))
                .contains("Quillmere Clay House", "50.00", "For Lene", "For the big pots.", issued.code());
        assertThat(seenByCamera(PdfPicture.drawn(pdf, 200))).isEqualTo(address("/codes/" + issued.code()));
    }

    private static String seenByCamera(BufferedImage picture) throws NotFoundException {
        int width = picture.getWidth();
        int[] pixels = picture.getRGB(0, 0, width, picture.getHeight(), null, 0, width);
        RGBLuminanceSource light = new RGBLuminanceSource(width, picture.getHeight(), pixels);
        return new MultiFormatReader()
                .decode(new BinaryBitmap(new HybridBinarizer(light)))
                .getText();
    }

    @Test
    void anAmountOutOfBoundsIsSaidAtItsField() {
        HttpResponse<String> page =
                post("/vouchers/voucher/keep", Map.of("amount", "free", "written", "3.00", "recipient", "Lene"));
        assertThat(page.body())
                .contains("from 10.00")
                .contains("id=\"amount-error\"")
                .contains("value=\"Lene\"");
        assertThat(post("/vouchers/clay-card/keep", Map.of("amount", "1")).statusCode())
                .isEqualTo(302);
        assertThat(post("/vouchers/voucher/keep", Map.of("amount", "1")).body()).contains("id=\"amount-error\"");
    }

    @Test
    void aVoucherPaysAllAndKeepsItsRest() {
        Prepaid voucher = voucher(9_000);
        String basket = basketWith(voucher, "private-lesson", "60", 1, 41);
        String page = get(basket).body();
        assertThat(page)
                .contains("Voucher " + voucher.masked())
                .doesNotContain(voucher.code())
                .containsPattern("To pay now</dt><dd[^>]*>0.00");
        Order order = ordered(basket);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).paid())
                .as("the deposit and the balance")
                .isEqualTo(line(order).total());
        assertThat(rest(voucher)).isEqualTo(9_000 - line(order).total().minor());
        assertThat(letters(order)).containsExactly("confirmation", "host");
        long total = line(order).total().minor();
        cancel(order, total);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(rest(voucher)).isEqualTo(9_000);
    }

    @Test
    void aVoucherPaysInPartAndARefundGoesToTheCardFirst() {
        Prepaid voucher = voucher(1_000);
        String basket = basketWith(voucher, "wheel-hire", "120", 1, 42);
        String to = order(basket, "Veit Harms", "veit@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(rest(voucher)).isZero();
        get(pay(to, "WORKS"));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        long total = line(order).total().minor();
        assertThat(now(order).paid().minor()).isEqualTo(total);
        long card = total - 1_000;
        assertThat(cardPayment(order)).isEqualTo(card + " 0");
        endings.refund(
                order,
                line(order).booking(),
                Money.ofMinor(card + 300),
                line(order).paid(),
                "",
                HOST);
        await().untilAsserted(() -> assertThat(cardPayment(order)).isEqualTo(card + " " + card));
        assertThat(rest(voucher)).isEqualTo(300);
    }

    private String cardPayment(Order order) {
        return jdbc.sql(
                        "SELECT captured || ' ' || refunded FROM payments WHERE order_id = ? AND gateway = 'practice-card'")
                .param(order.id())
                .query(String.class)
                .single();
    }

    @Test
    void anOrderThatLapsesGivesTheVoucherBackAndLateMoneyTooMuch() {
        Prepaid voucher = voucher(1_000);
        String to = order(basketWith(voucher, "wheel-hire", "60", 1, 34), "Veit Harms", "veit@post.example");
        Order order = orders.newest(1).get(0);
        assertThat(rest(voucher)).isZero();
        clock.moveAhead(Duration.ofMinutes(25));
        job.run();
        assertThat(now(order).status()).isEqualTo(OrderStatus.LAPSED);
        assertThat(rest(voucher)).isEqualTo(1_000);
        assertThat(now(order).paid()).isEqualTo(Money.ZERO);
        assertThat(to).startsWith(STANDINS.address());
    }

    @Test
    void aRequestPaidByAVoucherGoesBackOntoItWithANo() {
        Prepaid voucher = voucher(3_000);
        Order order = ordered(basketWith(voucher, "firing", "biscuit", 1, 35));
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        assertThat(rest(voucher)).isZero();
        endings.decline(order, line(order).booking(), "", HOST);
        assertThat(rest(voucher)).isEqualTo(3_000);
        Order again = ordered(basketWith(voucher, "firing", "biscuit", 1, 36));
        endings.accept(again, line(again).booking(), HOST);
        assertThat(line(again).paid()).isEqualTo(line(again).total());
        assertThat(rest(voucher)).isZero();
    }

    @Test
    void aPassPaysVisitsForEachPersonAndGetsThemBackInTime() {
        Prepaid pass = bought("clay-card", Map.of());
        assertThat(pass.rest()).isEqualTo(10);
        String basket = basketWith(pass, "clay-table", "120", 3, 26);
        assertThat(get(basket).body()).contains("paid by a pass").contains("3 used here");
        Order order = ordered(basket);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).total()).isEqualTo(Money.ZERO);
        assertThat(line(order).covered()).isEqualTo(Money.ofMinor(3 * 2600));
        assertThat(rest(pass)).isEqualTo(7);
        assertThat(get("/bookings/" + order.token() + "/lines/" + line(order).booking() + "/cancel")
                        .body())
                .contains("What your pass paid goes back to it.")
                .contains("Cancel booking: what the pass paid goes back to it");
        cancel(order, 0);
        assertThat(rest(pass)).isEqualTo(10);
    }

    @Test
    void lateAPassesVisitsAreUsedUpButNotWhenTheHostCancels() {
        Prepaid pass = bought("clay-card", Map.of());
        Order late = ordered(basketWith(pass, "clay-table", "120", 1, 27));
        Order host = ordered(basketWith(pass, "clay-table", "120", 2, 27));
        assertThat(rest(pass)).isEqualTo(7);
        clock.moveAhead(Duration.between(clock.instant(), line(late).time().startInstant())
                .minusHours(3));
        cancel(late, 0);
        assertThat(line(late).status()).isEqualTo(BookingStatus.CANCELLED);
        assertThat(rest(pass)).isEqualTo(7);
        endings.cancelByHost(host, line(host).booking(), Money.ZERO, "", false, HOST);
        assertThat(rest(pass)).isEqualTo(9);
    }

    @Test
    void aPassIsOfNoUseForOtherOffersAndAfterItsLastDay() {
        Prepaid pass = bought("clay-card", Map.of());
        assertThat(get(basketWith(pass, "wheel-hire", "60", 1, 30)).body())
                .contains("It is of no use for this basket.");
        clock.moveAhead(Duration.ofDays(366));
        assertThat(get("/codes/" + pass.code()).body()).contains("Its time is over.");
    }

    @Test
    void whatWasEnteredCanBeTakenAwayAgain() {
        Prepaid voucher = voucher(1_000);
        String basket = basketWith(voucher, "wheel-hire", "60", 1, 31);
        Matcher leave =
                Pattern.compile("/prepaid/[^/\"]+/leave").matcher(get(basket).body());
        assertThat(leave.find()).isTrue();
        post(basket + leave.group(), Map.of());
        assertThat(get(basket).body()).doesNotContain(voucher.masked());
    }

    @Test
    void aVoucherCannotBuyAVoucherAndTheHostTakesAnUnusedOneBack() {
        Prepaid voucher = voucher(5_000);
        String basket = put("voucher", Map.of("amount", "2500"));
        post(basket + "/code", Map.of("code", voucher.code()));
        assertThat(get(basket).body())
                .contains("It is of no use for this basket.")
                .containsPattern("To pay now</dt><dd[^>]*>25.00");
        get(pay(order(basket, "Rika Thorn", "rika@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        assertThat(endings.takeBack(order, goods(order).id(), HOST)).isEqualTo(Outcome.DONE);
        assertThat(endings.takeBack(order, goods(order).id(), HOST)).isEqualTo(Outcome.CHANGED);
        await().untilAsserted(() -> assertThat(payment(order)).isEqualTo("refunded 2500 0 2500"));
        assertThat(rest(prepaid.byId(goods(order).prepaid()))).isZero();
    }

    @Test
    void twoOrdersCannotUseTheSameMoney() {
        Prepaid voucher = voucher(2_000);
        String first = basketWith(voucher, "wheel-hire", "60", 1, 32);
        String second = basketWith(voucher, "wheel-hire", "60", 1, 33);
        Map<String, Object> late =
                CheckoutPage.filled(get(second + "/checkout").body(), "Veit Harms", "veit@post.example");
        Order one = ordered(first);
        assertThat(line(one).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(post(second + "/checkout", late).body())
                .as("it costs more now")
                .contains("What this costs has changed");
        String to = order(second, "Veit Harms", "veit@post.example");
        assertThat(to).as("what is left does not pay all of it").startsWith(STANDINS.address());
        assertThat(rest(voucher)).isEqualTo(0);
    }
}
