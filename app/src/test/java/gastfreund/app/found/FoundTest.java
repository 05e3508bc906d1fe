package gastfreund.app.found;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.housefile.HouseFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;

/** What machines find: schema.org's words with the members that they demand, the map, and what robots are asked. */
class FoundTest extends DemoHouseTest {

    private static final Pattern LINKED = Pattern.compile("(?s)<script type=\"application/ld\\+json\">(.*?)</script>");
    private static final Pattern META = Pattern.compile("<meta property=\"([^\"]+)\" content=\"([^\"]*)\">");

    /** What a thing of a type cannot be without. */
    private static final Map<String, List<String>> DEMANDED = Map.of(
            "LocalBusiness", List.of("name", "address", "url"),
            "Service", List.of("name", "provider", "offers", "potentialAction"),
            "Offer", List.of("price", "priceCurrency", "url"),
            "Event", List.of("name", "startDate", "endDate", "location", "organizer", "offers"),
            "Place", List.of("name", "address"),
            "ReserveAction", List.of("target", "result"),
            "EntryPoint", List.of("urlTemplate"),
            "Product", List.of("name", "offers"));

    private JsonNode linked(String path) {
        Matcher found = LINKED.matcher(get(path).body());
        assertThat(found.find()).as(path).isTrue();
        JsonNode json = HouseFile.parse(found.group(1));
        assertThat(json.path("@context").stringValue()).isEqualTo("https://schema.org");
        check(json, path);
        return json;
    }

    private void check(JsonNode node, String path) {
        if (node.isObject() && node.has("@type")) {
            for (String member : DEMANDED.getOrDefault(node.path("@type").stringValue(), List.of())) {
                assertThat(node.has(member))
                        .as(path + ": " + member + " of " + node.path("@type"))
                        .isTrue();
            }
            if (node.has("url")) {
                assertThat(node.path("url").stringValue()).startsWith(address("/"));
            }
        }
        node.forEach(inner -> check(inner, path));
    }

    @Test
    void theHouseItsOffersAndItsGoodsSayWhatTheyAre() {
        assertThat(linked("/").path("@type").stringValue()).isEqualTo("LocalBusiness");
        JsonNode service = linked("/offers/wheel-hire?party=2&length=120");
        assertThat(service.path("@type").stringValue()).isEqualTo("Service");
        assertThat(service.path("url").stringValue()).isEqualTo(address("/offers/wheel-hire"));
        assertThat(service.path("offers").size()).isEqualTo(3);
        assertThat(service.at("/offers/0/price").stringValue()).isEqualTo("18.00");
        assertThat(linked("/goods/clay-bag").path("@type").stringValue()).isEqualTo("Product");
        assertThat(linked("/vouchers/voucher").path("@type").stringValue()).isEqualTo("Product");
    }

    @Test
    void theDatesOfATimetableAreEventsWithWhatIsLeft() {
        JsonNode events = linked("/offers/wheel-evenings").path("@graph");
        assertThat(events.size()).isPositive();
        for (JsonNode event : events) {
            assertThat(event.path("remainingAttendeeCapacity").intValue()).isPositive();
            OffsetDateTime start = OffsetDateTime.parse(event.path("startDate").stringValue());
            assertThat(OffsetDateTime.parse(event.path("endDate").stringValue()))
                    .isAfter(start);
            assertThat(start.toInstant()).isAfter(clock.instant());
        }
    }

    @Test
    void aPageSaysAsWhatItIsShared() {
        String page = get("/offers/clay-table?party=3").body();
        Matcher meta = META.matcher(page);
        List<String> names = new ArrayList<>();
        while (meta.find()) {
            names.add(meta.group(1));
            assertThat(meta.group(2)).as(meta.group(1)).isNotBlank();
        }
        assertThat(names).contains("og:type", "og:title", "og:description", "og:url", "og:site_name");
        assertThat(page)
                .contains("<link rel=\"canonical\" href=\"" + address("/offers/clay-table") + "\">")
                .contains("hreflang=\"de\" href=\"" + address("/offers/clay-table") + "?language=de\"")
                .contains("hreflang=\"x-default\"");
    }

    @Test
    void everyOfferIsSharedWithAPictureOfItsOwn() throws Exception {
        Set<String> different = new HashSet<>();
        for (String path : List.of("/", "/offers/clay-table", "/offers/wheel-hire")) {
            Matcher named = Pattern.compile("og:image\" content=\"([^\"]+)\"")
                    .matcher(get(path).body());
            assertThat(named.find()).isTrue();
            assertThat(named.group(1)).startsWith(address("/"));
            HttpResponse<byte[]> answer = new HostBrowser(address(""), somebody())
                    .bytes(named.group(1).substring(address("").length()));
            assertThat(answer.headers().firstValue("Content-Type")).hasValue("image/png");
            BufferedImage picture = ImageIO.read(new ByteArrayInputStream(answer.body()));
            assertThat(picture.getWidth()).isEqualTo(1200);
            assertThat(picture.getHeight()).isEqualTo(630);
            assertThat(answer.body().length).isLessThan(300_000);
            different.add(Arrays.toString(picture.getRGB(0, 0, 1200, 400, null, 0, 1200)));
        }
        assertThat(different).hasSize(3);
        assertThat(get("/offers/no-such-offer/shared.png").statusCode()).isEqualTo(404);
    }

    @Test
    void theMapNamesWhatEverybodyMayFindAndAllOfItIsThere() throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        Element set = factory.newDocumentBuilder()
                .parse(new ByteArrayInputStream(get("/sitemap.xml").body().getBytes(StandardCharsets.UTF_8)))
                .getDocumentElement();
        assertThat(set.getNamespaceURI()).isEqualTo("http://www.sitemaps.org/schemas/sitemap/0.9");
        assertThat(set.getLocalName()).isEqualTo("urlset");
        NodeList places = set.getElementsByTagNameNS(set.getNamespaceURI(), "loc");
        assertThat(places.getLength()).isGreaterThan(8);
        List<String> paths = new ArrayList<>();
        for (int i = 0; i < places.getLength(); i++) {
            String place = places.item(i).getTextContent();
            assertThat(place).startsWith(address("/"));
            paths.add(place.substring(address("").length()));
        }
        assertThat(paths).contains("/", "/offers/clay-table", "/goods/clay-bag").doesNotHaveDuplicates();
        assertThat(paths).allSatisfy(path -> assertThat(get(path).statusCode()).isEqualTo(200));
    }

    @Test
    void robotsAreAskedInTheirOwnGrammar() {
        String robots = get("/robots.txt").body();
        assertThat(robots.lines().filter(l -> !l.isBlank()).toList())
                .allSatisfy(line -> assertThat(line).matches("(User-agent|Disallow|Sitemap): \\S+"));
        assertThat(robots)
                .startsWith("User-agent: *")
                .contains("Disallow: /desk\n", "Disallow: /basket/\n", "Sitemap: " + address("/sitemap.xml"));
    }
}
