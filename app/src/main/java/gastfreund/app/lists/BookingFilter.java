package gastfreund.app.lists;

import gastfreund.app.pages.Addresses;
import gastfreund.app.typed.GivenDate;
import gastfreund.core.bookings.BookingStatus;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Which bookings are looked for; what is empty does not matter.
 *
 * @param q the beginnings of words of a guest's name, address or number
 * @param state the code of a status
 * @param offer an id, as person and place
 * @param source from where its guest came
 * @param money {@code open} or {@code paid}
 * @param from the first date (inclusive)
 * @param to the last date (inclusive)
 * @param cols the keys of the columns that were chosen; empty: nobody chose
 */
public record BookingFilter(
        String q,
        String state,
        String offer,
        String person,
        String place,
        String source,
        String money,
        LocalDate from,
        LocalDate to,
        List<String> cols) {

    /** What can be asked of money. */
    static final List<String> MONEY = List.of("open", "paid");

    /** How many days are shown where nobody says. */
    private static final int AHEAD = 92;

    /** How many days can be shown. */
    private static final int MOST = 3700;

    private static final int MOST_TYPED = 100;

    /** What an address says; what is nonsense there does not matter. */
    record Asked(
            @Nullable String q,
            @Nullable String state,
            @Nullable String offer,
            @Nullable String person,
            @Nullable String place,
            @Nullable String source,
            @Nullable String money,
            @Nullable String from,
            @Nullable String to,
            @Nullable List<String> cols) {

        BookingFilter filter(LocalDate today) {
            LocalDate first = date(from, today);
            LocalDate last = date(to, first.plusDays(AHEAD));
            if (last.isBefore(first) || last.isAfter(first.plusDays(MOST))) {
                last = first.plusDays(AHEAD);
            }
            boolean known =
                    Arrays.stream(BookingStatus.values()).anyMatch(s -> s.code().equals(state));
            return new BookingFilter(
                    said(q),
                    known ? said(state) : "",
                    said(offer),
                    said(person),
                    said(place),
                    said(source),
                    MONEY.contains(said(money)) ? said(money) : "",
                    first,
                    last,
                    chosen());
        }

        private List<String> chosen() {
            List<String> known = BookingColumns.COLUMNS.known(cols);
            return known.equals(BookingColumns.COLUMNS.known(null)) ? List.of() : known;
        }

        private static String said(@Nullable String text) {
            return text == null || text.length() > MOST_TYPED ? "" : text.strip();
        }

        private static LocalDate date(@Nullable String text, LocalDate otherwise) {
            return given(text == null ? null : text.strip()).orElse(otherwise);
        }
    }

    /** A date that an address says; empty where it says none, or one that no house lives to see. */
    static Optional<LocalDate> given(@Nullable String text) {
        return GivenDate.of(text).filter(d -> d.getYear() >= 1970 && d.getYear() <= 2200);
    }

    /** All that is booked on a day. */
    static BookingFilter of(LocalDate day) {
        return new BookingFilter("", "", "", "", "", "", "", day, day, List.of());
    }

    /** The columns that are shown. */
    List<String> shown() {
        return BookingColumns.COLUMNS.known(cols);
    }

    /** The address of something that shows exactly this. */
    String address(String path) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(path);
        say(uri, "q", q);
        say(uri, "state", state);
        say(uri, "offer", offer);
        say(uri, "person", person);
        say(uri, "place", place);
        say(uri, "source", source);
        say(uri, "money", money);
        say(uri, "from", from.toString());
        say(uri, "to", to.toString());
        cols.forEach(c -> say(uri, "cols", c));
        return uri.build(true).toUriString();
    }

    private static void say(UriComponentsBuilder uri, String name, String value) {
        if (!value.isEmpty()) {
            uri.queryParam(name, Addresses.value(value));
        }
    }
}
