package gastfreund.app.pages;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Addresses of guests' pages. A guest's basket travels in them, not in a cookie, so that the pages also work inside
 * somebody else's website.
 *
 * @param basket the token of the guest's basket; null: none yet
 */
public record Links(@Nullable String basket) {

    /** @throws ResponseStatusException 404, where the address names no basket that there is */
    public String basketAsked() {
        if (basket == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return basket;
    }

    public String house() {
        return with("/");
    }

    public String offer(Object id) {
        return with("/offers/" + id);
    }

    public String picture(String name) {
        return "/pictures/" + name;
    }

    /** The basket's page; only where there is one. */
    public String basketPage() {
        return "/basket/" + basket;
    }

    /** A path with the basket as its parameter. */
    public String with(String path) {
        UriComponentsBuilder builder = UriComponentsBuilder.fromPath(path);
        if (basket != null) {
            builder.queryParam("basket", basket);
        }
        return builder.build().toUriString();
    }
}
