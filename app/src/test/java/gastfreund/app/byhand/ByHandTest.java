package gastfreund.app.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.paying.Balances;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Bookings that hosts make. */
class ByHandTest extends OrdersTest {

    private static final Pattern HELD = Pattern.compile("name=\"held\" value=\"([\\w-]{22})\"");

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private Balances balances;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private Map<String, Object> form(Answer.Entry entry, String name) {
        Map<String, Object> form = new HashMap<>();
        form.put("offer", "private-lesson");
        form.put("length", "60");
        form.put("party", 1);
        form.put("day", LocalDate.ofInstant(entry.time().startInstant(), ZoneId.of("Europe/Berlin")));
        form.put("start", entry.time().start());
        form.put("name", name);
        form.put("source", "telephone");
        form.put("way", "later");
        form.put("held", held(host.get("/desk/book")));
        return form;
    }

    private Order booked(Map<String, Object> form) {
        HttpResponse<String> answer = host.post("/desk/book/place", form);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).contains("&booked");
        return orders.newest(1).get(0);
    }

    private String refused(Map<String, Object> form) {
        HttpResponse<String> answer = host.post("/desk/book/place", form);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    private static String held(HttpResponse<String> page) {
        Matcher matcher = HELD.matcher(page.body());
        return matcher.find() ? matcher.group(1) : "";
    }

    @Test
    void itStandsAtOnceAndIsPaidWhenTheyCome() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 40);
        Order order = booked(form(entry, "Anka Rehm"));
        assertThat(order.contact().name()).isEqualTo("Anka Rehm");
        assertThat(order.source()).isEqualTo("telephone");
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).time()).isEqualTo(entry.time());
        assertThat(line(order).paid()).isEqualTo(Money.ZERO);
        assertThat(line(order).unpaid()).isEqualTo(line(order).total());
        assertThat(letters(order)).isEmpty();
        assertThat(orders.journal(order)).extracting(JournalEntry::who).contains(HOST);
        booksAgree(order);
    }

    @Test
    void whatIsPaidOnTheSpotIsNotedAndAConfirmationGoesWhereItIsWanted() {
        Map<String, Object> form = form(opening("private-lesson", "60", 1, 41), "Bo Tarn");
        form.put("way", "cash");
        form.put("email", "bo.tarn@post.example");
        form.put("tell", "true");
        Order order = booked(form);
        assertThat(line(order).unpaid()).isEqualTo(Money.ZERO);
        assertThat(letters(order)).contains("confirmation");
        booksAgree(order);
    }

    @Test
    void theSameTimeAgainIsOneOrderOfEveryDateThatIsFree() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 48);
        Map<String, Object> form = form(entry, "Elin Storm");
        form.put("times", "4");
        form.put("every", "1");
        HttpResponse<String> seen = host.post("/desk/book", form);
        assertThat(seen.body()).contains("dates are free");
        form.put("held", held(seen));
        form.put("way", "cash");
        Order order = booked(form);
        assertThat(order.lines()).hasSizeBetween(2, 4);
        assertThat(order.lines()).allMatch(l -> l.status() == BookingStatus.CONFIRMED);
        assertThat(order.lines()).allMatch(l -> l.paid().equals(l.total()));
        assertThat(order.total())
                .isEqualTo(
                        Money.sum(order.lines().stream().map(OrderLine::total).toList()));
        ZoneId berlin = ZoneId.of("Europe/Berlin");
        assertThat(order.lines())
                .extracting(l -> l.time().startInstant().atZone(berlin).toLocalTime())
                .containsOnly(entry.time().startInstant().atZone(berlin).toLocalTime());
        booksAgree(order);
    }

    @Test
    void aSeriesHasAPriceOfItsOwnAndIsPaidByOneLink() {
        Map<String, Object> form = form(opening("private-lesson", "60", 1, 16), "Finn Dorn");
        form.put("times", "3");
        form.put("price", "20");
        form.put("why", "a class of three");
        form.put("way", "link");
        form.put("email", "finn@post.example");
        form.put("held", held(host.post("/desk/book", form)));
        Order order = booked(form);
        assertThat(order.lines()).hasSizeBetween(2, 3);
        assertThat(order.lines()).allMatch(l -> l.total().equals(Money.ofMinor(2000)));
        assertThat(letters(order)).containsExactly("unpaid");
        String whole = Integer.toString(20 * order.lines().size());
        assertThat(letters.one(order.id(), "unpaid").text()).contains(whole + ".00");
        balances.askNow(line(order).booking());
        assertThat(letters(order)).as("one reminder for all of them").containsExactly("unpaid", "unpaid-again");
        String gateway = post("/bookings/" + order.token() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(gateway, "WORKS"));
        assertThat(now(order).lines()).allMatch(l -> l.paid().equals(l.total()));
        booksAgree(order);
    }

    @Test
    void whereADateOfASeriesIsTakenAnotherTimeIsPickedByAClick() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 18);
        Map<String, Object> taken = form(entry, "Gesa Klint");
        taken.put("staff", entry.open().get(0).staff().get(0).value());
        long next = entry.time().start() + 7 * 24 * 60;
        Map<String, Object> blocker = new HashMap<>(taken);
        for (Answer.Judged option : entry.open()) {
            blocker.put("day", LocalDate.ofInstant(Instant.ofEpochSecond(next * 60), ZoneId.of("Europe/Berlin")));
            blocker.put("start", next);
            blocker.put("staff", option.staff().get(0).value());
            host.post("/desk/book/place", blocker);
        }
        taken.remove("staff");
        taken.put("times", "2");
        HttpResponse<String> seen = host.post("/desk/book", taken);
        String page = seen.body();
        Matcher instead = Pattern.compile("name=\"instead\" value=\"(\\d+)\"").matcher(page);
        assertThat(instead.find()).as(page).isTrue();
        taken.put("instead", instead.group(1));
        taken.put("held", held(seen));
        Order order = booked(taken);
        assertThat(order.lines())
                .extracting(l -> l.time().start())
                .containsExactly(entry.time().start(), Long.parseLong(instead.group(1)));
    }

    @Test
    void aPayLinkGoesByMailAtOnceAndOnce() {
        Map<String, Object> form = form(opening("private-lesson", "60", 1, 42), "Cleo Wend");
        form.put("way", "link");
        assertThat(refused(form)).contains("The link goes by mail: please write an address.");
        form.put("email", "cleo.wend@post.example");
        Order order = booked(form);
        assertThat(letters(order)).containsExactly("unpaid");
        assertThat(line(order).open()).isEqualTo(line(order).total());
        assertThat(get("/bookings/" + order.token()).body()).contains("/pay");
    }

    @Test
    void anotherPriceNeedsAReasonAndALowerOneARight() {
        Map<String, Object> form = form(opening("private-lesson", "60", 1, 43), "Doro Falk");
        form.put("price", "20");
        assertThat(refused(form)).contains("Please say why it is another price.", "Doro Falk");
        form.put("why", "our neighbour");
        Order order = booked(form);
        assertThat(line(order).total()).isEqualTo(Money.ofMinor(2000));
        assertThat(line(order).discount().isPositive()).isTrue();
        assertThat(orders.journal(order)).extracting(JournalEntry::why).contains("by-hand: our neighbour");
        booksAgree(order);
        form = form(opening("private-lesson", "60", 1, 44), "Doro Falk");
        form.put("price", "500");
        form.put("why", "with supper");
        Order dear = booked(form);
        assertThat(line(dear).total()).isEqualTo(Money.ofMinor(50000));
        assertThat(line(dear).covered()).isEqualTo(Money.ZERO);
        booksAgree(dear);
        form.put("price", "a lot");
        assertThat(refused(form)).contains("Please write an amount");
        form.remove("name");
        assertThat(refused(form)).contains("Please write for whom it is.");
    }

    @Test
    void thePlaceIsHeldWhileItIsWrittenAndGivenBackWhenItIsLeft() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 45);
        Map<String, Object> form = withSomebody(entry, "Edda Wirth");
        assertThat(jdbc.sql("SELECT count(*) FROM baskets WHERE token = ?")
                        .param(form.get("held"))
                        .query(Integer.class)
                        .single())
                .as("whoever only looks keeps nothing")
                .isZero();
        assertThat(holds(entry)).isZero();
        HttpResponse<String> page = host.post("/desk/book", form);
        String basket = held(page);
        assertThat(basket).isEqualTo(form.get("held"));
        assertThat(page.body()).contains("while you write");
        assertThat(holds(entry)).isEqualTo(1);
        assertThat(held(host.post("/desk/book", form))).isEqualTo(basket);
        assertThat(holds(entry)).as("the same place is not held twice").isEqualTo(1);
        host.post("/desk/book/leave", Map.of("held", basket));
        assertThat(holds(entry)).isZero();
    }

    /** With who serves, for otherwise somebody else may be free. */
    private Map<String, Object> withSomebody(Answer.Entry entry, String name) {
        Map<String, Object> form = form(entry, name);
        form.put("staff", entry.open().get(0).staff().get(0).value());
        return form;
    }

    /** Whoever presses before the answer has come that holds the place has not read its basket. */
    @Test
    void whatIsBookedBeforeTheAnswerThatHoldsItIsReadIsBooked() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 46);
        Map<String, Object> form = withSomebody(entry, "Ilja Rask");
        host.post("/desk/book", form);
        assertThat(holds(entry)).isEqualTo(1);
        Order order = booked(form);
        assertThat(order.contact().name()).isEqualTo("Ilja Rask");
        assertThat(line(order).time()).isEqualTo(entry.time());
        assertThat(holds(entry)).isZero();
        booksAgree(order);
    }

    @Test
    void theSameFormAgainIsTheSameBookingAndHoldsNothingMore() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 47);
        Map<String, Object> form = withSomebody(entry, "Mattis Oehm");
        Order order = booked(form);
        int held = allHolds();
        host.post("/desk/book", form);
        assertThat(allHolds()).isEqualTo(held);
        assertThat(booked(form).number()).isEqualTo(order.number());
        assertThat(allHolds()).isEqualTo(held);
        form.put("price", "500");
        form.put("why", "with supper");
        assertThat(refused(form)).contains("That time is gone. Please choose again.");
        form.remove("price");
        form.put("name", "Selma Oehm");
        assertThat(refused(form)).contains("That time is gone. Please choose again.");
        form.put("start", opening("private-lesson", "60", 1, 49).time().start());
        form.put("day", today().plusDays(49));
        form.remove("staff");
        Order other = booked(form);
        assertThat(other.number()).isNotEqualTo(order.number());
        assertThat(other.contact().name()).isEqualTo("Selma Oehm");
        booksAgree(other);
    }

    @Test
    void noOtherTimeIsBookedThanWasChosen() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 50);
        Map<String, Object> form = withSomebody(entry, "Runa Beck");
        Order first = booked(withSomebody(entry, "Ole Beck"));
        assertThat(refused(form)).contains("That time is gone. Please choose again.");
        assertThat(orders.newest(1).get(0).number()).isEqualTo(first.number());
    }

    private int allHolds() {
        return jdbc.sql("SELECT count(*) FROM bookings WHERE status = 'held'")
                .query(Integer.class)
                .single();
    }

    private int holds(Answer.Entry entry) {
        return jdbc.sql(
                        "SELECT count(*) FROM bookings WHERE status = 'held' AND start_at = ? AND visitor LIKE 'desk-%'")
                .param(entry.time().start() * 60)
                .query(Integer.class)
                .single();
    }

    @Test
    void theHouseBooksInSpiteOfAReasonAndSeesTheClash() {
        Answer.Entry entry = opening("private-lesson", "60", 1, 46);
        Map<String, Object> form = form(entry, "Finn Auer");
        long night = LocalDate.parse(form.get("day").toString())
                        .atTime(7, 0)
                        .atZone(ZoneId.of("Europe/Berlin"))
                        .toEpochSecond()
                / 60;
        form.put("start", night);
        form.put("spite", "true");
        assertThat(host.post("/desk/book", form).body()).contains("This lies outside.");
        Order order = booked(form);
        assertThat(line(order).time().start()).isEqualTo(night);
        assertThat(host.get("/desk?day=" + form.get("day")).body()).contains("no longer fit");
    }

    @Test
    void guestsAreFoundByTheBeginningsOfWordsUntilTheyAreForgotten() {
        Map<String, Object> form = form(opening("private-lesson", "60", 1, 47), "Gerlinde Österholt");
        form.put("email", "gerlinde@post.example");
        form.put("phone", "+49 40 7788 123");
        Order order = booked(form);
        for (String typed : new String[] {"öster", "oster ger", "gerlinde@post", "7788"}) {
            assertThat(host.get("/desk/book/guests?q="
                                    + typed.replace("ö", "%C3%B6").replace(" ", "+"))
                            .body())
                    .as(typed)
                    .contains("gerlinde@post.example");
        }
        assertThat(host.get("/desk/book/guests?q=nobody").body()).isEqualTo("[]");
        assertThat(host.get("/desk/book/guests?q=%22%20OR%20*").body()).isEqualTo("[]");
        transaction.executeWithoutResult(
                t -> jdbc.sql("UPDATE orders SET name = '–', email = '', phone = '' WHERE id = ?")
                        .param(order.id())
                        .update());
        assertThat(host.get("/desk/book/guests?q=gerlinde").body()).isEqualTo("[]");
    }
}
