package gastfreund.app.endings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.awaitility.Awaitility.await;

import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.extras.Extras;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** A price by agreement: the guest asks, the host names it with the yes, the guest pays, and the place is kept meanwhile. */
class AgreementTest extends OrdersTest {

    private static final String OFFER = "glaze-call";

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private HouseDocuments documents;

    @BeforeEach
    void agreed() {
        edits.change("offers", OFFER, offer -> offer.withObject("/extra").put("agreement", true));
    }

    @AfterEach
    void free() {
        edits.change("offers", OFFER, offer -> offer.withObject("/extra").remove("agreement"));
    }

    private Order asked(int daysAhead) {
        Answer.Entry entry = opening(OFFER, "25", 1, daysAhead);
        assertThat(get("/offers/" + OFFER + "?day=" + today().plusDays(daysAhead))
                        .body())
                .contains("by agreement")
                .doesNotContain(">free<");
        String basket = keep(OFFER, "25", 1, entry.time().start());
        assertThat(get(basket).body()).contains("by agreement");
        order(basket, "Wenke Farrow", "wenke.agreed@post.example");
        Order order = orders.newest(1).get(0);
        if (line(order).status() == BookingStatus.HELD) {
            confirm(order.id());
        }
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        return order;
    }

    @Test
    void theHostNamesThePriceWithTheYesAndTheGuestPaysIt() {
        Order order = asked(20);
        assertThat(get("/bookings/" + order.token()).body()).contains("by agreement");
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String at = "/desk/orders/" + order.number();
        assertThat(host.get(at).body()).contains("Yes, and name the price");
        String booking = at + "/bookings/" + line(order).booking();
        assertThat(path(host.post(booking + "/accept-for", Map.of("amount", "a lot"))))
                .endsWith("/" + order.number());
        assertThat(line(order).status()).as("it cannot be read").isEqualTo(BookingStatus.REQUESTED);
        host.post(booking + "/accept-for", Map.of("amount", "45.00"));
        assertThat(line(order).status()).as("the place is kept").isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).unpaid()).isEqualTo(Money.ofMinor(4500));
        assertThat(letters(order)).contains("confirmation", "balance");
        host.post(booking + "/accept-for", Map.of("amount", "10.00"));
        assertThat(line(order).total()).as("named once").isEqualTo(Money.ofMinor(4500));
        String gateway = post(
                        "/bookings/" + order.token() + "/lines/" + line(order).booking() + "/pay", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        get(pay(gateway, "WORKS"));
        await().untilAsserted(() -> assertThat(line(order).paid()).isEqualTo(Money.ofMinor(4500)));
        booksAgree(order);
    }

    @Test
    void aPlainYesToWhatIsAgreedIsFreeOfCharge() {
        Order order = asked(27);
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get("/desk/orders/" + order.number());
        host.post(
                "/desk/orders/" + order.number() + "/bookings/" + line(order).booking() + "/accept-for",
                Map.of("amount", "0.00"));
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(letters(order)).doesNotContain("balance");
    }

    @Test
    void itGoesWithAskingAndWithNoOtherPrice() {
        ObjectNode file = HouseDocuments.file(documents.all());
        for (var offer : file.get("offers")) {
            if (offer.get("id").stringValue().equals("wheel-hire")) {
                ((ObjectNode) offer).withObject("/extra").put("agreement", true);
            }
        }
        BadFileException told = catchThrowableOfType(BadFileException.class, () -> HouseFile.read(file, Extras::of));
        assertThat(told.problems())
                .extracting(p -> p.message())
                .contains("goes with confirm byHand only", "goes with lengths of price 0 only");
    }
}
