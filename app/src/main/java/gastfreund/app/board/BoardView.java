package gastfreund.app.board;

import gastfreund.app.pages.Addresses;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What of the board is shown: from one day on so many, and what is looked for there.
 *
 * @param today where the desk's first address leads
 * @param span one of {@link #SPANS}
 * @param selected the id of a booking; null: none
 */
public record BoardView(LocalDate today, LocalDate day, int span, BoardFilter filter, @Nullable String selected) {

    /** A day, three days, and a week. */
    public static final List<Integer> SPANS = List.of(1, 3, 7);

    /** How wide the lanes of each are at least, in pixels. */
    private static final List<Integer> WIDTHS = List.of(790, 1380, 2180);

    int width() {
        return WIDTHS.get(SPANS.indexOf(span));
    }

    /** Its first day, as addresses say it. */
    public String from() {
        return day.toString();
    }

    /** Its first and its last day, for scripts. */
    public String dates() {
        return day + " " + last();
    }

    LocalDate last() {
        return day.plusDays(span - 1L);
    }

    BoardView on(LocalDate other) {
        return new BoardView(today, other, span, filter, null);
    }

    BoardView over(int days) {
        return new BoardView(today, day, days, filter, selected);
    }

    BoardView selecting(@Nullable String booking) {
        return new BoardView(today, day, span, filter, booking);
    }

    BoardView lookingFor(BoardFilter other) {
        return new BoardView(today, day, span, other, selected);
    }

    /** Its address; what stands there anyway is not said. */
    public String address() {
        return address("/desk");
    }

    String address(String path) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(path);
        say(uri, "day", day.equals(today) ? null : day.toString());
        say(uri, "span", span == 1 ? null : Integer.toString(span));
        say(uri, "offer", filter.offer());
        say(uri, "person", filter.person());
        say(uri, "place", filter.place());
        say(uri, "state", filter.state() == null ? null : filter.state().code());
        say(uri, "booking", selected);
        return uri.build(true).toUriString();
    }

    private static void say(UriComponentsBuilder uri, String name, @Nullable String value) {
        if (value != null) {
            uri.queryParam(name, Addresses.value(value));
        }
    }
}
