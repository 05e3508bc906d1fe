package gastfreund.app.extras;

import gastfreund.app.languages.Words;
import gastfreund.app.typed.WebAddress;
import gastfreund.housefile.Node;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How guests find a place, whatever kind it is of.
 *
 * @param address on site; empty: none
 * @param directions empty: none
 * @param link of a place online, the same for all; empty: none
 * @param meeting of a place online: whether a link is made for each booking
 * @param phone whether it is by telephone
 * @param guestCalls of a place by telephone: whether the guest calls the house, and not the house the guest
 * @param reach of the guest's address: how far the house goes
 */
public record PlaceNotes(
        String address,
        String directions,
        String link,
        boolean meeting,
        boolean phone,
        boolean guestCalls,
        Reach reach) {

    private static final PlaceNotes NONE = new PlaceNotes("", "", "", false, false, false, Reach.anywhere());

    public static PlaceNotes none() {
        return NONE;
    }

    /** @param kind of the place, as in the house file */
    static PlaceNotes of(Node extra, String kind) {
        String link = extra.textOrBlank("link");
        if (!link.isEmpty() && !WebAddress.isOne(link)) {
            extra.at("link").problem("must be an address that begins with https:// or http://");
        }
        boolean guestCalls =
                extra.word("calls", new String[] {"us", "guest"}, "us").equals("guest");
        return new PlaceNotes(
                of(kind, "onsite", extra.textOrBlank("address")),
                extra.textOrBlank("directions"),
                of(kind, "online", link),
                extra.truth("meeting") && kind.equals("online"),
                kind.equals("phone"),
                guestCalls && kind.equals("phone"),
                kind.equals("guest") ? Reach.of(extra) : Reach.anywhere());
    }

    /** What only one kind of place has; what is left of another kind that it was says nothing. */
    private static String of(String kind, String only, String text) {
        return kind.equals(only) ? text : "";
    }

    /** What everybody may know before they book: where it is, and how to find it; no link. */
    public String found(Words words) {
        return joined(List.of(address, directions, calls(words)));
    }

    /**
     * What those who have booked get.
     *
     * @param made the link or the address of the booking itself; empty: none, or none yet
     */
    public String booked(String made, Words words) {
        String own = meeting && made.isEmpty() ? words.text("place.linkComes") : made.isEmpty() ? link : made;
        return joined(List.of(address, directions, own, calls(words)));
    }

    private String calls(Words words) {
        return phone ? words.text(guestCalls ? "place.youCall" : "place.weCall") : "";
    }

    /** The address as a link that the visitor's own map opens (RFC 5870); empty: there is no address. */
    public String map() {
        return address.isEmpty()
                ? ""
                : "geo:0,0?q="
                        + URLEncoder.encode(address.replace('\n', ' '), StandardCharsets.UTF_8)
                                .replace("+", "%20");
    }

    private static String joined(List<String> parts) {
        return parts.stream().filter(p -> !p.isEmpty()).collect(Collectors.joining("\n"));
    }
}
