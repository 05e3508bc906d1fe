package gastfreund.app.files;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.core.hours.OfferId;
import gastfreund.housefile.HouseFile;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The house, its offers and its codes go out as files and come in again: shown first, all together, undone. */
class FilesTest extends DemoHouseTest {

    private static final Pattern MARK = Pattern.compile("name=\"mark\" value=\"([0-9a-f]+)\"");

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private HouseDocuments documents;

    private HostBrowser host;

    @BeforeEach
    void atTheDesk() {
        host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get("/desk/house/files");
        host.post("/desk/house/files/drop", Map.of());
        host.get("/desk/house/files");
    }

    private HttpResponse<String> send(String kind, String text) {
        String body = "--x\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + host.token()
                + "\r\n--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"f\"\r\n\r\n" + text
                + "\r\n--x--\r\n";
        return host.send(host.request("/desk/house/files/" + kind + "/file")
                .header("Content-Type", "multipart/form-data; boundary=x")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private ObjectNode out() {
        return (ObjectNode)
                HouseFile.parse(host.get("/desk/house/files/house.json").body());
    }

    private String keep() {
        String page = host.get("/desk/house/files").body();
        Matcher mark = MARK.matcher(page);
        assertThat(mark.find())
                .as(page.replaceAll("<[^>]*>", "").replaceAll("\\s+", " "))
                .isTrue();
        return path(host.post("/desk/house/files/keep", Map.of("mark", mark.group(1))));
    }

    private String title(String offer) {
        return catalogues.catalogue().offer(new OfferId(offer)).title();
    }

    @Test
    void theWholeHouseGoesOutIsChangedAndComesInAgainAndIsUndone() {
        ObjectNode file = out();
        assertThat(path(send("house", file.toString()))).endsWith("said=file-same");
        ((ObjectNode) file.at("/offers/0")).put("title", "An hour alone");
        ((ObjectNode) file.at("/offers/0/lengths/0")).put("price", 7700);
        String code = ((ArrayNode) file.get("promoCodes"))
                .remove(0)
                .get("code")
                .stringValue()
                .toLowerCase();
        ((ArrayNode) file.get("staff")).addObject().put("id", "new-one").put("name", "Nele");
        String first = file.at("/offers/0/id").stringValue();
        assertThat(path(send("house", file.toString()))).isEqualTo("/desk/house/files");
        assertThat(host.get("/desk/house/files").body())
                .contains("An hour alone", "→ 77.00", "Nele is new", "is deleted");
        assertThat(title(first)).as("nothing counts yet").isNotEqualTo("An hour alone");
        assertThat(keep()).isEqualTo("/desk/changes?said=kept");
        assertThat(title(first)).isEqualTo("An hour alone");
        assertThat(catalogues.catalogue().promoCodes()).doesNotContainKey(code);
        assertThat(documents.find(DocumentRef.staff("new-one"))).isPresent();
        Matcher keeping = Pattern.compile("name=\"keeping\" value=\"(\\d+)\"")
                .matcher(host.get("/desk/changes").body());
        assertThat(keeping.find()).isTrue();
        host.post("/desk/changes/undo", Map.of("keeping", keeping.group(1), "back", "/desk/changes"));
        assertThat(title(first)).isNotEqualTo("An hour alone");
        assertThat(catalogues.catalogue().promoCodes()).containsKey(code);
        assertThat(documents.find(DocumentRef.staff("new-one"))).isEmpty();
    }

    @Test
    void whatWasBookedAndIsNotInTheFileIsRetired() {
        ObjectNode file = out();
        ArrayNode offers = (ArrayNode) file.get("offers");
        for (int i = offers.size() - 1; i >= 0; i--) {
            if (offers.get(i).get("id").stringValue().equals("firing")) {
                offers.remove(i);
            }
        }
        assertThat(documents.isBooked(DocumentRef.offer("firing"))).isTrue();
        send("house", file.toString());
        assertThat(keep()).isEqualTo("/desk/changes?said=kept");
        assertThat(documents.find(DocumentRef.offer("firing")))
                .hasValueSatisfying(d -> assertThat(d.isRetired()).isTrue());
    }

    @Test
    void aFileThatIsWrongIsToldWithItsPathsAndChangesNothing() {
        ObjectNode file = out();
        ((ObjectNode) file.at("/offers/0/lengths/0")).put("price", -1);
        ((ObjectNode) file.at("/house")).put("zone", "Nowhere");
        assertThat(send("house", file.toString()).body())
                .contains("This file cannot come in", "offers[0].lengths[0].price", "house.zone");
        assertThat(send("house", "{").body()).contains("This file cannot come in");
        assertThat(send("house", "").body()).contains("Please choose a file first");
        assertThat(host.get("/desk/house/files").body()).doesNotContain("What the file would change");
    }

    @Test
    void whatCountsIsWhatWasShown() {
        ObjectNode file = out();
        ((ObjectNode) file.at("/house")).put("name", "One");
        send("house", file.toString());
        Matcher shown = MARK.matcher(host.get("/desk/house/files").body());
        assertThat(shown.find()).isTrue();
        ((ObjectNode) file.at("/house")).put("name", "Another");
        send("house", file.toString());
        assertThat(path(host.post("/desk/house/files/keep", Map.of("mark", shown.group(1)))))
                .endsWith("said=file-other");
        assertThat(catalogues.catalogue().house().name()).isEqualTo("Quillmere Clay House");
    }

    @Test
    void offersGoOutAndComeInAsATable() {
        String table = host.get("/desk/house/files/offers.csv").body();
        assertThat(table).startsWith("id,title,length,minutes,price,");
        String row = table.lines()
                .filter(l -> l.startsWith("wheel-hire,"))
                .findFirst()
                .orElseThrow();
        String length = row.split(",")[2];
        String fresh = "id;title;length;minutes;price\r\nwheel-hire;Hire a wheel;" + length + ";60;2100\r\n"
                + "raku;Raku;only;90;5500\r\n";
        assertThat(path(send("offers", fresh))).isEqualTo("/desk/house/files");
        assertThat(keep()).isEqualTo("/desk/changes?said=kept");
        assertThat(title("wheel-hire")).isEqualTo("Hire a wheel");
        assertThat(title("raku")).isEqualTo("Raku");
        assertThat(catalogues.catalogue().house().offers())
                .as("the others stay")
                .hasSizeGreaterThan(6);
        assertThat(send("offers", "id,colour\r\nraku,red").body()).contains("This file cannot come in");
        send("offers", "id,title,length,minutes,price\r\nraku,Raku,only,long,5500\r\n");
        assertThat(host.get("/desk/house/files").body()).contains("This has to be put right first");
    }

    @Test
    void codesGoOutAndComeInAsATable() {
        assertThat(host.get("/desk/house/files/promo-codes.csv").body())
                .startsWith("code,percent,amount,offers,from,to,minSubtotal,maxUses,perGuest,used")
                .contains("WELCOME5");
        send("codes", "code,percent,offers,perGuest\r\nAUTUMN,15,wheel-hire clay-table,1\r\nWELCOME5,,,2\r\n");
        assertThat(keep()).isEqualTo("/desk/changes?said=kept");
        assertThat(catalogues.catalogue().promoCodes().get("autumn").offers()).hasSize(2);
        assertThat(catalogues.catalogue().codeRules("AUTUMN").allows(1)).isFalse();
        assertThat(catalogues.catalogue().codeRules("welcome5").perGuest()).isEqualTo(2);
    }
}
