package gastfreund.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.GuestBrowser;
import gastfreund.app.HostBrowser;
import gastfreund.app.messages.Written;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** What holds for every page. Each is also kept in target/pages, where {@code ./gastfreund verify} has its HTML checked. */
class PagesTest extends DemoHouseTest {

    private static final Pattern DESCRIPTION = Pattern.compile("<meta name=\"description\" content=\"([^\"]+)\"");
    private static final Pattern FOREIGN_ATTRIBUTE = Pattern.compile("\\s(?:@|:|x-|th:)[\\w.:-]+=");

    @Test
    void eachSaysWhatItIsAndIsPlainHtml() throws IOException {
        Path folder = Files.createDirectories(Path.of("target/pages"));
        Set<String> said = new HashSet<>();
        for (Map.Entry<String, String> page : pages().entrySet()) {
            String html = page.getValue();
            Matcher description = DESCRIPTION.matcher(html);
            assertThat(description.find())
                    .as(page.getKey() + " has a description")
                    .isTrue();
            assertThat(said.add(description.group(1)))
                    .as(page.getKey() + " has its own")
                    .isTrue();
            assertThat(html)
                    .as(page.getKey())
                    .doesNotContainPattern(FOREIGN_ATTRIBUTE)
                    .doesNotContain("??");
            Files.writeString(folder.resolve(page.getKey() + ".html"), html);
        }
    }

    private Map<String, String> pages() {
        Map<String, String> pages = new LinkedHashMap<>();
        String basket = keep(
                "private-lesson",
                "60",
                2,
                opening("private-lesson", "60", 2, 33).time().start());
        String booking = booked(keep(
                "private-lesson",
                "60",
                1,
                opening("private-lesson", "60", 1, 34).time().start()));
        String line = jdbc.sql("SELECT id FROM bookings ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
        Map<String, String> paths = new LinkedHashMap<>();
        paths.put("house", "/");
        paths.put("offer", "/offers/private-lesson?party=2");
        paths.put("timetable", "/offers/wheel-evenings");
        paths.put("voucher", "/vouchers/voucher");
        paths.put("ware", "/goods/clay-bag");
        paths.put("text", "/texts/rules");
        paths.put("agenda", "/agenda");
        paths.put("agenda-week", "/agenda?view=week&party=2");
        paths.put("agenda-month", "/agenda?view=month");
        paths.put("mine", "/mine");
        paths.put("enter", "/account/enter");
        paths.put("way", "/offers/clay-visit/way?party=4");
        paths.put("wish", "/offers/private-lesson/wish?party=2&staff=mira");
        paths.put(
                "wished",
                path(post(
                        "/offers/wheel-evenings/wish",
                        Map.of(
                                "from",
                                today().plusDays(3),
                                "to",
                                today().plusDays(3),
                                "name",
                                "Ilva Sund",
                                "email",
                                "ilva@post.example"))));
        paths.put("neighbour", "/embed/neighbour?offer=clay-table&words=Book");
        paths.put("embedded", "/embed/offers/firing?accent=2d6a4f&without=text&scheme=dark");
        paths.put("basket", basket);
        paths.put("checkout", basket + "/checkout");
        paths.put(
                "where",
                keep(
                                "clay-visit",
                                "120",
                                4,
                                opening("clay-visit", "120", 4, 33).time().start())
                        + "/where");
        paths.put("booking", booking);
        paths.put("details", booking + "/details");
        paths.put("cancel", booking + "/lines/" + line + "/cancel");
        paths.put("dates", "/offers/wheel-evenings/dates");
        paths.put("cancel-ahead", booking + "/cancel");
        paths.put(
                "series",
                "/offers/private-lesson/series?times=4&start="
                        + opening("private-lesson", "60", 1, 35).time().start());
        paths.put("move", booking + "/lines/" + line + "/move");
        paths.forEach((name, path) -> pages.put(name, page(name, get(path))));
        pages.put("nothing", page404());
        accountPages(pages);
        HostBrowser host = new HostBrowser(address(""), somebody());
        pages.put("sign-in", page("sign-in", host.get("/desk/sign-in")));
        host.signIn("okka@quillmere.example", "clay and water");
        long number =
                jdbc.sql("SELECT max(number) FROM orders").query(Long.class).single();
        Map<String, String> desk = new LinkedHashMap<>();
        desk.put("board", "/desk");
        desk.put("board-week", "/desk?span=7");
        desk.put("bookings", "/desk/bookings");
        desk.put("day", "/desk/bookings/day");
        desk.put("by-hand", "/desk/book?offer=private-lesson&spite=true");
        desk.put("orders", "/desk/orders");
        desk.put("order", "/desk/orders/" + number);
        desk.put("payments", "/desk/payments");
        desk.put("sources", "/desk/orders/sources");
        desk.put("figures", "/desk/figures");
        desk.put("figures-month", "/desk/figures/month");
        desk.put("figures-rows", "/desk/figures/rows?of=party:1");
        desk.put("ways", "/desk/ways");
        desk.put("programs", "/desk/programs");
        desk.put("arrivals", "/desk/house/arrivals");
        desk.put("webhooks", "/desk/webhooks");
        desk.put("running", "/desk/running");
        desk.put("guests", "/desk/guests");
        desk.put("guests-data", "/desk/guests/data");
        desk.put("waits", "/desk/waits");
        desk.put("statements", "/desk/statements");
        desk.put("list-of-orders", "/desk/lists/orders");
        desk.put("list-of-payments", "/desk/lists/payments");
        desk.put("till", "/desk/till");
        desk.put("blocked", "/desk/blocked");
        desk.put("several", "/desk/several");
        desk.put("account", "/desk/account");
        desk.put("sign-ins", "/desk/sign-ins");
        desk.put("second-factor", "/desk/account/second-factor");
        desk.put("hours", "/desk/hours/staff/mira");
        desk.put("holidays", "/desk/hours/staff/okka/holidays");
        desk.put("household", "/desk/house");
        desk.put("person", "/desk/house/staff/jonte");
        desk.put("place", "/desk/house/places/online");
        desk.put("visits", "/desk/house/places/at-yours");
        desk.put("offers", "/desk/offers");
        desk.put("offer-sold", "/desk/offers/private-lesson");
        desk.put("offer-what", "/desk/offers/clay-table?tab=what");
        desk.put("offer-money", "/desk/offers/firing?tab=money");
        desk.put("offer-questions", "/desk/offers/glaze-call?tab=questions");
        desk.put("dates", "/desk/offers/wheel-evenings?tab=dates");
        desk.put("prices", "/desk/offers/wheel-hire/prices");
        desk.put("preview", "/desk/offers/clay-visit/preview");
        desk.put("house-about", "/desk/house/about");
        desk.put("house-sale", "/desk/house/sale");
        desk.put("house-texts", "/desk/house/texts");
        desk.put("house-tongue", "/desk/house/texts/offers/clay-table");
        desk.put("letters", "/desk/letters");
        desk.put("sent", "/desk/letters/sent");
        desk.put("calendars", "/desk/calendars");
        desk.put("busy-times", "/desk/busy-times");
        desk.put("sharing", "/desk/house/sharing?what=offer:clay-table&accent=%232d6a4f");
        desk.put("house-files", "/desk/house/files");
        desk.put("codes", "/desk/codes");
        desk.put("code", "/desk/codes/welcome5");
        desk.put("mail", "/desk/mail");
        desk.put("forgetting", "/desk/guests/forgetting");
        desk.put("hosts", "/desk/hosts");
        desk.put("changes", "/desk/changes");
        desk.put("explainer", "/desk/explain?offer=private-lesson&party=2&staff=mira");
        desk.forEach((name, path) -> pages.put(name, page(name, host.get(path))));
        return pages;
    }

    private void accountPages(Map<String, String> pages) {
        GuestBrowser guest = new GuestBrowser(address(""), somebody());
        guest.post("/account/link", Map.of("email", "lene.pages@post.example"));
        Matcher link = Pattern.compile("/account/link/[\\w-]+")
                .matcher(letters.to("lene.pages@post.example").stream()
                        .map(Written::text)
                        .filter(t -> t.contains("/account/link/"))
                        .findFirst()
                        .orElseThrow());
        assertThat(link.find()).isTrue();
        pages.put("open-account", page("open-account", guest.get(link.group())));
        guest.post(link.group(), Map.of());
        pages.put("own", page("own", guest.get("/account")));
        pages.put("ways-in", page("ways-in", guest.get("/account/ways")));
        pages.put("own-follow", page("own-follow", guest.get("/account/follow")));
    }

    private String booked(String basket) {
        String paid = pay(order(basket, "Lene Dorsch", "lene.pages@post.example"), "WORKS");
        get(paid);
        return paid.substring(0, paid.lastIndexOf("/paid"));
    }

    private static String page(String name, HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(name).isEqualTo(200);
        return answer.body();
    }

    private String page404() {
        HttpResponse<String> answer = get("/offers/no-such-offer");
        assertThat(answer.statusCode()).isEqualTo(404);
        return answer.body();
    }

    @Test
    void aPageIsCompressedAndItsLengthIsAMatterOfChance() {
        List<byte[]> same = IntStream.range(0, 12)
                .mapToObj(i -> compressed("/offers/private-lesson?party=2"))
                .toList();
        assertThat(same).allSatisfy(bytes -> {
            String html = new String(new GZIPInputStream(new ByteArrayInputStream(bytes)).readAllBytes());
            assertThat(html).endsWith("</html>\n").hasSizeGreaterThan(4 * bytes.length);
        });
        assertThat(same.stream().map(b -> b.length).distinct()).hasSizeGreaterThan(6);
    }

    private byte[] compressed(String path) {
        try {
            HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(address(path)))
                                    .header("Accept", "text/html")
                                    .header("Accept-Encoding", "gzip")
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            assertThat(answer.headers().firstValue("Content-Encoding")).hasValue("gzip");
            return answer.body();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
