package gastfreund.app.visits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.endings.Endings;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A booking at its guest's address: asked for, measured, priced, and decided by hand where nobody can measure it. */
class VisitsTest extends OrdersTest {

    private static final int PRICE = 19_000;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Endings endings;

    private String basket() {
        return keep(
                "clay-visit",
                "120",
                4,
                opening("clay-visit", "120", 4, 5).time().start());
    }

    private HttpResponse<String> come(String basket, String address) {
        return post(basket + "/where", Map.of("address", address));
    }

    private Order placed(String basket) {
        String to = order(basket, "Wenke Farrow", "wenke@post.example");
        get(pay(to, "WORKS"));
        return orders.newest(1).get(0);
    }

    @Test
    void theCheckoutAsksForTheAddressFirst() {
        String basket = basket();
        assertThat(path(get(basket + "/checkout"))).isEqualTo(basket + "/where");
        assertThat(get(basket + "/where").body())
                .contains(
                        "as far as 25 km from Mill Yard",
                        "The first 5 km cost nothing, each one after them 1.20\u00a0€.",
                        "autocomplete=\"street-address\"");
        assertThat(get("/offers/clay-visit").body()).contains("as far as 25 km from Mill Yard");
        assertThat(come(basket, " ").body()).contains("Please tell us where we shall come.");
        assertThat(come(basket, "x".repeat(401)).body()).contains("x".repeat(401));
        assertThat(post(basket + "/checkout", Map.of("name", "W", "email", "w@post.example", "phone", "030 5550 100"))
                        .headers()
                        .firstValue("Location"))
                .hasValueSatisfying(l -> assertThat(l).endsWith("/where"));
    }

    @Test
    void nearbyCostsNothingAndFurtherAwayEachKilometreThatIsBegun() {
        String near = basket();
        assertThat(path(come(near, "Tide Lane 3\nQuillmere"))).isEqualTo(near + "/checkout");
        String page = get(near + "/checkout").body();
        assertThat(page).contains("Tide Lane 3\nQuillmere", "2.2 km from Mill Yard", "190.00\u00a0€");
        assertThat(path(come(near, "Saltmarsh Road 10, Ebbing"))).isEqualTo(near + "/checkout");
        // 9.2 km: ten are begun, five cost.
        assertThat(get(near + "/checkout").body())
                .contains("9.2 km from Mill Yard", "The way costs 6.00\u00a0€.", "196.00\u00a0€");
        Order order = placed(near);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(line(order).total()).isEqualTo(Money.ofMinor(PRICE + 600));
        assertThat(line(order).sold().addOns())
                .extracting(a -> a.title() + " " + a.price().minor())
                .containsExactly("At your place, 10 km 600");
        assertThat(get("/bookings/" + order.token()).body()).contains("Saltmarsh Road 10, Ebbing", "9.2 km from Mill");
        assertThat(letters.ofOrder(order.id()).stream().map(Written::text))
                .anySatisfy(t -> assertThat(t).contains("Saltmarsh Road 10, Ebbing"));
        ledgersAgree(order);
        assertThat(get("/bookings/" + order.token() + "/lines/" + line(order).booking() + "/move")
                        .body())
                .contains("196");
    }

    @Test
    void tooFarAwayIsToldAtTheFieldAndWhatWasTypedStays() {
        String basket = basket();
        assertThat(come(basket, "Ridge Road 7, Overhill").body())
                .contains(
                        "km away. For “Clay comes to you” we come as far as 25 km.",
                        "Ridge Road 7, Overhill</textarea>");
        assertThat(path(get(basket + "/checkout"))).isEqualTo(basket + "/where");
    }

    @Test
    void whoeverLivesInOneOfTwoStreetsOfANameSaysInWhich() {
        String basket = basket();
        String page = come(basket, "Church Lane 2").body();
        assertThat(page).contains("Church Lane 2, Ebbing", "Church Lane 2, Farrowby");
        HttpResponse<String> chosen =
                post(basket + "/where", Map.of("address", "Church Lane 2", "meant", "Church Lane 2, Farrowby"));
        assertThat(path(chosen)).isEqualTo(basket + "/checkout");
        assertThat(get(basket + "/checkout").body()).contains("Church Lane 2", "6.4 km from Mill Yard");
        assertThat(post(basket + "/where", Map.of("address", "Church Lane 2", "meant", "Elsewhere 1"))
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void anAddressThatNobodyKnowsIsLookedAtByTheHouseIfItsGuestSaysThatItIsRight() {
        String basket = basket();
        assertThat(come(basket, "New Field 1, Quillmere").body()).contains("We cannot find this address.", "byHand");
        assertThat(path(post(basket + "/where", Map.of("address", "New Field 1, Quillmere", "byHand", "true"))))
                .isEqualTo(basket + "/checkout");
        decidedByHand(basket, "New Field 1, Quillmere");
    }

    @Test
    void whenTheGeocoderDoesNotAnswerTheHouseDecidesByHand() {
        String basket = basket();
        assertThat(path(come(basket, "Fogbank Road 5"))).isEqualTo(basket + "/checkout");
        decidedByHand(basket, "Fogbank Road 5");
    }

    private void decidedByHand(String basket, String address) {
        assertThat(get(basket + "/checkout").body()).contains("The way to you could not be measured.", address);
        Order order = placed(basket);
        assertThat(line(order).status()).isEqualTo(BookingStatus.REQUESTED);
        assertThat(line(order).total()).isEqualTo(Money.ofMinor(PRICE));
        assertThat(get("/bookings/" + order.token()).body()).contains(address, "The way to it was not measured.");
        endings.accept(order, line(order).booking(), HOST);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
    }

    @Test
    void aHouseThatGoesAnywhereForNothingAsksForTheAddressAlone() {
        AtomicReference<JsonNode> extra = new AtomicReference<>();
        edits.change("places", "at-yours", place -> {
            extra.set(place.remove("extra"));
            // It was on site once.
            place.putObject("extra").put("address", "Old Street 1");
        });
        String basket = basket();
        assertThat(path(come(basket, "Anywhere 1"))).isEqualTo(basket + "/checkout");
        Order order = placed(basket);
        assertThat(line(order).status()).isEqualTo(BookingStatus.CONFIRMED);
        assertThat(get("/bookings/" + order.token()).body())
                .contains("Anywhere 1")
                .doesNotContain("km from", "Old Street 1");
        edits.change("places", "at-yours", place -> place.set("extra", extra.get()));
    }

    @Test
    void distancesAreThoseOfASphere() {
        Found pole = new Found("", 90, 0);
        Found equator = new Found("", 0, 77);
        double quarter = 6_371_008.8 * Math.PI / 2;
        assertThat((double) pole.metresTo(equator)).isCloseTo(quarter, within(1.0));
        assertThat(equator.metresTo(pole)).isEqualTo(pole.metresTo(equator));
        assertThat(equator.metresTo(new Found("", 0, -103))).isCloseTo((int) (2 * quarter), within(2));
        assertThat(pole.metresTo(pole)).isZero();
    }
}
