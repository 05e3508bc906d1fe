package gastfreund.app.found;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.pages.Address;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.HtmlUtils;

/** The map of what everybody may find, and what robots are asked to leave alone. */
@RestController
class FoundController {

    private final CatalogueService catalogues;
    private final Shares shares;
    private final Address address;

    FoundController(CatalogueService catalogues, Shares shares, Address address) {
        this.catalogues = catalogues;
        this.shares = shares;
        this.address = address;
    }

    @GetMapping("/robots.txt")
    ResponseEntity<String> robots() {
        String base = address.of("/");
        String path = base.substring(base.indexOf('/', base.indexOf("://") + 3));
        String robots = "User-agent: *\n"
                + List.of("basket/", "bookings/", "calendars/", "codes/", "desk", "embed/").stream()
                        .map(p -> "Disallow: " + path + p + "\n")
                        .reduce("", String::concat)
                + "\nSitemap: " + address.of("/sitemap.xml") + "\n";
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/plain;charset=UTF-8"))
                .body(robots);
    }

    /** Nothing, as long as the house is not open to everybody. */
    @GetMapping("/sitemap.xml")
    ResponseEntity<String> map() {
        Catalogue catalogue = catalogues
                .find()
                .filter(c -> c.opening().isForEverybody())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        StringBuilder map = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\""
                + " xmlns:xhtml=\"http://www.w3.org/1999/xhtml\">\n");
        for (String path : paths(catalogue)) {
            SharedAs shared = shares.of(path, catalogue.story(), null);
            map.append("  <url><loc>").append(escaped(shared.address())).append("</loc>");
            shared.others().forEach(other -> map.append("<xhtml:link rel=\"alternate\" hreflang=\"")
                    .append(escaped(other.tag()))
                    .append("\" href=\"")
                    .append(escaped(other.address()))
                    .append("\"/>"));
            map.append("</url>\n");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/xml;charset=UTF-8"))
                .body(map.append("</urlset>\n").toString());
    }

    private static List<String> paths(Catalogue catalogue) {
        List<String> paths = new ArrayList<>(List.of("/", "/agenda"));
        catalogue.listed().forEach(o -> paths.add("/offers/" + o.id()));
        catalogue.prepaidOffers().forEach(p -> paths.add("/vouchers/" + p.id()));
        catalogue.extras().wares().forEach(w -> paths.add("/goods/" + w.id()));
        catalogue.checkout().texts().forEach(t -> paths.add("/texts/" + t.id()));
        return paths;
    }

    private static String escaped(String text) {
        return HtmlUtils.htmlEscapeDecimal(text, "UTF-8");
    }
}
