package gastfreund.app.bookingpage;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Those who come along get the calendar file, as it changes too, and no rights; the host sees who comes. */
class InviteTest extends OrdersTest {

    private Order booked(int daysAhead) {
        String basket = keep(
                "private-lesson",
                "60",
                2,
                opening("private-lesson", "60", 2, daysAhead).time().start());
        get(pay(order(basket, "Tilde Rehn", "tilde@post.example"), "WORKS"));
        return orders.newest(1).get(0);
    }

    private static String along(Order order) {
        return "/bookings/" + order.token() + "/lines/" + order.lines().get(0).booking() + "/along";
    }

    private Document page(Order order) {
        return Jsoup.parse(get("/bookings/" + order.token()).body());
    }

    @Test
    void whoIsInvitedGetsTheCalendarFileAndNoLinkToTheOrder() {
        Order order = booked(11);
        assertThat(path(post(along(order), Map.of("name", "Bram Oss", "email", "Bram@post.example"))))
                .contains("?invited");
        Written letter = letters.one(order.id(), "companion-invited");
        assertThat(letter.calendar()).contains("BEGIN:VEVENT", "A private lesson");
        assertThat(letter.text()).contains("Tilde Rehn", "Bram Oss");
        for (String part : List.of(letter.text(), letter.html(), letter.calendar())) {
            assertThat(part).doesNotContain(order.token(), "€", "tilde@post.example");
        }
        assertThat(page(order).text()).contains("Bram Oss").doesNotContain("Invite those who come along Name");
        assertThat(page(order).select("form[action$=/along]"))
                .as("one of two comes along already")
                .isEmpty();

        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String day = dateOf(order).toString();
        assertThat(host.get("/desk?day=" + day + "&booking="
                                + order.lines().get(0).booking())
                        .body())
                .contains("Comes along", "Bram Oss");

        String remove = page(order).selectFirst("form[action$=/remove]").attr("action");
        post(remove, Map.of());
        assertThat(page(order).text()).doesNotContain("Bram Oss");
        assertThat(letters.one(order.id(), "companion-cancelled").calendar()).contains("STATUS:CANCELLED");
    }

    private LocalDate dateOf(Order order) {
        return Instant.ofEpochSecond(order.lines().get(0).time().start() * 60)
                .atZone(ZoneId.of("Europe/Berlin"))
                .toLocalDate();
    }

    @Test
    void whatIsWrongIsSaidAndNothingTypedIsLost() {
        Order order = booked(13);
        Document wrong = Jsoup.parse(post(along(order), Map.of("name", "Bram Oss", "email", "nobody"))
                .body());
        assertThat(wrong.text()).contains("name@example.org");
        assertThat(wrong.select("input[name=name]").val()).isEqualTo("Bram Oss");
        assertThat(post(along(order), Map.of("name", "", "email", "bram@post.example"))
                        .body())
                .contains("Please tell us a name");
        post(along(order), Map.of("name", "Bram", "email", "bram@post.example"));
        assertThat(post(along(order), Map.of("name", "Ilva", "email", "ilva@post.example"))
                        .body())
                .contains("nobody more can come along");
    }

    @Test
    void whoComesAlongIsToldThatItIsCancelled() {
        Order order = booked(16);
        post(along(order), Map.of("name", "Bram", "email", "bram@post.example"));
        String cancel =
                "/bookings/" + order.token() + "/lines/" + order.lines().get(0).booking() + "/cancel";
        Document asked = Jsoup.parse(get(cancel).body());
        Map<String, Object> form = new HashMap<>();
        asked.select("main form input").forEach(i -> form.put(i.attr("name"), i.val()));
        post(asked.selectFirst("main form").attr("action"), form);
        assertThat(letters.one(order.id(), "companion-cancelled").calendar()).contains("STATUS:CANCELLED");
    }

    @Test
    void theSameCanBeBookedAgain() {
        Order order = booked(18);
        String again = page(order).selectFirst("a[href$=/again]").attr("href");
        assertThat(get(path(get(again))).body()).contains("2 people");
    }
}
