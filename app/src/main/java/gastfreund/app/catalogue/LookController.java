package gastfreund.app.catalogue;

import gastfreund.app.extras.Look;
import gastfreund.app.pages.Palette;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** The colours and fonts of the house's own, as a style sheet that comes after the product's. */
@RestController
class LookController {

    private static final String NONE = "000000";
    private static final String PLAIN = "ui-sans-serif, system-ui, sans-serif";
    private static final String BOOK = "ui-serif, Georgia, Cambria, serif";

    /** Its address says all that is in it, so that browsers can keep it. */
    static String address(Look look) {
        return "/look/" + look.font().name().toLowerCase(Locale.ROOT) + "-"
                + (look.colour().isEmpty() ? NONE : look.colour().substring(1).toLowerCase(Locale.ROOT)) + ".css";
    }

    @GetMapping("/look/{font:house|plain|book}-{colour:[0-9a-f]{6}}.css")
    ResponseEntity<String> look(@PathVariable String font, @PathVariable String colour) {
        StringBuilder css = new StringBuilder();
        if (!colour.equals(NONE)) {
            Optional<Palette> palette = Palette.of("#" + colour).filter(Palette::isReadable);
            if (palette.isEmpty()) {
                throw new ResponseStatusException(HttpStatus.NOT_FOUND);
            }
            css.append(palette.get().css());
        }
        if (!font.equals("house")) {
            String family = font.equals("plain") ? PLAIN : BOOK;
            css.append(":root { --font-head: ")
                    .append(family)
                    .append("; --font-body: ")
                    .append(family)
                    .append("; }\n");
        }
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic())
                .contentType(MediaType.valueOf("text/css;charset=UTF-8"))
                .body(css.toString());
    }
}
