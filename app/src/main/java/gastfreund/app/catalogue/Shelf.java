package gastfreund.app.catalogue;

import gastfreund.housefile.Node;

/**
 * Where an offer stands in the house's shop, and what stands on its button.
 *
 * @param category empty: none
 * @param button empty: the product's own words
 */
public record Shelf(Listing listing, String category, String button) {

    /** Who finds an offer. */
    public enum Listing {
        LISTED,
        /** Whoever has its address. */
        LINK,
        /** Nobody, for now. */
        OFF
    }

    private static final Shelf USUAL = new Shelf(Listing.LISTED, "", "");

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
        return new Shelf(who, extra.textOrBlank("category"), extra.textOrBlank("button"));
    }
}
