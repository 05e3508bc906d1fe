package gastfreund.app.figures;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Table;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What the weeks were like, and the bookings of which each figure is made. */
@Controller
class FiguresController {

    /** So many bookings are shown on a page; the file has all. */
    private static final int SHOWN = 500;

    private static final List<String> COLUMNS = List.of(
            "order",
            "start",
            "end",
            "offer",
            "length",
            "served-by",
            "status",
            "people",
            "ordered",
            "source",
            "promo-code",
            "came-before",
            "earned",
            "given-back",
            "owed",
            "currency");

    private final Figures figures;
    private final Unmet unmet;
    private final FiguresPages pages;
    private final CatalogueService catalogues;

    FiguresController(Figures figures, Unmet unmet, FiguresPages pages, CatalogueService catalogues) {
        this.figures = figures;
        this.unmet = unmet;
        this.pages = pages;
        this.catalogues = catalogues;
    }

    /** What somebody asks of; of an offer or a person that is not there is nothing to tell. */
    private FigureFilter filter(FigureFilter.Said said) {
        FigureFilter filter = said.filter();
        House house = catalogues.catalogue().house();
        boolean known = (filter.offer().isEmpty()
                        || house.offers().stream().anyMatch(o -> o.id().value().equals(filter.offer())))
                && (filter.person().isEmpty()
                        || house.staff().stream().anyMatch(s -> s.id().value().equals(filter.person())));
        if (!known) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return filter;
    }

    private static Optional<Slice> slice(String of) {
        Optional<Slice> slice = Slice.of(of);
        if (slice.isEmpty() && !of.isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return slice;
    }

    @Needs(Right.SEE_ALL)
    @GetMapping(FiguresPages.OWN)
    String page(FigureFilter.Said said, Host host, Model model) {
        FigureFilter filter = filter(said);
        Formats f = Formats.of(model);
        model.addAttribute("page", pages.of(figures.of(filter), unmet.groups(f), unmet.whatIf(host), filter, f));
        return "figures/figures";
    }

    /** Opens a change that would have given something as a draft. */
    @Needs(Right.SET_UP)
    @PostMapping(FiguresPages.OWN + "/try")
    String tryIt(@RequestParam String group, @RequestParam String change, Host host, Model model) {
        return "redirect:"
                + unmet.draft(host, group, change, Formats.of(model))
                        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /**
     * The bookings of a figure.
     *
     * @param sums what they come to
     * @param beyond how many are not shown; 0: all are
     */
    public record RowsPage(String sums, List<Shown> rows, int beyond, String csv, String back) {}

    /** A booking of a figure. */
    public record Shown(
            String when,
            String guest,
            String order,
            String offer,
            String status,
            int people,
            String earned,
            String givenBack,
            String owed) {}

    @Needs(Right.SEE_ALL)
    @GetMapping(FiguresPages.ROWS)
    String rows(FigureFilter.Said said, @RequestParam(defaultValue = "") String of, Model model) {
        FigureFilter filter = filter(said);
        Formats f = Formats.of(model);
        List<Row> rows = figures.rows(filter, slice(of));
        Earned sum = rows.stream().map(Row::money).reduce(Earned.NOTHING, Earned::plus);
        House house = catalogues.catalogue().house();
        model.addAttribute(
                "page",
                new RowsPage(
                        f.text(
                                "figures.rowsSum",
                                rows.size(),
                                f.money(sum.earned()),
                                f.money(sum.givenBack()),
                                f.money(sum.owed())),
                        rows.stream().limit(SHOWN).map(r -> shown(r, house, f)).toList(),
                        Math.max(0, rows.size() - SHOWN),
                        filter.address(FiguresPages.OWN + ".csv", "of", of),
                        filter.address(FiguresPages.OWN)));
        return "figures/rows";
    }

    private static Shown shown(Row row, House house, Formats f) {
        return new Shown(
                f.dayAndTimes(row.time()),
                row.guest(),
                "/desk/orders/" + row.order(),
                house.offer(row.offer()).map(Offer::title).orElse(row.offer().value()),
                f.text("status." + row.status().code()),
                row.party(),
                f.money(row.money().earned()),
                f.money(row.money().givenBack()),
                f.money(row.money().owed()));
    }

    @Needs(Right.SEE_ALL)
    @GetMapping(FiguresPages.OWN + ".csv")
    ResponseEntity<String> csv(FigureFilter.Said said, @RequestParam(defaultValue = "") String of, Model model) {
        Formats f = Formats.of(model);
        List<Row> rows = figures.rows(filter(said), slice(of));
        return Table.file(
                "figures.csv", COLUMNS, rows.stream().map(r -> written(r, f)).toList());
    }

    private static List<String> written(Row row, Formats f) {
        return List.of(
                Long.toString(row.order()),
                moment(row.time().startInstant(), f),
                moment(row.time().endInstant(), f),
                row.offer().value(),
                row.length(),
                row.staff().stream().map(StaffId::value).collect(Collectors.joining(" ")),
                row.status().code(),
                Integer.toString(row.party()),
                moment(row.placed(), f),
                row.source(),
                row.code(),
                row.earlier() ? "yes" : "no",
                f.decimal(row.money().earned()),
                f.decimal(row.money().givenBack()),
                f.decimal(row.money().owed()),
                f.currencyCode());
    }

    /** What is left of each voucher and pass that is out; their codes are money, and not in it. */
    @Needs(Right.SEE_ALL)
    @GetMapping(FiguresPages.PREPAID)
    ResponseEntity<String> prepaid(Model model) {
        Formats f = Formats.of(model);
        return Table.file(
                "prepaid.csv",
                List.of("kind", "title", "issued", "last-day", "worth", "left", "unit"),
                figures.outstanding().stream().map(p -> written(p, f)).toList());
    }

    private static List<String> written(FigureStore.Outstanding one, Formats f) {
        boolean money = one.kind().equals(FigureStore.VOUCHER);
        return List.of(
                one.kind(),
                one.title(),
                moment(one.issued(), f),
                one.lastDay(),
                money ? f.decimal(one.asMoney(one.worth())) : Long.toString(one.worth()),
                money ? f.decimal(one.asMoney(one.rest())) : Long.toString(one.rest()),
                money ? f.currencyCode() : "visits");
    }

    private static String moment(Instant instant, Formats f) {
        return instant.atZone(f.zone().id()).format(DateTimeFormatter.ISO_OFFSET_DATE_TIME);
    }
}
