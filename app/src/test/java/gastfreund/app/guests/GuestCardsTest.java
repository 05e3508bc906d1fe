package gastfreund.app.guests;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Guests are who books under an address, and whoever was made one with them. */
class GuestCardsTest extends OrdersTest {

    @Autowired
    private GuestCards cards;

    @Autowired
    private TransactionTemplate transaction;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private Order ordered(String name, String email, int day) {
        Order order = paid("wheel-hire", "60", day, "WORKS");
        transaction.executeWithoutResult(t -> jdbc.sql("UPDATE orders SET name = ?, email = ?, phone = '' WHERE id = ?")
                .params(name, email, order.id())
                .update());
        return now(order);
    }

    private String page(Order order) {
        return host.get("/desk/guests/" + order.number()).body();
    }

    @Test
    void oneAddressIsOneGuestAndTwoAreMadeOneAndPartedAgain() {
        Order first = ordered("Ines Varro", "ines@post.example", 21);
        Order second = ordered("Ines Varro", "INES@post.example", 22);
        Order other = ordered("Ines Varro", "varro@office.example", 23);
        Order caller = ordered("Ines Varro", "", 24);
        assertThat(cards.ordersOf(cards.of(first))).containsExactly(first.id(), second.id());
        assertThat(cards.doubles(first, cards.of(first)))
                .extracting(Order::number)
                .containsExactlyInAnyOrder(other.number(), caller.number());
        cards.keep(other, "likes the window", "regular, Left-handed,, regular");
        host.post("/desk/guests/" + first.number() + "/merge", Map.of("other", other.number()));
        host.post("/desk/guests/" + first.number() + "/merge", Map.of("other", caller.number()));
        GuestCard card = cards.of(second);
        assertThat(cards.ordersOf(card)).containsExactly(first.id(), second.id(), other.id(), caller.id());
        assertThat(card.tags()).containsExactly("Left-handed", "regular");
        assertThat(card.note()).isEqualTo("likes the window");
        assertThat(cards.doubles(first, card)).isEmpty();
        assertThat(page(first)).contains(">Paid</h2>");
        assertThat(page(caller)).contains("likes the window", "4 bookings", "varro@office.example");
        host.post("/desk/guests/" + first.number() + "/split", Map.of("other", caller.number()));
        assertThat(cards.ordersOf(cards.of(caller))).containsExactly(caller.id());
        assertThat(cards.ordersOf(cards.of(first))).hasSize(3);
    }

    @Test
    void theListFindsByBeginningsAndByTagEachOnce() {
        Order order = ordered("Quirin Zabel", "quirin@post.example", 25);
        ordered("Quirin Zabel", "quirin@post.example", 26);
        cards.keep(order, "", "kiln club");
        String found = host.get("/desk/guests?q=quir+zab").body();
        assertThat(found.split("Quirin Zabel</a>", -1)).hasSize(2);
        assertThat(found).contains("<td class=\"num\">2</td>", "kiln club");
        assertThat(host.get("/desk/guests?tag=kiln+club").body())
                .contains("Quirin Zabel")
                .doesNotContain("Wenke Farrow");
        assertThat(host.get("/desk/guests?tag=KILN+CLUB").body())
                .contains("Quirin Zabel", "<option value=\"kiln club\" selected")
                .doesNotContain("Wenke Farrow");
        assertThat(host.get("/desk/guests?q=quir+zab&tag=none+such").body())
                .as("a tag that there is not does not matter")
                .contains("Quirin Zabel");
        assertThat(host.get("/desk/guests?q=nobody+of+that+name").body()).contains("Nobody is found");
    }

    @Test
    void whatGoesIsShownAndThenGoes() {
        Order order = ordered("Tilda Moor", "tilda@post.example", 27);
        cards.keep(order, "owes a bowl", "friend");
        assertThat(page(order))
                .contains("of one order go")
                .contains("stays for 10 years")
                .contains("Something is still to come");
        HttpResponse<String> tooEarly = host.post("/desk/guests/" + order.number() + "/forget", Map.of());
        assertThat(tooEarly.body()).contains("can be forgotten once it is over");
        transaction.executeWithoutResult(t -> {
            jdbc.sql("UPDATE bookings SET status = 'completed' WHERE order_id = ?")
                    .param(order.id())
                    .update();
            jdbc.sql("UPDATE outbox SET sent_at = created_at WHERE order_id = ?")
                    .param(order.id())
                    .update();
        });
        assertThat(host.post("/desk/guests/" + order.number() + "/file", Map.of())
                        .body())
                .contains("owes a bowl", "friend", "Tilda Moor");
        assertThat(path(host.post("/desk/guests/" + order.number() + "/forget", Map.of())))
                .isEqualTo("/desk/guests?said=forgotten");
        assertThat(now(order.id())).isEqualTo("\u2013");
        assertThat(jdbc.sql("SELECT count(*) FROM guest_members WHERE value = 'tilda@post.example'")
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(List.of(host.get("/desk/guests?q=tilda").body())).noneMatch(p -> p.contains("Tilda Moor"));
    }

    private String now(long order) {
        return jdbc.sql("SELECT name FROM orders WHERE id = ?")
                .param(order)
                .query(String.class)
                .single();
    }
}
