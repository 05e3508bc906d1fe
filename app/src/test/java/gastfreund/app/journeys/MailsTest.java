package gastfreund.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.wording.Occasion;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** The HTML part of mails, as mail programs want it. */
@Tag("browser")
class MailsTest extends OrdersTest {

    private static final int NARROW = 320;
    private static final int MOST_BYTES = 60_000;

    /** The texts that have less contrast to what they stand on than 4.5 (WCAG 2.2, 1.4.3). */
    private static final String FAINT =
            """
            () => {
              const parts = c => c.match(/[\\d.]+/g).map(Number);
              const light = c => parts(c).slice(0, 3).map(v => v / 255)
                .map(v => v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)
                .reduce((sum, v, i) => sum + v * [0.2126, 0.7152, 0.0722][i], 0);
              const ground = e => {
                const c = getComputedStyle(e).backgroundColor;
                return parts(c)[3] === 0 ? (e.parentElement ? ground(e.parentElement) : 'rgb(255, 255, 255)') : c;
              };
              return [...document.body.querySelectorAll('*')]
                .filter(e => [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim()))
                .filter(e => {
                  const [a, b] = [light(getComputedStyle(e).color), light(ground(e))].sort((x, y) => y - x);
                  return (a + 0.05) / (b + 0.05) < 4.5;
                })
                .map(e => e.outerHTML.slice(0, 200));
            }
            """;

    @Autowired
    private Rehearsal rehearsal;

    @Autowired
    private CatalogueEdits edits;

    @AfterEach
    void ownColour() {
        look("");
    }

    private void look(String colour) {
        edits.change("house", "1", house -> {
            ObjectNode extra = (ObjectNode) house.path("extra");
            if (colour.isEmpty()) {
                extra.remove("look");
            } else {
                extra.putObject("look").put("colour", colour);
            }
        });
    }

    /** Every occasion in our own words, a move and a confirmation with all that goes with them, and what the host gets. */
    private List<Written> mails() {
        Order order = paid("private-lesson", "60", 30, "WORKS");
        moveAtDesk(order, opening("private-lesson", "60", 1, 33), true);
        List<Written> mails = new ArrayList<>(letters.ofOrder(order.id()));
        for (Locale language : List.of(Locale.ENGLISH, Locale.GERMAN)) {
            for (Occasion occasion : Occasion.values()) {
                mails.add(rehearsal.as(
                        now(order), line(now(order)), occasion, rehearsal.ours(occasion, language), language));
            }
        }
        return mails;
    }

    @Test
    void eachSaysItsLanguageIsSmallIsOneColumnAndLeadsOnlyToUs() {
        List<Written> mails = mails();
        assertThat(mails).hasSizeGreaterThan(24);
        for (Written mail : mails) {
            Document html = Jsoup.parse(mail.html());
            assertThat(html.expectFirst("html").attr("lang")).isIn("en", "de");
            assertThat(html.expectFirst("html").attr("dir")).isEqualTo("ltr");
            assertThat(mail.html().getBytes(StandardCharsets.UTF_8)).hasSizeLessThan(MOST_BYTES);
            assertThat(html.select("a[href]")).isNotEmpty().allMatch(a -> a.attr("href")
                    .startsWith(address("/")));
            assertThat(html.select("link, script, iframe, form, object, img:not([alt])"))
                    .isEmpty();
            assertThat(html.select("tr")).allMatch(row -> row.childrenSize() == 1);
            assertThat(html.select("table"))
                    .allMatch(table -> table.attr("role").equals("presentation"));
            assertThat(html.body().select("p, a, td")).allMatch(e -> e.hasAttr("style"));
            assertThat(mail.text()).isNotBlank();
        }
    }

    @Test
    void eachCanBeReadByDayAndByNightAtAnyWidthInTheHousesColoursToo() {
        List<String> wrong = new ArrayList<>();
        List<Written> mails = mails();
        look("#2d6a4f");
        mails.addAll(mails().subList(0, 3));
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            try (BrowserContext context = Browsers.chromium()
                    .newContext(new Browser.NewContextOptions()
                            .setViewportSize(NARROW, 800)
                            .setColorScheme(scheme))) {
                Page page = context.newPage();
                for (Written mail : mails) {
                    page.setContent(mail.html());
                    if ((Integer) page.evaluate("document.documentElement.scrollWidth") > NARROW) {
                        wrong.add("wider than " + NARROW + ": " + mail.subject());
                    }
                    for (Object text : (List<?>) page.evaluate(FAINT)) {
                        wrong.add(scheme + ", " + mail.subject() + ": " + text);
                    }
                }
            }
        }
        assertThat(wrong).isEmpty();
    }
}
