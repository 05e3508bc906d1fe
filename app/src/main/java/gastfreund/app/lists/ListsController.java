package gastfreund.app.lists;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.House;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of bookings at the desk, which is filtered as somebody types. */
@Controller
class ListsController {

    private static final Pattern CURSOR = Pattern.compile("(\\d{1,10})-([\\w-]{1,64})");

    private static final String LIST = "bookings";
    private static final String OWN = "/desk/bookings";

    private final BookingLists lists;
    private final KeptViews views;
    private final Orders orders;
    private final Besides besides;
    private final BookingColumns columns;
    private final CatalogueService catalogues;

    ListsController(
            BookingLists lists,
            CatalogueService catalogues,
            KeptViews views,
            Orders orders,
            Besides besides,
            BookingColumns columns) {
        this.orders = orders;
        this.besides = besides;
        this.columns = columns;
        this.views = views;
        this.lists = lists;
        this.catalogues = catalogues;
    }

    /**
     * What the list shows.
     *
     * @param sums what all of it comes to, in words
     * @param more where the list goes on; empty: it does not
     * @param files where it can be had as files
     * @param beside the booking that is looked at; null: none is
     */
    public record ListPage(
            List<Field> filters,
            Field cols,
            String sums,
            List<Columns.Head> heads,
            List<Row> rows,
            String more,
            boolean begins,
            List<Way> files,
            List<KeptViews.Shown> views,
            KeptViews.Keeping keep,
            List<Note> notes,
            Besides.@Nullable Beside beside) {}

    /** @param tick what a host who ticks it chooses, in words */
    public record Row(String id, String tick, List<Columns.Cell> cells) {}

    @Needs(Right.SEE_ALL)
    @Partial("list")
    @GetMapping("/desk/bookings")
    String list(
            BookingFilter.Asked asked,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String booking,
            @RequestParam(required = false) @Nullable String said,
            Host host,
            Model model) {
        BookingFilter filter = asked.filter(lists.today());
        Formats f = Formats.of(model);
        var cursor = CURSOR.matcher(after);
        boolean goesOn = cursor.matches();
        List<ListedBooking> found =
                lists.after(filter, goesOn ? Long.parseLong(cursor.group(1)) : 0, goesOn ? cursor.group(2) : "");
        List<ListedBooking> shown = found.subList(0, Math.min(found.size(), BookingLists.PAGE));
        model.addAttribute(
                "page",
                new ListPage(
                        filters(filter, f),
                        columns.choice(filter, f),
                        sums(lists.sums(filter), f),
                        BookingColumns.COLUMNS.heads(filter.shown(), f),
                        shown.stream().map(b -> row(b, filter, f)).toList(),
                        found.size() > shown.size() ? more(filter, shown.get(shown.size() - 1)) : "",
                        !goesOn,
                        List.of(
                                new Way(filter.address("/desk/bookings.csv"), f.text("lists.csv")),
                                new Way(filter.address("/desk/bookings.xlsx"), f.text("lists.xlsx")),
                                new Way(filter.address("/desk/bookings.pdf"), f.text("lists.pdf")),
                                new Way(filter.address("/desk/bookings.ics"), f.text("lists.ics"))),
                        views.of(LIST, OWN),
                        KeptViews.Keeping.of(filter.address(OWN + "/views"), f),
                        Note.said(said, f.words()).stream().toList(),
                        booking.isBlank()
                                ? null
                                : beside(new BookingId(booking), filter, host, model.getAttribute("typed"), f)));
        return "lists/bookings";
    }

    private Besides.@Nullable Beside beside(
            BookingId booking, BookingFilter filter, Host host, @Nullable Object typed, Formats f) {
        return orders.byBooking(booking)
                .map(o -> besides.of(o, o.line(booking).orElse(null), filter.address(OWN), host, typed, f))
                .orElse(null);
    }

    /** Keeps what is looked for under a name. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/desk/bookings/views")
    String keep(BookingFilter.Asked asked, @RequestParam(defaultValue = "") String name, Host host) {
        String address = asked.filter(lists.today()).address(OWN);
        views.keep(LIST, name, address, host);
        return "redirect:" + address;
    }

    @Needs(Right.SEE_ALL)
    @PostMapping("/desk/bookings/views/{view}/remove")
    String remove(@PathVariable long view) {
        views.remove(LIST, view);
        return "redirect:" + OWN;
    }

    private static String more(BookingFilter filter, ListedBooking last) {
        return filter.address("/desk/bookings") + "&after=" + last.time().start() + "-" + last.id();
    }

    private static String sums(ListedBooking.Sums sums, Formats f) {
        return f.text(
                "lists.sums",
                sums.bookings(),
                sums.people(),
                f.money(sums.total()),
                f.money(sums.paid()),
                f.money(sums.open()));
    }

    private Row row(ListedBooking booking, BookingFilter filter, Formats f) {
        LocalDate day = f.zone().dateOf(booking.time().start());
        return new Row(
                booking.id(),
                f.text("lists.tickThis", booking.guest(), f.shortDay(day) + " " + f.times(booking.time())),
                columns.cells(
                        booking,
                        filter,
                        "/desk?day=" + day + "&booking=" + booking.id(),
                        filter.address(OWN) + "&booking=" + booking.id(),
                        f));
    }

    private List<Field> filters(BookingFilter filter, Formats f) {
        House house = catalogues.catalogue().house();
        List<Field> filters = new ArrayList<>();
        filters.add(Field.line("q", f.text("lists.q"), 100).value(filter.q()).with("autocomplete", "off"));
        filters.add(Field.date("from", f.text("lists.from")).value(filter.from().toString()));
        filters.add(Field.date("to", f.text("lists.to")).value(filter.to().toString()));
        filters.add(Filters.select(
                "state",
                f.text("lists.state"),
                Stream.of(BookingStatus.values())
                        .filter(s -> s != BookingStatus.HELD)
                        .map(s -> Field.Option.of(s.code(), f.text("status." + s.code()))),
                filter.state(),
                f));
        filters.addAll(Filters.house(house, filter.offer(), filter.person(), filter.place(), f));
        filters.add(Filters.money(filter.money(), f));
        filters.add(Filters.source(filter.source(), f));
        return filters;
    }
}
