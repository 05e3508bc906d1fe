package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.util.List;
import java.util.regex.Pattern;

/** The websites on which the house may stand in a frame. */
final class Sites {

    /** Every site. */
    private static final String ANY = "*";

    private static final Pattern ORIGIN = Pattern.compile("\\Ahttps?+://[a-z0-9.-]{1,253}+(?::\\d{1,5}+)?+\\z");

    private Sites() {}

    /** Their origins, as {@code https://gazette.example}; none: it stands nowhere. */
    static List<String> of(Node extra) {
        return extra.elements("sites").stream()
                .map(site -> {
                    String origin = site.text();
                    if (!origin.equals(ANY) && !ORIGIN.matcher(origin).matches()) {
                        site.problem("must be a site as https://gazette.example, or *");
                    }
                    return origin;
                })
                .toList();
    }
}
