package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.documents.Document;
import gastfreund.app.documents.Documents;
import gastfreund.app.journal.Actor;
import gastfreund.app.moves.Moves;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import gastfreund.housefile.HouseFile;
import java.net.URI;
import java.net.http.HttpRequest;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Orders placed and paid over HTTP, and what our books and the gateway's say of them. */
public abstract class OrdersTest extends DemoHouseTest {

    protected static final Actor HOST = Actor.host("okka@quillmere.example");

    @Autowired
    protected Orders orders;

    @Autowired
    private Documents documents;

    @Autowired
    private Moves deskMoves;

    protected final Order paid(String offer, String length, int daysAhead, String card) {
        Answer.Entry entry = opening(offer, length, 1, daysAhead);
        String basket = keep(offer, length, 1, entry.time().start());
        String to = order(basket, "Wenke Farrow", "wenke@post.example");
        get(pay(to, card));
        return orders.newest(1).get(0);
    }

    /** The desk moves an order's only booking, at the price that it has there. */
    protected final void moveAtDesk(Order order, Answer.Entry to, boolean tell) {
        Money total = deskMoves
                .proposal(now(order), line(order), to.time().start(), Moves.Target.ANYONE, Audience.DESK)
                .orElseThrow()
                .total();
        deskMoves.move(
                order,
                line(order).booking(),
                new Moves.Wish(Audience.DESK, to.time().start(), Moves.Target.ANYONE, total, false, tell, false, HOST));
    }

    protected final Order now(Order order) {
        return orders.byToken(order.token()).orElseThrow();
    }

    protected final OrderLine line(Order order) {
        return now(order).lines().get(0);
    }

    protected final String payment(Order order) {
        return jdbc.sql(
                        "SELECT state || ' ' || captured || ' ' || released || ' ' || refunded FROM payments WHERE order_id = ?")
                .param(order.id())
                .query(String.class)
                .single();
    }

    protected final List<String> letters(Order order) {
        return jdbc.sql("SELECT kind FROM outbox WHERE order_id = ? ORDER BY rowid")
                .param(order.id())
                .query(String.class)
                .list();
    }

    protected final void ledgersAgree(Order order) {
        String reference = jdbc.sql("SELECT reference FROM payments WHERE order_id = ?")
                .param(order.id())
                .query(String.class)
                .single();
        JsonNode told = HouseFile.parse(
                send(HttpRequest.newBuilder(URI.create(STANDINS.address() + "/gateway/payments/" + reference))
                                .header("Authorization", "Bearer practice-key"))
                        .body());
        assertThat(told.get("captured") + " " + told.get("released") + " " + told.get("refunded"))
                .isEqualTo(payment(order).replaceAll("^[a-z ]+ ", ""));
        booksAgree(order);
    }

    /** After every test: of each line it is known which payments paid what the house has of it. */
    @AfterEach
    protected final void partsAddUp() {
        assertThat(jdbc.sql(
                                """
                        SELECT group_concat(l.booking || ' ' || l.paid) FROM order_lines l WHERE l.paid <>
                            (SELECT coalesce(sum(p.amount - p.refunded), 0) FROM payment_parts p WHERE p.subject = l.booking)
                        """)
                        .query(String.class)
                        .optional())
                .as("lines of which nobody knows who paid them")
                .isEmpty();
    }

    /** What receipts less credit notes say an order brings is what is asked for what stands, and kept of what does not. */
    protected final void booksAgree(Order order) {
        Money written = Money.sum(documents.ofOrder(order).stream()
                .map(d -> d.kind() == Document.Kind.RECEIPT ? d.total() : Money.ZERO.minus(d.total()))
                .toList());
        Money brings = Money.sum(now(order).lines().stream()
                .map(l -> l.stands() && l.status() != BookingStatus.NO_SHOW ? l.asked() : l.paid())
                .toList());
        assertThat(written).as("receipts less credit notes").isEqualTo(brings);
    }
}
