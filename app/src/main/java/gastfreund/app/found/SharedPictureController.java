package gastfreund.app.found;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.core.offers.Offer;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** The pictures with which pages are shared. */
@Controller
class SharedPictureController {

    private final CatalogueService catalogues;
    private final SharedPictures pictures;

    SharedPictureController(CatalogueService catalogues, SharedPictures pictures) {
        this.catalogues = catalogues;
        this.pictures = pictures;
    }

    @GetMapping("/shared.png")
    ResponseEntity<byte[]> house() {
        return answer(pictures.house(catalogues.catalogue()));
    }

    @GetMapping("/offers/{id}/shared.png")
    ResponseEntity<byte[]> offer(@PathVariable String id, Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.openOffer(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return answer(pictures.offer(catalogue, offer, Formats.of(model)));
    }

    private static ResponseEntity<byte[]> answer(byte[] picture) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePublic())
                .varyBy("Accept-Language")
                .eTag("\"" + DigestUtils.md5DigestAsHex(picture) + "\"")
                .body(picture);
    }
}
