package gastfreund.app.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A guest who cares about the time first: the agenda, at a desk, on a telephone, and without scripts. */
class WhenTest extends Journey {

    @Test
    void withTheKeyboardATimeIsFoundAndKept() {
        open(true, 1280);
        page.navigate(address("/agenda"));
        page.evaluate("window.sameDocument = true");
        page.getByLabel("Who comes").selectOption("2");
        assertThat(page).hasURL(Pattern.compile("party=2"));
        assertThat(page.getByLabel("Who comes")).isFocused();
        page.getByLabel("Part of the day").selectOption("afternoon");
        assertThat(page).hasURL(Pattern.compile("part=afternoon"));
        Locator bar = page.locator(".ribbon .day:has(.bar)").nth(12);
        String words = bar.getAttribute("aria-label");
        bar.focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".ribbon .day[aria-current]")).hasAttribute("aria-label", words);
        assertThat(page.locator(".ribbon .day[aria-current]")).isFocused();
        assertThat(page.evaluate("window.sameDocument")).isEqualTo(true);

        Locator openings = page.locator("button.opening");
        assertThat(page.locator("button.opening[tabindex='0']")).hasCount(1);
        openings.first().focus();
        String row = openings.first().getAttribute("data-row");
        page.keyboard().press("ArrowRight");
        Locator focused = page.locator("button.opening:focus");
        assertThat(focused).hasAttribute("data-row", row);
        String second = focused.getAttribute("aria-label");
        page.keyboard().press("Enter");
        Locator card = page.locator("#opening");
        assertThat(card).containsText(second);
        assertThat(card).containsText("2 people");
        page.keyboard().press("Escape");
        assertThat(card).isHidden();
        assertThat(focused).hasAttribute("aria-label", second);
        page.keyboard().press("Enter");
        assertThat(button("Keep this place")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        assertThat(page.locator(".held")).isVisible();
        assertThat(page.locator(".lines")).containsText("2 people");
    }

    @Test
    void aWeekAndAMonthAreLookedAtAndOnceMoreBack() {
        open(true, 1280);
        page.navigate(address("/agenda"));
        String day = page.locator("#shown").textContent();
        page.locator("[data-agenda=view-week]").click();
        assertThat(page.locator(".of-week")).isVisible();
        String week = page.locator("#shown").textContent();
        page.locator("[data-agenda=later]").click();
        assertThat(page.locator("#shown")).not().hasText(week);
        page.locator("[data-agenda=view-month]").click();
        assertThat(page.locator(".agenda-month .month-day").first()).isVisible();
        page.locator(".agenda-month button.opening").first().click();
        assertThat(page.locator("#opening")).containsText("wheel");
        page.keyboard().press("Escape");
        page.goBack();
        assertThat(page.locator(".of-week")).isVisible();
        page.goBack();
        assertThat(page.locator("#shown")).hasText(week);
        page.goBack();
        assertThat(page.locator("#shown")).hasText(day);
    }

    @Test
    void onATelephoneItIsAListByTime() {
        open(true, 390);
        page.navigate(address("/agenda?party=2"));
        assertThat(page.locator(".lane-group .when").first()).isVisible();
        assertThat(page.locator(".lane-head").first()).isHidden();
        assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= window.innerWidth"))
                .isTrue();
        page.locator("button.opening").first().click();
        button("Keep this place").click();
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        assertThat(page.locator(".held")).isVisible();
    }

    @Test
    void theHousesOffersAreSearchedAsWordsAreTyped() {
        open(true, 390);
        page.navigate(address("/"));
        Locator cards = page.locator(".offer:visible");
        int all = cards.count();
        page.getByRole(AriaRole.SEARCHBOX).fill("TÄBLE pinch");
        assertThat(cards).hasCount(1);
        assertThat(cards.first()).containsText("Open clay table");
        page.getByRole(AriaRole.SEARCHBOX).fill("something that nobody has");
        assertThat(cards).hasCount(0);
        assertThat(page.locator("[data-found]")).containsText("nothing here");
        page.getByRole(AriaRole.SEARCHBOX).fill("");
        assertThat(cards).hasCount(all);
        page.navigate(address("/?q=pinch+table"));
        assertThat(cards).hasCount(1);
        assertThat(page.locator("[data-found]")).hasText("One found");
    }

    @Test
    void withoutScriptsOneClickKeepsAnOpening() {
        open(false, 390);
        page.navigate(address("/agenda"));
        page.getByLabel("Who comes").selectOption("2");
        button("Show").click();
        assertThat(page).hasURL(Pattern.compile("party=2"));
        page.locator("button.opening").first().click();
        assertThat(page).hasURL(Pattern.compile("/basket/"));
        assertThat(page.locator(".lines")).containsText("2 people");
    }
}
