package gastfreund.app.figures;

import gastfreund.app.pages.Addresses;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What figures are asked of.
 *
 * @param weeks how many, with this one
 * @param beside whether as many weeks before stand beside them
 * @param offer only of this offer; empty: of all
 * @param person only of this person; empty: of everybody
 */
record FigureFilter(int weeks, boolean beside, String offer, String person) {

    /** What can be asked. */
    static final List<Integer> WEEKS = List.of(4, 13, 26, 52);

    private static final int USUAL = 13;

    /** What an address says; what is nonsense there does not matter. */
    record Said(@Nullable String weeks, @Nullable String beside, @Nullable String offer, @Nullable String person) {

        FigureFilter filter() {
            return new FigureFilter(
                    WEEKS.stream()
                            .filter(w -> w.toString().equals(weeks))
                            .findFirst()
                            .orElse(USUAL),
                    !"false".equals(beside),
                    offer == null ? "" : offer,
                    person == null ? "" : person);
        }
    }

    FigureFilter withWeeks(int others) {
        return new FigureFilter(others, beside, offer, person);
    }

    FigureFilter withBeside(boolean other) {
        return new FigureFilter(weeks, other, offer, person);
    }

    /** The address of something that shows exactly this. */
    String address(String path) {
        return builder(path).build(true).toUriString();
    }

    /** The same with one thing more. */
    String address(String path, String name, String value) {
        return builder(path)
                .queryParam(name, Addresses.value(value))
                .build(true)
                .toUriString();
    }

    private UriComponentsBuilder builder(String path) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(path).queryParam("weeks", weeks);
        if (!beside) {
            uri.queryParam("beside", false);
        }
        if (!offer.isEmpty()) {
            uri.queryParam("offer", Addresses.value(offer));
        }
        if (!person.isEmpty()) {
            uri.queryParam("person", Addresses.value(person));
        }
        return uri;
    }
}
