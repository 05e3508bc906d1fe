package gastfreund.app.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.PdfPicture;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.messages.Written;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.util.HtmlUtils;

/** What the desk says of the house on other websites: the lines, the codes, the looks, the sites. */
class SharingTest extends DemoHouseTest {

    private static final String PAGE = "/desk/house/sharing";
    private static final Pattern CODE =
            Pattern.compile("(?s)<pre class=\"snippet\" id=\"code\"[^>]*><code>(.*?)</code>");

    @Autowired
    private CatalogueService catalogues;

    private HostBrowser host;

    @BeforeEach
    void signIn() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
    }

    private String lines(String query) {
        Matcher code = CODE.matcher(host.get(PAGE + query).body());
        assertThat(code.find()).isTrue();
        return HtmlUtils.htmlUnescape(code.group(1));
    }

    @Test
    void whatIsSaidStandsInTheLines() {
        assertThat(lines("?what=offer:clay-table&party=2&accent=2d6a4f&font=page&without=picture+text&from=Gift-Ideas"))
                .isEqualTo(
                        """
                        <gastfreund-panel house="%1$s" offer="clay-table" party="2" accent="2d6a4f" font="page" without="picture text" from="gift-ideas">
                          <a href="%1$s/offers/clay-table?party=2&amp;from=gift-ideas">Book: Open clay table</a>
                        </gastfreund-panel>
                        <script type="module" src="%1$s/embed.js"></script>"""
                                .formatted(address("")));
        assertThat(lines("?as=button&words=Choose+%3Cyour%3E+%22time%22"))
                .contains("<gastfreund-panel house=\"" + address("") + "\" as=\"button\">")
                .contains("<a href=\"" + address("/") + "\">Choose &lt;your&gt; &quot;time&quot;</a>");
        assertThat(lines("?as=link&what=mine&from=mail"))
                .isEqualTo("<a href=\"" + address("/mine?from=mail") + "\">Book: a way to one’s own bookings</a>");
    }

    @Test
    void whatCannotBeHadIsToldAndStaysOutOfTheLines() {
        String page = host.get(PAGE + "?what=offer:no-such-offer&accent=%23ffee00&corners=wavy&look=None")
                .body();
        assertThat(page).contains("too light to be read on paper", "value=\"#ffee00\"");
        assertThat(lines("?what=offer:no-such-offer&accent=%23ffee00&corners=wavy&look=None"))
                .startsWith("<gastfreund-panel house=\"" + address("") + "\">");
        assertThat(lines("?what=offer:clay-table&party=40&length=no&staff=nobody&place=nowhere"))
                .startsWith("<gastfreund-panel house=\"" + address("") + "\" offer=\"clay-table\">");
    }

    private String did(String path, Map<String, String> form) {
        host.get(PAGE);
        String to =
                host.post(PAGE + path, form).headers().firstValue("Location").orElse("");
        return to.replaceAll(".*said=", "");
    }

    @Test
    void aLookIsKeptUnderANameAndPagesThatNameItFollow() {
        assertThat(did("/looks", Map.of("name", "Green", "accent", "#2d6a4f", "corners", "small")))
                .isEqualTo("look-kept");
        assertThat(get("/embed/offers/clay-table?look=Green").body())
                .contains("--clay: #2d6a4f", "corners-small")
                .doesNotContain("data-wrong=\"look");
        assertThat(get("/embed/offers/clay-table?look=Green&corners=none").body())
                .contains("--clay: #2d6a4f", "corners-none");
        assertThat(did("/looks", Map.of("name", "Green", "look", "Green", "ground", "none")))
                .isEqualTo("look-kept");
        assertThat(get("/embed/offers/clay-table?look=Green").body())
                .contains("--clay: #2d6a4f", "corners-small groundless");
        assertThat(catalogues.catalogue().extras().sharing().looks()).hasSize(1);
        assertThat(did("/looks", Map.of("name", "  "))).isEqualTo("no-name");
        assertThat(did("/looks/remove", Map.of("name", "Green"))).isEqualTo("look-gone");
        assertThat(get("/embed/offers/clay-table?look=Green").body())
                .contains("data-wrong=\"look\"")
                .doesNotContain("#2d6a4f");
    }

    @Test
    void theLinesComeByMailToWhoeverMakesTheWebsite() {
        assertThat(did("/send", Map.of("to", "nobody", "what", "offer:clay-table")))
                .isEqualTo("no-mail");
        assertThat(did("/send", Map.of("to", " webs@gazette.example ", "what", "offer:clay-table", "from", "gazette")))
                .isEqualTo("sent");
        List<Written> sent = letters.to("webs@gazette.example");
        assertThat(sent).hasSize(1);
        assertThat(sent.get(0).text())
                .contains("okka@quillmere.example", "<gastfreund-panel", "from=\"gazette\"", "/embed.js");
        assertThat(sent.get(0).html()).contains("&lt;gastfreund-panel");
    }

    @Test
    void whereItMayStandIsSaidHere() {
        assertThat(did("/sites", Map.of("sites", "gazette.example\nhttps://"))).isEqualTo("no-site");
        assertThat(did("/sites", Map.of("sites", "https://gazette.example/gifts")))
                .isEqualTo("sites");
        assertThat(catalogues.catalogue().extras().sharing().sites()).containsExactly("https://gazette.example");
        assertThat(host.get(PAGE).body()).contains("It may stand on gazette.example.");
        assertThat(did("/sites", Map.of("sites", ""))).isEqualTo("sites");
        assertThat(host.get(PAGE).body()).contains("It may stand on no page yet");
    }

    @Test
    void aCameraIsLedFromPaperToWhatIsShown() throws Exception {
        String query = "?what=offer:clay-table&party=2";
        String to = address("/offers/clay-table?party=2&from=paper");
        assertThat(seen(ImageIO.read(new ByteArrayInputStream(file("/code.png" + query)))))
                .isEqualTo(to);
        assertThat(seen(ImageIO.read(new ByteArrayInputStream(file("/code.png" + query + "&from=flyer")))))
                .isEqualTo(address("/offers/clay-table?party=2&from=flyer"));
        byte[] card = file("/card.pdf" + query);
        assertThat(PdfPicture.text(card))
                .contains("Quillmere Clay House", "Open clay table", "Scan, and choose a time");
        assertThat(seen(PdfPicture.drawn(card, 200))).isEqualTo(to);
        assertThat(host.get(PAGE + "/code.svg" + query).body()).startsWith("<svg xmlns");
    }

    private byte[] file(String path) {
        HttpResponse<byte[]> answer = host.bytes(PAGE + path);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    private static String seen(BufferedImage image) throws NotFoundException {
        int[] points = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        return new MultiFormatReader()
                .decode(new BinaryBitmap(
                        new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), points))))
                .getText();
    }

    @Test
    void thePageOfSomebodyElseIsOnlyThereInAFrameOfTheHouse() {
        assertThat(get("/neighbour").statusCode()).isEqualTo(404);
        HttpResponse<String> page = get("/embed/neighbour?offer=clay-table&link=https://elsewhere.example/&words=Book");
        assertThat(page.body())
                .contains("offer=\"clay-table\"", "href=\"" + address("/") + "\"")
                .doesNotContain("elsewhere");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("frame-ancestors 'self'", "frame-src 'self'");
        assertThat(HtmlUtils.htmlUnescape(host.get(PAGE + "?shown=dark").body()))
                .contains("/embed/neighbour?", "shown=dark");
    }
}
