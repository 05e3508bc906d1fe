package gastfreund.app.catalogue;

import gastfreund.app.languages.Words;
import gastfreund.housefile.Node;
import java.net.URI;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How guests find a place, whatever kind it is of.
 *
 * @param address on site; empty: none
 * @param directions empty: none
 * @param link of a place online, the same for all; empty: none
 * @param guestCalls of a place by telephone: whether the guest calls the house, and not the house the guest
 */
public record PlaceNotes(String address, String directions, String link, boolean guestCalls) {

    private static final PlaceNotes NONE = new PlaceNotes("", "", "", false);

    public static PlaceNotes none() {
        return NONE;
    }

    static PlaceNotes of(Node extra) {
        String link = extra.textOrBlank("link");
        if (!link.isEmpty() && !isLink(link)) {
            extra.at("link").problem("must be an address that begins with https:// or http://");
        }
        boolean guestCalls =
                extra.word("calls", new String[] {"us", "guest"}, "us").equals("guest");
        return new PlaceNotes(extra.textOrBlank("address"), extra.textOrBlank("directions"), link, guestCalls);
    }

    /** What everybody may know before they book: where it is, and how to find it; no link. */
    public String found(Words words) {
        return joined(List.of(address, directions, guestCalls ? words.text("place.youCall") : ""));
    }

    /** What those who have booked get. */
    public String booked(Words words) {
        return joined(List.of(address, directions, link, guestCalls ? words.text("place.youCall") : ""));
    }

    private static String joined(List<String> parts) {
        return parts.stream().filter(p -> !p.isEmpty()).collect(Collectors.joining("\n"));
    }

    private static boolean isLink(String link) {
        try {
            URI uri = URI.create(link);
            return ("https".equals(uri.getScheme()) || "http".equals(uri.getScheme())) && uri.getHost() != null;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
