package gastfreund.app.lists;

import gastfreund.app.pages.Addresses;
import gastfreund.app.typed.Written;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What is looked for in a list of orders or payments, and which columns are shown.
 *
 * @param q the beginnings of words of a guest's name, address or number
 * @param state the code of a state; empty: any
 * @param way the name of a gateway; empty: any
 * @param source from where its guest came; empty: from anywhere
 * @param money {@code open} or {@code paid}; empty: either
 * @param offer of which something is booked; empty: any
 * @param person who serves it; empty: anybody
 * @param place where it is; empty: anywhere
 * @param from the first date (inclusive)
 * @param to the last date (inclusive)
 * @param cols the keys of the columns, in the list's order
 */
record Looked(
        String q,
        String state,
        String way,
        String source,
        String money,
        String offer,
        String person,
        String place,
        LocalDate from,
        LocalDate to,
        List<String> cols) {

    private static final int MOST_TYPED = 100;
    private static final int BACK_DAYS = 92;
    private static final int MOST_DAYS = 3700;

    /** What an address says; what is nonsense there does not matter. */
    record Asked(
            @Nullable String q,
            @Nullable String state,
            @Nullable String way,
            @Nullable String source,
            @Nullable String money,
            @Nullable String offer,
            @Nullable String person,
            @Nullable String place,
            @Nullable String from,
            @Nullable String to,
            @Nullable List<String> cols) {

        Looked looked(Listing listing, LocalDate today) {
            LocalDate last = BookingFilter.given(to).orElse(today);
            LocalDate first = BookingFilter.given(from).orElse(last.minusDays(BACK_DAYS));
            if (first.isAfter(last) || first.isBefore(last.minusDays(MOST_DAYS))) {
                first = last.minusDays(BACK_DAYS);
            }
            return new Looked(
                    said(q),
                    one(state, listing.states().stream()),
                    one(way, listing.ways().stream()),
                    said(source),
                    one(money, BookingFilter.MONEY.stream()),
                    said(offer),
                    said(person),
                    said(place),
                    first,
                    last,
                    listing.columns().known(cols));
        }

        private static String said(@Nullable String text) {
            return Written.line(text == null ? "" : text, MOST_TYPED);
        }

        private static String one(@Nullable String text, Stream<String> known) {
            return known.filter(k -> k.equals(text)).findFirst().orElse("");
        }
    }

    /** The address of something that shows exactly this. */
    String address(String path) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(path);
        List<String> names = List.of("q", "state", "way", "source", "money", "offer", "person", "place", "from", "to");
        List<String> values =
                List.of(q, state, way, source, money, offer, person, place, from.toString(), to.toString());
        for (int i = 0; i < names.size(); i++) {
            if (!values.get(i).isEmpty()) {
                uri.queryParam(names.get(i), Addresses.value(values.get(i)));
            }
        }
        cols.forEach(c -> uri.queryParam("cols", Addresses.value(c)));
        return uri.build(true).toUriString();
    }
}
