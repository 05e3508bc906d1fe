package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.CheckoutPage;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** A house that wants a single booking to go straight to checkout, and an address there. */
class StraightHouseTest extends DemoHouseTest {

    @Autowired
    private CatalogueEdits edits;

    @BeforeEach
    void straight() {
        edits.change("house", "1", house -> ((ObjectNode) house.at("/extra/checkout"))
                .put("address", "required")
                .put("straight", true));
    }

    @Test
    void aSingleBookingGoesStraightToCheckoutWhereTheAddressIsRequired() {
        String checkout = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 6).time().start());
        assertThat(checkout).endsWith("/checkout");
        Map<String, Object> form = CheckoutPage.filled(get(checkout).body(), "Lene Dorsch", "lene@post.example");
        assertThat(post(checkout, form).body()).contains("address for the receipt");
        form.put("address", "Mill Lane 3\n12345 Quillmere");
        assertThat(post(checkout, form).headers().firstValue("Location").orElseThrow())
                .startsWith(STANDINS.address());
    }

    @Test
    void aSecondBookingShowsTheBasket() {
        String checkout = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 7).time().start());
        String basket = checkout.replaceAll("/basket/([^/]+)/checkout", "$1");
        String page = path(post(
                "/offers/wheel-hire/keep?party=1&length=60&basket=" + basket,
                Map.of("start", opening("wheel-hire", "60", 1, 8).time().start())));
        assertThat(page).isEqualTo("/basket/" + basket);
    }
}
