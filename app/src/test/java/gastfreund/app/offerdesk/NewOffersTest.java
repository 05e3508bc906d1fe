package gastfreund.app.offerdesk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever happens in a new offer: from its title to a guest's paid booking. */
class NewOffersTest extends OrdersTest {

    @ParameterizedTest
    @CsvSource({"time, A quiet hour", "things, A kiln of your own", "shared, Wheels for all", "dates, Monday clay"})
    void fromNothingToAPaidBooking(String happens, String title) {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get("/desk/offers");
        String editor = path(host.post("/desk/offers", Map.of("title", title, "happens", happens)));
        String id = editor.substring(editor.lastIndexOf('/') + 1);
        assertThat(host.get(editor).body()).contains(title);
        host.post(editor, Map.of("tab", "sold", "lengths/length-1/price", "34", "lengths/length-1/minutes", "1:30"));
        assertThat(path(host.post(editor + "/keep", Map.of("tab", "money", "taxPercent", "19"))))
                .endsWith("said=kept");
        assertThat(get("/").body()).contains(title);
        Answer.Entry entry = opening(id, "length-1", 1, 9);
        String basket = keep(id, "length-1", 1, entry.time().start());
        get(pay(order(basket, "Tilde Rehn", "tilde." + happens + "@post.example"), "WORKS"));
        Order order = orders.newest(1).get(0);
        await().untilAsserted(() -> assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED));
        assertThat(line(order).sold().title()).isEqualTo(title);
        assertThat(line(order).paid()).isEqualTo(Money.ofMinor(3400));
        ledgersAgree(order);
    }
}
