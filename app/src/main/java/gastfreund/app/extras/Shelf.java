package gastfreund.app.extras;

import gastfreund.core.offers.AddOnId;
import gastfreund.housefile.Node;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where an offer stands in the house's shop, and how it is told from others.
 *
 * @param category empty: none
 * @param button what stands on its button; empty: the product's own words
 * @param tags by which hosts find it
 * @param sign one or two characters before its bookings on the board; empty: none
 * @param tone of its bookings on the board, one of {@link #TONES}; empty: none
 * @param venueWords what guests are told who pay when they come; empty: nothing of the house's own
 * @param agreement whether its price is agreed with each guest: the host names it with the yes
 * @param stock how many there ever were of each add-on of which there are so many only
 */
public record Shelf(
        Listing listing,
        String category,
        String button,
        List<String> tags,
        String sign,
        String tone,
        String venueWords,
        boolean agreement,
        Map<AddOnId, Integer> stock) {

    /** The tones in which bookings can be marked, beside the sign of their state. */
    public static final List<String> TONES = List.of("clay", "moss", "saffron", "slate", "plum", "sea");

    /** Who finds an offer. */
    public enum Listing {
        LISTED,
        /** Whoever has its address. */
        LINK,
        /** Nobody, for now. */
        OFF
    }

    private static final int MOST_SIGN = 2;
    private static final int MOST_STOCK = 1_000_000;
    private static final Shelf USUAL = new Shelf(Listing.LISTED, "", "", List.of(), "", "", "", false, Map.of());

    public static Shelf usual() {
        return USUAL;
    }

    static Shelf of(Node extra) {
        String listing = extra.word("listing", new String[] {"listed", "link", "off"}, "listed");
        Listing who =
                switch (listing) {
                    case "link" -> Listing.LINK;
                    case "off" -> Listing.OFF;
                    default -> Listing.LISTED;
                };
        String sign = extra.textOrBlank("sign");
        if (sign.codePointCount(0, sign.length()) > MOST_SIGN) {
            extra.at("sign").problem("must be one or two characters");
        }
        return new Shelf(
                who,
                extra.textOrBlank("category"),
                extra.textOrBlank("button"),
                extra.elements("tags").stream().map(Node::text).toList(),
                sign,
                extra.has("tone") ? extra.word("tone", TONES.toArray(String[]::new), "") : "",
                extra.textOrBlank("venueWords"),
                extra.truth("agreement"),
                stock(extra));
    }

    /** What is said of an add-on that the offer no longer has stands there for nothing. */
    private static Map<AddOnId, Integer> stock(Node extra) {
        Map<AddOnId, Integer> stock = new HashMap<>();
        extra.member("stock").ifPresent(all -> all.members()
                .forEach(m -> stock.put(new AddOnId(m.getKey()), m.getValue().integer(0, MOST_STOCK))));
        return Map.copyOf(stock);
    }
}
