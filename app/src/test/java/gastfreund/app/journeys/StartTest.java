package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.app.OwnHouse;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.FirstWords;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ContextConfiguration;

/** From an empty folder to the first booking: typed as a person types, and no longer than it takes to do so. */
@ContextConfiguration(initializers = StartTest.Empty.class)
@Import(FirstWords.class)
class StartTest extends Journey {

    /** How long a person takes for a letter, in milliseconds. */
    private static final int LETTER = 60;

    static class Empty extends OwnHouse {
        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.demo", "");
        }
    }

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private FirstWords words;

    private void type(String name, String text) {
        Locator field = page.locator("[name='" + name + "']");
        field.fill("");
        field.pressSequentially(text, new Locator.PressSequentiallyOptions().setDelay(LETTER));
    }

    @Test
    void fromTheFirstSignInToATestBookingAndOpenToEverybody() {
        long began = System.nanoTime();
        open(true, 1280);
        page.navigate(address("/desk"));
        type("houseName", "Spoke and Saddle");
        type("name", "Ida Holm");
        type("email", "ida@spoke.example");
        type("password", "oil on every chain");
        type("word", words.word());
        page.locator("main form button").click();
        type("email", "ida@spoke.example");
        type("password", "oil on every chain");
        page.locator("main form button").click();
        assertThat(page).hasURL(address("/desk/start"));
        assertThat(faults("/desk/start")).isEmpty();
        type("title", "A check of your bicycle");
        button("Open my page to me alone").click();
        assertThat(page.getByText("Please write an amount")).isVisible();
        assertThat(page.locator("[name=title]")).hasValue("A check of your bicycle");
        type("price", "60");
        assertThat(page.locator("#grows h2")).hasText("A check of your bicycle");
        assertThat(page.locator("#grows")).containsText("in the next three weeks, the first one");
        type("week", "Mo bis Do 9-12 und 13-17, Fr 9-12");
        assertThat(page.locator("#grows .grows-slots li").first()).containsText("9:45");
        assertThat(page.locator("#week-picture .open")).hasCount(9);
        button("Open my page to me alone").click();
        assertThat(page).hasURL(address("/desk/start/next"));
        link("To my page").click();
        assertThat(page.getByText("Only you see this")).isVisible();
        page.locator("button.slot").first().click();
        link("To checkout").click();
        type("name", "Ida Holm");
        type("email", "ida@spoke.example");
        type("phone", "030 5550 100");
        button("Book").click();
        assertThat(page).hasURL(java.util.regex.Pattern.compile("/bookings/"));
        assertThat(page.getByText("A check of your bicycle").first()).isVisible();
        page.navigate(address("/desk/start/next"));
        assertThat(page.getByText("A letter to ida@spoke.example").first()).isVisible();
        assertThat((System.nanoTime() - began) / 1_000_000_000L)
                .as("seconds from the first page to the test booking")
                .isLessThan(180);
        assertThat(faults("/desk/start/next")).isEmpty();
        assertThat(link("Your logo")).isVisible();
        assertThat(get("/").headers().firstValue("Location"))
                .hasValueSatisfying(l -> assertThat(l).endsWith("/closed"));
        assertThat(get("/offers/a-check-of-your-bicycle").statusCode()).isEqualTo(302);
        assertThat(get("/closed").statusCode()).isEqualTo(503);
        assertThat(get("/closed").body()).contains("We open soon.");
        assertThat(faults("/closed")).isEmpty();
        forgive("503");
        page.navigate(address("/desk/start/next"));
        button("Open it to everybody").click();
        assertThat(page.getByText("It is open to everybody now.")).isVisible();
        assertThat(get("/").body()).contains("A check of your bicycle");
        Offer made = catalogues.catalogue().house().onSale().get(0);
        assertThat(made.lengths().get(0).minutes().count()).isEqualTo(45);
        assertThat(page.navigate(address("/desk/start")).url()).endsWith("/desk/start/next");
    }

    /** What axe finds on a page, wide and narrow. */
    private List<String> faults(String path) {
        List<String> faults = new ArrayList<>();
        for (int width : new int[] {390, 1280}) {
            page.setViewportSize(width, 800);
            page.navigate(address(path));
            faults.addAll(Accessibility.faults(page));
        }
        return faults;
    }
}
