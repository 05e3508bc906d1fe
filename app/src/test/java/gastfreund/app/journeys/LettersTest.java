package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.wording.OwnLetter;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The host writes letters along the life of a booking, by mouse and by keys, and sees them as a guest does. */
class LettersTest extends Journey {

    @Autowired
    private CatalogueService catalogues;

    private Locator field(String name) {
        return page.locator("#one [name='" + name + "']");
    }

    @Test
    void aLetterIsWrittenWithTagsMovedByItsKnotAndKept() {
        open(true, 1280);
        signIn();
        page.navigate(address("/desk/house"));
        link("Letters").click();
        button("Another one before the start").click();
        assertThat(page.getByText("Here is another one")).isVisible();
        field("text").fill("Bring an apron, ");
        button("guest").click();
        assertThat(field("text")).hasValue("Bring an apron, {{guest}}");
        assertThat(field("text")).isFocused();
        assertThat(page.frameLocator("iframe.mail").getByText(Pattern.compile("Bring an apron, \\w+")))
                .isVisible();
        Locator knot = page.locator(".knot");
        knot.focus();
        page.keyboard().press("ArrowLeft");
        assertThat(field("minutes")).hasValue("36 h");
        assertThat(page.locator(".life")).containsText("36 hours before");
        field("subject").fill("Soon, {{gust}}");
        assertThat(page.locator("#box-subject")).containsText("There is no tag {{gust}}");
        field("subject").fill("Soon, {{guest}}");
        assertThat(page.locator("#box-subject .error")).hasCount(0);
        button("Keep this letter").click();
        assertThat(page.getByText("The letter is kept.")).isVisible();
        OwnLetter kept = catalogues.catalogue().extras().letters().house().stream()
                .filter(l -> l.id().equals("before"))
                .findFirst()
                .orElseThrow();
        assertThat(kept.minutes()).isEqualTo(36 * 60);
        assertThat(kept.wordings()).hasSize(1);
    }
}
