package gastfreund.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.openings.Answer;
import org.junit.jupiter.api.Test;

/** A letter names the house's zone where its guest may be in another. */
class WhenInLettersTest extends OrdersTest {

    private static final String ZONE = " (Europe/Berlin)";

    /** Of a free call, whose guest shows first that the address is theirs. */
    private Written ofCall() {
        Answer.Entry entry = opening("glaze-call", "25", 1, 7);
        order(keep("glaze-call", "25", 1, entry.time().start()), "Wenke Farrow", "wenke@post.example");
        Order order = orders.newest(1).get(0);
        confirm(order.id());
        return letters.one(order.id(), "request");
    }

    @Test
    void onlineItDoesInBothPartsOnTheSpotItDoesNot() {
        Written online = ofCall();
        assertThat(online.text()).contains(ZONE);
        assertThat(online.html()).contains(ZONE);
        Written there = letters.one(paid("wheel-hire", "60", 7, "WORKS").id(), "confirmation");
        assertThat(there.text() + there.html() + there.subject()).doesNotContain(ZONE);
    }
}
