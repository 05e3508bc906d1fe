package gastfreund.app.guests;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.lists.Columns;
import gastfreund.app.lists.Columns.Column;
import gastfreund.app.lists.KeptViews;
import gastfreund.app.lists.Sheet;
import gastfreund.app.lists.Way;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The list of guests, which filters as one types. */
@Controller
@RequestMapping("/desk/guests")
class GuestListController {

    private static final int MOST_TYPED = 100;
    private static final int MOST_BESIDE = 12;
    private static final String LIST = "guests";
    private static final String OWN = "/desk/guests";

    private static final Columns COLUMNS = new Columns(List.of(
            new Column("guest", false, true),
            new Column("mail", false, false),
            new Column("telephone", false, false),
            new Column("tags", false, true),
            new Column("bookings", true, true),
            new Column("next", false, true),
            new Column("last", false, false),
            new Column("paid", true, true)));

    private final GuestCards cards;
    private final GuestPages pages;
    private final Orders orders;
    private final KeptViews views;

    GuestListController(GuestCards cards, GuestPages pages, Orders orders, KeptViews views) {
        this.cards = cards;
        this.pages = pages;
        this.orders = orders;
        this.views = views;
    }

    /**
     * Whom an address looks for; what is nonsense there does not matter.
     *
     * @param cols the keys of the columns that are shown
     */
    record Asked(@Nullable String q, @Nullable String tag, @Nullable List<String> cols) {

        String typed() {
            return Written.line(q == null ? "" : q, MOST_TYPED);
        }

        String tagged() {
            return Written.line(tag == null ? "" : tag, MOST_TYPED);
        }

        /** The same with a tag that there is, as it is written there; without one where there is none such. */
        Asked among(List<String> tags) {
            return new Asked(
                    q,
                    tags.stream()
                            .filter(t -> t.equalsIgnoreCase(tag))
                            .findFirst()
                            .orElse(""),
                    cols);
        }

        List<String> shown() {
            return COLUMNS.known(cols);
        }

        /** The address of something that shows exactly this. */
        String address(String path) {
            UriComponentsBuilder uri =
                    UriComponentsBuilder.fromPath(path).queryParam("q", "{q}").queryParam("tag", "{tag}");
            shown().forEach(c -> uri.queryParam("cols", c));
            return uri.encode()
                    .buildAndExpand(Map.of("q", typed(), "tag", tagged()))
                    .toUriString();
        }
    }

    /**
     * What the list shows.
     *
     * @param sums what those that are shown come to
     * @param more where the list goes on; empty: it does not
     * @param data whether the reader may take out what the house has of guests
     * @param beside the guest that is looked at; null: none is
     */
    public record ListPage(
            List<Note> notes,
            List<Field> filters,
            Field cols,
            String sums,
            List<Columns.Head> heads,
            List<List<Columns.Cell>> rows,
            String more,
            List<Way> files,
            List<KeptViews.Shown> views,
            KeptViews.Keeping keep,
            boolean data,
            GuestPages.@Nullable GuestPage beside) {}

    @Needs(Right.SEE_ALL)
    @Partial("list")
    @GetMapping
    String list(
            Asked said,
            @RequestParam(defaultValue = "0") long before,
            @RequestParam(defaultValue = "0") long guest,
            @RequestParam(name = "said", required = false) @Nullable String done,
            Host host,
            Model model) {
        Formats f = Formats.of(model);
        List<String> tags = cards.tags();
        Asked asked = said.among(tags);
        GuestCards.Page page = cards.list(asked.typed(), asked.tagged(), before > 0 ? before : Long.MAX_VALUE);
        String here = asked.address(OWN);
        model.addAttribute(
                "page",
                new ListPage(
                        Note.said(done, f.words()).stream().toList(),
                        filters(asked, tags, f),
                        COLUMNS.choice(asked.shown(), f),
                        f.text(
                                page.before() == 0 ? "guests.shown" : "guests.shownSome",
                                page.guests().size(),
                                page.guests().stream()
                                        .mapToInt(g -> g.sums().bookings())
                                        .sum(),
                                f.money(Money.ofMinor(page.guests().stream()
                                        .mapToLong(g -> g.sums().paid())
                                        .sum()))),
                        COLUMNS.heads(asked.shown(), f),
                        page.guests().stream()
                                .map(g -> COLUMNS.only(cells(g, asked.shown(), here, f), asked.shown()))
                                .toList(),
                        page.before() == 0 ? "" : here + "&before=" + page.before(),
                        Stream.of("csv", "xlsx", "pdf")
                                .map(t -> new Way(asked.address(OWN + "/file." + t), f.text("lists." + t)))
                                .toList(),
                        views.of(LIST, OWN),
                        KeptViews.Keeping.of(asked.address(OWN + "/views"), f),
                        host.may(Right.GUEST_DATA),
                        orders.byNumber(guest)
                                .map(o -> pages.page(o, List.of(), host, f).first(MOST_BESIDE))
                                .orElse(null)));
        return "guests/list";
    }

    private static List<Field> filters(Asked asked, List<String> tags, Formats f) {
        return List.of(
                Field.line("q", f.text("guests.q"), MOST_TYPED)
                        .value(asked.typed())
                        .with("autocomplete", "off"),
                Field.select(
                                "tag",
                                f.text("guests.tag"),
                                Stream.concat(
                                                Stream.of(Field.Option.of("", f.text("guests.anyTag"))),
                                                tags.stream().map(t -> Field.Option.of(t, t)))
                                        .toList())
                        .value(asked.tagged()));
    }

    private static List<Columns.Cell> cells(GuestCards.Listed guest, List<String> shown, String here, Formats f) {
        GuestCardStore.Row newest = guest.newest();
        String reach = shown.contains("mail") || shown.contains("telephone")
                ? ""
                : Stream.of(newest.phone(), newest.email())
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse("");
        return List.of(
                Columns.Cell.link(newest.name(), here + "&guest=" + newest.number())
                        .with("", "", reach),
                Columns.Cell.of(newest.email()),
                Columns.Cell.of(newest.phone()),
                Columns.Cell.of(String.join(", ", guest.card().tags())),
                Columns.Cell.number(Integer.toString(guest.sums().bookings())),
                Columns.Cell.of(GuestPages.when(guest.sums().next(), f)),
                Columns.Cell.of(GuestPages.when(guest.sums().last(), f)),
                Columns.Cell.number(f.money(Money.ofMinor(guest.sums().paid()))));
    }

    private Sheet sheet(Asked asked, Model model) {
        Formats f = Formats.of(model);
        return new Sheet(
                LIST,
                f.text("guests.listTitle"),
                asked.shown(),
                COLUMNS.numbers(asked.shown()),
                cards.all(asked.typed(), asked.tagged()).stream()
                        .map(g -> COLUMNS.only(plain(g, f), asked.shown()))
                        .toList());
    }

    private static List<String> plain(GuestCards.Listed guest, Formats f) {
        return List.of(
                guest.newest().name(),
                guest.newest().email(),
                guest.newest().phone(),
                String.join(", ", guest.card().tags()),
                Integer.toString(guest.sums().bookings()),
                date(guest.sums().next(), f),
                date(guest.sums().last(), f),
                f.decimal(Money.ofMinor(guest.sums().paid())));
    }

    private static String date(long second, Formats f) {
        return second == 0 ? "" : f.zone().dateOf(Instant.ofEpochSecond(second)).toString();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.csv")
    ResponseEntity<String> csv(Asked asked, Model model) {
        return sheet(asked, model).csv();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.xlsx")
    ResponseEntity<byte[]> xlsx(Asked asked, Model model) {
        return sheet(asked, model).xlsx();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.pdf")
    ResponseEntity<byte[]> pdf(Asked asked, Model model) {
        return sheet(asked, model).pdf();
    }

    /** Keeps whom one looks for under a name. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/views")
    String keep(Asked asked, @RequestParam(defaultValue = "") String name, Host host) {
        views.keep(LIST, name, asked.address(OWN), host);
        return "redirect:" + asked.address(OWN);
    }

    @Needs(Right.SEE_ALL)
    @PostMapping("/views/{view}/remove")
    String remove(@PathVariable long view) {
        views.remove(LIST, view);
        return "redirect:" + OWN;
    }
}
