package gastfreund.app.pages;

import org.springframework.web.util.UriComponentsBuilder;

/**
 * Addresses of guests' pages. A guest's basket travels in them, not in a cookie, so that the pages also work inside
 * somebody else's website.
 *
 * @param basket the token of the guest's basket; null: none yet
 */
public record Links(String basket) {

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
