package gastfreund.app.pages;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Addresses of guests' pages. A guest's basket travels in them, not in a cookie, so that the pages also work inside
 * somebody else's website.
 *
 * @param basket the token of the guest's basket; null: none yet
 * @param source from where a guest came who has no basket yet; empty: nobody knows
 */
public record Links(@Nullable String basket, String source) {

    /** With a basket, which knows where its guest came from. */
    public Links(@Nullable String basket) {
        this(basket, "");
    }

    /** The widths in points at which pictures are kept. */
    public static final List<Integer> WIDTHS = List.of(320, 800, 1600);

    private static final String WIDEST = "-" + WIDTHS.get(WIDTHS.size() - 1);

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

    /** A picture in its narrowest form, for where it is small. */
    public String smallPicture(String name) {
        return picture(name.replace(WIDEST + ".", "-" + WIDTHS.get(0) + "."));
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
        } else if (!source.isEmpty()) {
            builder.queryParam("from", source);
        }
        return builder.build().toUriString();
    }
}
