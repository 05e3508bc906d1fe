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
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The lists of orders and of payments, a part at a time, and as files. */
@Controller
@RequestMapping("/desk/lists/{list}")
class ListingController {

    private static final int PAGE = 100;
    private static final int FILE = 50_000;

    private final List<Listing> listings;
    private final KeptViews views;
    private final CatalogueService catalogues;
    private final Orders orders;
    private final Besides besides;
    private final Clock clock;

    ListingController(
            List<Listing> listings,
            KeptViews views,
            CatalogueService catalogues,
            Orders orders,
            Besides besides,
            Clock clock) {
        this.orders = orders;
        this.besides = besides;
        this.listings = listings;
        this.views = views;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * What the page shows.
     *
     * @param cols the columns that can be chosen
     * @param heads of those that are shown
     * @param more where the list goes on; empty: it does not
     */
    public record ListingPage(
            String title,
            String own,
            List<Field> filters,
            Field cols,
            String sums,
            List<Columns.Head> heads,
            List<Row> rows,
            String more,
            List<Way> files,
            List<KeptViews.Shown> views,
            KeptViews.Keeping keep,
            Besides.@Nullable Beside beside,
            List<Note> notes) {}

    public record Row(List<Columns.Cell> cells) {}

    private Listing listing(String name) {
        return listings.stream()
                .filter(l -> l.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    @Needs(Right.SEE_ALL)
    @Partial("list")
    @GetMapping
    String list(
            @PathVariable String list,
            Looked.Asked asked,
            @RequestParam(defaultValue = "0") long before,
            @RequestParam(defaultValue = "0") long order,
            @RequestParam(defaultValue = "") String booking,
            @RequestParam(required = false) @Nullable String said,
            Host host,
            Model model) {
        Formats f = Formats.of(model);
        Listing listing = listing(list);
        Looked looked = asked.looked(listing, today());
        List<Listing.Row> found = listing.rows(looked, before > 0 ? before : Long.MAX_VALUE, PAGE + 1, f);
        List<Listing.Row> shown = found.subList(0, Math.min(found.size(), PAGE));
        String own = "/desk/lists/" + listing.name();
        String here = looked.address(own);
        model.addAttribute(
                "page",
                new ListingPage(
                        f.text("lists.title." + listing.name()),
                        own,
                        filters(listing, looked, f),
                        listing.columns().choice(looked.cols(), f),
                        listing.sums(looked, f),
                        listing.columns().heads(looked.cols(), f),
                        shown.stream()
                                .map(r -> new Row(cells(listing, r, looked, here, f)))
                                .toList(),
                        found.size() > shown.size()
                                ? here + "&before="
                                        + shown.get(shown.size() - 1).id()
                                : "",
                        Stream.of("csv", "xlsx", "pdf")
                                .map(t -> new Way(looked.address(own + "/file." + t), f.text("lists." + t)))
                                .toList(),
                        views.of(listing.name(), own),
                        KeptViews.Keeping.of(looked.address(own + "/views"), f),
                        beside(order, booking, here, host, model.getAttribute("typed"), f),
                        Note.said(said, f.words()).stream().toList()));
        return "lists/listing";
    }

    /** The first column leads to the order, the guest's name to what is looked at beside the list. */
    private static List<Columns.Cell> cells(Listing listing, Listing.Row row, Looked looked, String here, Formats f) {
        List<Columns.Cell> cells = new ArrayList<>();
        for (int place : listing.columns().places(looked.cols())) {
            Columns.Column column = listing.columns().all().get(place);
            String words = row.shown().get(place);
            Columns.Cell cell = column.number() ? Columns.Cell.number(words) : Columns.Cell.of(words);
            if (column.key().equals("guest") && !words.isEmpty()) {
                cells.add(cell.to(
                        here + "&order=" + row.order(), f.text("lists.besideThis", words, Long.toString(row.order()))));
            } else {
                cells.add(cells.isEmpty() ? cell.to("/desk/orders/" + row.order(), null) : cell);
            }
        }
        return cells;
    }

    private Besides.@Nullable Beside beside(
            long number, String booking, String here, Host host, @Nullable Object typed, Formats f) {
        return orders.byNumber(number)
                .map(o -> besides.of(
                        o,
                        o.lines().stream()
                                .filter(l -> l.booking().value().equals(booking))
                                .findFirst()
                                .orElse(null),
                        here + "&order=" + o.number(),
                        host,
                        typed,
                        f))
                .orElse(null);
    }

    private List<Field> filters(Listing listing, Looked looked, Formats f) {
        List<Field> filters = new ArrayList<>();
        filters.add(Field.line("q", f.text("lists.q"), 100).value(looked.q()).with("autocomplete", "off"));
        filters.add(Field.date("from", f.text("lists.from")).value(looked.from().toString()));
        filters.add(Field.date("to", f.text("lists.to")).value(looked.to().toString()));
        filters.add(Filters.select(
                "state",
                f.text("lists.state"),
                listing.states().stream()
                        .map(s -> Field.Option.of(s, f.text(listing.stateKey() + s.replace(' ', '-')))),
                looked.state(),
                f));
        if (!listing.ways().isEmpty()) {
            filters.add(Filters.select(
                    "way",
                    f.text("lists.col.way"),
                    listing.ways().stream().map(w -> Field.Option.of(w, f.text("gateway." + w))),
                    looked.way(),
                    f));
        }
        filters.addAll(
                Filters.house(catalogues.catalogue().house(), looked.offer(), looked.person(), looked.place(), f));
        if (listing.isOfOrders()) {
            filters.add(Filters.money(looked.money(), f));
            filters.add(Filters.source(looked.source(), f));
        }
        return filters;
    }

    private Sheet sheet(String list, Looked.Asked asked, Model model) {
        Formats f = Formats.of(model);
        Listing listing = listing(list);
        Looked looked = asked.looked(listing, today());
        return new Sheet(
                listing.name(),
                f.text("lists.title." + listing.name()),
                looked.cols(),
                listing.columns().numbers(looked.cols()),
                listing.rows(looked, Long.MAX_VALUE, FILE, f).stream()
                        .map(r -> listing.columns().only(r.plain(), looked.cols()))
                        .toList());
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.csv")
    ResponseEntity<String> csv(@PathVariable String list, Looked.Asked asked, Model model) {
        return sheet(list, asked, model).csv();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.xlsx")
    ResponseEntity<byte[]> xlsx(@PathVariable String list, Looked.Asked asked, Model model) {
        return sheet(list, asked, model).xlsx();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable String list, Looked.Asked asked, Model model) {
        return sheet(list, asked, model).pdf();
    }

    /** Keeps what is looked for under a name. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/views")
    String keep(
            @PathVariable String list, Looked.Asked asked, @RequestParam(defaultValue = "") String name, Host host) {
        Listing listing = listing(list);
        String address = asked.looked(listing, today()).address("/desk/lists/" + listing.name());
        views.keep(listing.name(), name, address, host);
        return "redirect:" + address;
    }

    @Needs(Right.SEE_ALL)
    @PostMapping("/views/{view}/remove")
    String remove(@PathVariable String list, @PathVariable long view) {
        Listing listing = listing(list);
        views.remove(listing.name(), view);
        return "redirect:/desk/lists/" + listing.name();
    }
}
