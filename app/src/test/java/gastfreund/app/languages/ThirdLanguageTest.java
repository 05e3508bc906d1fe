package gastfreund.app.languages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import gastfreund.app.CheckoutPage;
import gastfreund.app.PdfPicture;
import gastfreund.app.RunningApplication;
import gastfreund.app.journeys.Browsers;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A third language is one file; a made-up one finds every text that is in no bundle, and every place too narrow for its words. */
@Tag("browser")
class ThirdLanguageTest {

    private static final Pattern SAID = Pattern.compile("\u27e6[^\u27e6\u27e7]*\u27e7");
    private static final Pattern WORD = Pattern.compile("\\p{L}{3,}");
    private static final Pattern PLAIN_VOWEL = Pattern.compile("[aeiou]");
    private static final Pattern ADDRESS = Pattern.compile("https?://\\S+");
    private static final String MAIL = "al@bo.eu";
    private static final Locale LANGUAGE = Locale.forLanguageTag(PseudoLanguage.TAG);

    /** Days and months in the language, the longest first. */
    private static final List<String> NAMES = Stream.concat(
                    Arrays.stream(DayOfWeek.values())
                            .flatMap(d -> Arrays.stream(TextStyle.values()).map(s -> d.getDisplayName(s, LANGUAGE))),
                    Arrays.stream(Month.values())
                            .flatMap(m -> Arrays.stream(TextStyle.values()).map(s -> m.getDisplayName(s, LANGUAGE))))
            .filter(name -> name.length() > 1)
            .sorted(Comparator.comparingInt(String::length).reversed())
            .toList();

    /** Pages of the front that need nothing before; a basket comes with a keep. */
    private static final List<String> PAGES = List.of(
            "/",
            "/offers/private-lesson?party=2",
            "/offers/clay-table",
            "/offers/wheel-hire?months",
            "/offers/wheel-evenings",
            "/offers/wheel-evenings/dates",
            "/offers/private-lesson/wish?party=2&staff=mira",
            "/vouchers/voucher",
            "/vouchers/clay-card",
            "/goods/clay-bag",
            "/agenda",
            "/agenda?view=week",
            "/agenda?view=month",
            "/mine",
            "/account/enter",
            "/offers/clay-visit/way?party=4");

    private static RunningApplication application;
    private static List<String> house;

    @BeforeAll
    static void start() throws IOException {
        Path root = Path.of(Files.exists(Path.of("demo")) ? "" : "..");
        Path language = PseudoLanguage.folder(root.resolve("app/src/main/resources/texts"));
        application =
                new RunningApplication(List.of("-Xmx400m", "-XX:TieredStopAtLevel=1", "-Xbootclasspath/a:" + language));
        Set<String> texts = new TreeSet<>(
                Comparator.comparingInt(String::length).reversed().thenComparing(Comparator.naturalOrder()));
        gather(
                JsonMapper.builder().build().readTree(Files.readString(root.resolve("demo/quillmere.house.json"))),
                texts);
        house = new ArrayList<>(texts);
    }

    @AfterAll
    static void stop() {
        application.close();
    }

    /** What the house says of itself, whole and line by line. */
    private static void gather(JsonNode node, Set<String> texts) {
        if (node.isString()) {
            node.stringValue()
                    .lines()
                    .map(String::strip)
                    .filter(l -> l.length() > 1)
                    .forEach(texts::add);
        }
        node.forEach(child -> gather(child, texts));
    }

    private static String in(String path) {
        return path + (path.contains("?") ? "&" : "?") + "language=" + PseudoLanguage.TAG;
    }

    /** Words that are neither the house's, nor in the language, nor names of days and months in it. */
    private static List<String> strange(String text) {
        String left = text;
        // From the inside: what is said stands in what is said.
        while (SAID.matcher(left).find()) {
            left = SAID.matcher(left).replaceAll(" ");
        }
        for (String own : house) {
            left = left.replace(own, " ");
        }
        for (String name : NAMES) {
            left = left.replace(name, " ");
        }
        return WORD.matcher(left)
                .results()
                .map(r -> r.group() + " in \"" + text.strip() + "\"")
                .toList();
    }

    /** Words with a plain vowel, of which the language has none: its brackets are in no font of ours. */
    private static List<String> strangeOnPaper(String text) {
        String left = text;
        for (String own : house) {
            left = left.replace(own, " ");
        }
        return WORD.matcher(left)
                .results()
                .map(MatchResult::group)
                .filter(w -> PLAIN_VOWEL.matcher(w).find() && NAMES.stream().noneMatch(n -> n.contains(w)))
                .toList();
    }

    private static List<String> strangeIn(Document page) {
        List<String> strange = new ArrayList<>();
        page.select("script, style, [lang]:not(html), .formatted, .theirs-switch, input[type=hidden], .trap")
                .remove();
        NodeTraversor.traverse(
                (node, depth) -> {
                    if (node instanceof TextNode text) {
                        strange.addAll(strange(text.text()));
                    } else if (node instanceof Element element) {
                        for (String name : List.of("aria-label", "title", "placeholder", "alt")) {
                            strange.addAll(strange(element.attr(name)));
                        }
                    }
                },
                page.body());
        return strange;
    }

    private static String basket() throws IOException {
        Document offer =
                Jsoup.parse(application.get("/offers/private-lesson?party=1").body());
        Element form = offer.selectFirst(".slots form");
        return RunningApplication.path(application.post(
                application.address(form.attr("action")),
                Map.of("start", form.selectFirst("[name=start]").val())));
    }

    @Test
    void everyTextOfTheFrontIsInABundleAndFits() throws IOException {
        String basket = basket();
        List<String> paths = new ArrayList<>(PAGES);
        paths.add(basket);
        paths.add(basket + "/checkout");
        areInTheLanguageAndFit(paths);
    }

    /** An order in the language, paid for; its page. Who orders is called what no bundle says, and nothing else is typed. */
    private static String ordered() throws IOException {
        String checkout = in(basket() + "/checkout");
        Map<String, Object> form = CheckoutPage.filled(application.get(checkout).body(), "Al Bo", MAIL);
        form.replaceAll(
                (name, value) -> name.startsWith("answer.") && value.toString().contains("tallest") ? "12" : value);
        String gateway = RunningApplication.target(application.post(application.address(checkout), form));
        String back = RunningApplication.path(application.post(gateway, Map.of("card", "WORKS")));
        application.get(back);
        String booking = back.substring(0, back.lastIndexOf("/paid"));
        await().atMost(Duration.ofSeconds(30))
                .until(() -> application.get(booking).body().contains("/calendar.ics"));
        return booking;
    }

    private static String line(String booking) throws IOException {
        return Jsoup.parse(application.get(booking).body())
                .selectFirst("a[href$=/move]")
                .attr("href")
                .replace("/move", "");
    }

    @Test
    void soIsWhatComesAfterAnOrderAndWhatIsWrittenOfIt() throws IOException, SQLException {
        String booking = ordered();
        String line = line(booking);
        String receipt = Jsoup.parse(application.get(booking).body())
                .selectFirst("a[href*=/documents/]")
                .attr("href");
        String paper = PdfPicture.text(application.file(receipt));
        assertThat(paper).contains("\u00e8\u00e8");
        assertThat(strangeOnPaper(paper)).isEmpty();
        Document times = Jsoup.parse(application.get(line + "/move").body());
        Element form = times.select(".slots form").last();
        String start = form.selectFirst("[name=start]").val();
        areInTheLanguageAndFit(List.of(
                booking,
                booking + "/details",
                booking + "/follow",
                line + "/cancel",
                line + "/move",
                line + "/move/to?start=" + start));
        Document change =
                Jsoup.parse(application.get(line + "/move/to?start=" + start).body());
        application.post(
                application.address(in(line + "/move")),
                Map.of(
                        "start",
                        start,
                        "total",
                        change.selectFirst("[name=total]").val()));
        Document cancel = Jsoup.parse(application.get(line + "/cancel").body());
        application.post(
                application.address(in(line + "/cancel")),
                Map.of("refund", cancel.selectFirst("[name=refund]").val()));
        areInTheLanguageAndFit(List.of(booking));
        application.post(application.address(in("/mine")), Map.of("email", MAIL));
        application.post(application.address(in("/account/link")), Map.of("email", MAIL));
        List<String> strange = new ArrayList<>();
        for (String kind : List.of("confirmation", "moved", "cancelled", "asked.account")) {
            String which = " FROM outbox WHERE kind = '" + kind + "' AND recipient = '" + MAIL + "'";
            await().atMost(Duration.ofSeconds(30))
                    .until(() -> "1".equals(application.one("SELECT sent_at IS NOT NULL" + which)));
            String letter = application.one("SELECT subject || char(10) || text_part" + which);
            ADDRESS.matcher(letter).replaceAll(" ").lines().forEach(l -> strange(l)
                    .forEach(s -> strange.add(kind + ": " + s)));
        }
        assertThat(strange).isEmpty();
    }

    private static void areInTheLanguageAndFit(List<String> paths) throws IOException {
        List<String> strange = new ArrayList<>();
        List<String> narrow = new ArrayList<>();
        try (BrowserContext context =
                Browsers.chromium().newContext(new Browser.NewContextOptions().setViewportSize(390, 844))) {
            Page browser = context.newPage();
            for (String path : paths) {
                var answer = application.get(in(path));
                assertThat(answer.statusCode()).as(path).isEqualTo(200);
                Document page = Jsoup.parse(answer.body());
                assertThat(page.selectFirst("html").attr("lang")).as(path).isEqualTo(PseudoLanguage.TAG);
                assertThat(page.body().text()).as(path).contains("\u27e6");
                strangeIn(page).forEach(s -> strange.add(path + ": " + s));
                browser.navigate(application.address(in(path)));
                Object over = browser.evaluate(
                        """
                        () => {
                          const wide = document.documentElement.scrollWidth - window.innerWidth;
                          const cut = [...document.querySelectorAll('button, a.button, a.chip, label, summary, th, h1, h2, h3')]
                            .filter((e) => e.offsetParent && e.scrollWidth > e.clientWidth + 1 && e.clientWidth > 0 && getComputedStyle(e).display !== 'inline' && !e.closest('.scroll, .sr-only, .opening'))
                            .map((e) => e.textContent.trim().slice(0, 40));
                          return (wide > 0 ? 'wider by ' + wide + ' ' : '') + cut.join('; ');
                        }
                        """);
                if (!over.toString().isBlank()) {
                    narrow.add(path + ": " + over);
                }
            }
        }
        assertThat(strange).isEmpty();
        assertThat(narrow).isEmpty();
    }
}
