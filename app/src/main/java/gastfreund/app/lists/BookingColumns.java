package gastfreund.app.lists;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.lists.Columns.Cell;
import gastfreund.app.lists.Columns.Column;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.pages.Field;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the list of bookings says of each, for people and for programs. */
@Component
class BookingColumns {

    static final Columns COLUMNS = new Columns(List.of(
            new Column("when", false, true),
            new Column("guest", false, true),
            new Column("mail", false, false),
            new Column("telephone", false, false),
            new Column("what", false, true),
            new Column("people", true, false),
            new Column("with", false, false),
            new Column("place", false, false),
            new Column("addons", false, false),
            new Column("notes", false, false),
            new Column("state", false, false),
            new Column("order", false, true),
            new Column("source", false, false),
            new Column("total", true, true),
            new Column("paid", true, false),
            new Column("open", true, true)));

    /** Which columns of a file belong to a column of the list, where they are called otherwise. */
    private static final Map<String, List<String>> IN_FILES =
            Map.of("when", List.of("start", "end"), "what", List.of("offer"));

    private static final List<String> FILE = List.of(
            "start",
            "end",
            "state",
            "offer",
            "people",
            "with",
            "place",
            "guest",
            "mail",
            "telephone",
            "order",
            "source",
            "total",
            "paid",
            "open",
            "currency",
            "addons",
            "notes");

    private static final Set<String> NUMBERS = Set.of("people", "order", "total", "paid", "open");

    private final CatalogueService catalogues;

    BookingColumns(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    Field choice(BookingFilter filter, Formats f) {
        return COLUMNS.choice(filter.shown(), f);
    }

    /**
     * What is shown of a booking, in the chosen columns.
     *
     * @param board where it is on the board
     * @param beside where it is looked at beside the list
     */
    List<Cell> cells(ListedBooking booking, BookingFilter filter, String board, String beside, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        String with = new ReasonWords(catalogue, f).names(booking.staff());
        String people = f.text("offer.people", booking.party());
        String day = f.shortDay(f.zone().dateOf(booking.time().start()));
        String state = f.text("status." + booking.status().code());
        List<String> shown = filter.shown();
        String what = Stream.of(
                        catalogue.offer(booking.offer()).title(),
                        shown.contains("people") ? "" : people,
                        shown.contains("with") ? "" : with)
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(" · "));
        String reach = shown.contains("mail") || shown.contains("telephone")
                ? ""
                : Stream.of(booking.phone(), booking.email())
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse("");
        return COLUMNS.only(
                List.of(
                        Cell.link(day, board).with("", f.times(booking.time()), ""),
                        Cell.of(booking.guest())
                                .to(beside, f.text("lists.besideThis", booking.guest(), day))
                                .with("", "", reach),
                        Cell.of(booking.email()),
                        Cell.of(booking.phone()),
                        Cell.of(what).with(booking.status().code(), shown.contains("state") ? "" : state, ""),
                        Cell.number(Integer.toString(booking.party())),
                        Cell.of(with),
                        Cell.of(place(booking, catalogue)),
                        Cell.of(addOns(booking, catalogue)),
                        Cell.of(booking.notes()),
                        Cell.of(state),
                        Cell.link(Long.toString(booking.order()), "/desk/orders/" + booking.order()),
                        Cell.of(booking.source()),
                        Cell.number(f.money(booking.total())),
                        Cell.number(f.money(booking.paid())),
                        Cell.number(booking.open().isPositive() ? f.money(booking.open()) : "")),
                shown);
    }

    /** The bookings in a file: in the chosen columns, or in all of them where nobody chose. */
    Sheet sheet(List<ListedBooking> bookings, BookingFilter filter, Formats f) {
        List<Integer> places = IntStream.range(0, FILE.size())
                .filter(i -> filter.cols().isEmpty() || inFile(filter.cols()).contains(FILE.get(i)))
                .boxed()
                .toList();
        Set<Integer> numbers = new HashSet<>();
        for (int i = 0; i < places.size(); i++) {
            if (NUMBERS.contains(FILE.get(places.get(i)))) {
                numbers.add(i);
            }
        }
        Catalogue catalogue = catalogues.catalogue();
        return new Sheet(
                "bookings",
                f.text("lists.title"),
                places.stream().map(FILE::get).toList(),
                numbers,
                bookings.stream()
                        .map(b -> plain(b, catalogue, f))
                        .map(row -> places.stream().map(row::get).toList())
                        .toList());
    }

    private static List<String> inFile(List<String> cols) {
        List<String> named = new ArrayList<>();
        cols.forEach(c -> named.addAll(IN_FILES.getOrDefault(c, List.of(c))));
        return named;
    }

    private static List<String> plain(ListedBooking b, Catalogue catalogue, Formats f) {
        return List.of(
                Dates.plain(b.time().startInstant(), f),
                Dates.plain(b.time().endInstant(), f),
                f.text("status." + b.status().code()),
                catalogue.offer(b.offer()).title(),
                Integer.toString(b.party()),
                new ReasonWords(catalogue, f).names(b.staff()),
                place(b, catalogue),
                b.guest(),
                b.email(),
                b.phone(),
                Long.toString(b.order()),
                b.source(),
                f.decimal(b.total()),
                f.decimal(b.paid()),
                f.decimal(b.open()),
                f.currencyCode(),
                addOns(b, catalogue),
                b.notes());
    }

    static String place(ListedBooking booking, Catalogue catalogue) {
        return booking.place() == null
                ? ""
                : catalogue.house().place(booking.place()).name();
    }

    private static String addOns(ListedBooking booking, Catalogue catalogue) {
        Offer offer = catalogue.offer(booking.offer());
        return offer.addOns().stream()
                .filter(a -> booking.addOns().getOrDefault(a.id(), 0) > 0)
                .map(a -> booking.addOns().get(a.id()) + " × " + a.title())
                .collect(Collectors.joining(", "));
    }
}
