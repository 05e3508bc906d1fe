package gastfreund.app.guests;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.lists.Sheet;
import gastfreund.app.orderdesk.Conversation;
import gastfreund.app.orderdesk.SaidRow;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The guests: a list that filters as one types, and a page for each, named by the number of one of their orders. */
@Controller
@RequestMapping("/desk/guests")
class GuestListController {

    private static final int MOST_TYPED = 100;
    private static final int MOST_SAID = 30;
    private static final int MOST_NAME = 2000;

    /** What is told also where there is nothing of it. */
    private static final Set<String> STAY = Set.of("bookings", "documents");

    private static final List<String> COLUMNS =
            List.of("name", "mail", "telephone", "tags", "bookings", "paid", "currency");
    private static final Set<Integer> NUMBERS = Set.of(4, 5);

    private final GuestCards cards;
    private final GuestService guests;
    private final Orders orders;
    private final Conversation conversation;
    private final CatalogueService catalogues;

    GuestListController(
            GuestCards cards,
            GuestService guests,
            Orders orders,
            Conversation conversation,
            CatalogueService catalogues) {
        this.cards = cards;
        this.guests = guests;
        this.orders = orders;
        this.conversation = conversation;
        this.catalogues = catalogues;
    }

    /** @param more where the list goes on; empty: it does not */
    public record ListPage(
            List<Note> notes, List<Field> filters, List<Row> rows, String more, List<Way> files, boolean data) {}

    /** A way out. */
    public record Way(String address, String words) {}

    public record Row(
            String address, String name, String reach, List<String> tags, String bookings, String next, String paid) {}

    /**
     * A guest.
     *
     * @param goes what goes when they are forgotten, and what stays; empty: the reader may not
     * @param open whether something is still to come, so that they cannot be forgotten
     */
    public record GuestPage(
            List<Note> notes,
            String name,
            String own,
            List<String> reach,
            List<String> tags,
            String note,
            String sums,
            List<Field> fields,
            List<Booked> booked,
            List<SaidRow> said,
            List<Other> members,
            List<Other> doubles,
            List<String> goes,
            boolean open) {}

    public record Booked(
            String order, String number, String when, String what, String sign, String state, String total) {}

    /** Another guest, or another address of the same one. */
    public record Other(String number, String name, String reach) {}

    @Needs(Right.SEE_ALL)
    @Partial("list")
    @GetMapping
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String tag,
            @RequestParam(defaultValue = "0") long before,
            @RequestParam(required = false) @Nullable String said,
            Host host,
            Model model) {
        Formats f = Formats.of(model);
        String typed = Written.line(q, MOST_TYPED);
        List<String> tags = cards.tags();
        String chosen =
                tags.stream().filter(t -> t.equalsIgnoreCase(tag)).findFirst().orElse("");
        GuestCards.Page page = cards.list(typed, chosen, before > 0 ? before : Long.MAX_VALUE);
        List<Field> filters = new ArrayList<>();
        filters.add(Field.line("q", f.text("guests.q"), MOST_TYPED).value(typed).with("autocomplete", "off"));
        filters.add(Field.select(
                        "tag",
                        f.text("guests.tag"),
                        Stream.concat(
                                        Stream.of(Field.Option.of("", f.text("guests.anyTag"))),
                                        tags.stream().map(t -> Field.Option.of(t, t)))
                                .toList())
                .value(chosen));
        model.addAttribute(
                "page",
                new ListPage(
                        Note.said(said, f.words()).stream().toList(),
                        filters,
                        page.guests().stream().map(g -> row(g, f)).toList(),
                        page.before() == 0 ? "" : more(typed, chosen, page.before()),
                        Stream.of("csv", "xlsx", "pdf")
                                .map(t ->
                                        new Way(address("/desk/guests/file." + t, typed, chosen), f.text("lists." + t)))
                                .toList(),
                        host.may(Right.GUEST_DATA)));
        return "guests/list";
    }

    private Sheet sheet(String q, String tag, Model model) {
        Formats f = Formats.of(model);
        return new Sheet(
                "guests",
                f.text("guests.listTitle"),
                COLUMNS,
                NUMBERS,
                cards.all(Written.line(q, MOST_TYPED), Written.line(tag, MOST_TYPED)).stream()
                        .map(g -> List.of(
                                g.newest().name(),
                                g.newest().email(),
                                g.newest().phone(),
                                String.join(", ", g.card().tags()),
                                Integer.toString(g.sums().bookings()),
                                f.decimal(Money.ofMinor(g.sums().paid())),
                                f.currencyCode()))
                        .toList());
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.csv")
    ResponseEntity<String> csv(
            @RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String tag, Model model) {
        return sheet(q, tag, model).csv();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.xlsx")
    ResponseEntity<byte[]> xlsx(
            @RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String tag, Model model) {
        return sheet(q, tag, model).xlsx();
    }

    @Needs(Right.GUEST_DATA)
    @GetMapping("/file.pdf")
    ResponseEntity<byte[]> pdf(
            @RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String tag, Model model) {
        return sheet(q, tag, model).pdf();
    }

    private static String more(String typed, String tag, long before) {
        return address("/desk/guests", typed, tag) + "&before=" + before;
    }

    private static String address(String path, String typed, String tag) {
        return UriComponentsBuilder.fromPath(path)
                .queryParam("q", "{q}")
                .queryParam("tag", "{tag}")
                .encode()
                .buildAndExpand(Map.of("q", typed, "tag", tag))
                .toUriString();
    }

    private static Row row(GuestCards.Listed guest, Formats f) {
        GuestCardStore.Row newest = guest.newest();
        return new Row(
                "/desk/guests/" + newest.number(),
                newest.name(),
                Stream.of(newest.phone(), newest.email())
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse(""),
                guest.card().tags(),
                f.text("guests.bookings", guest.sums().bookings()),
                when(
                        guest.sums().next() > 0
                                ? guest.sums().next()
                                : guest.sums().last(),
                        f),
                f.money(Money.ofMinor(guest.sums().paid())));
    }

    private static String when(long second, Formats f) {
        HouseZone zone = f.zone();
        return second == 0 ? "" : f.shortDay(zone.dateOf(Instant.ofEpochSecond(second)));
    }

    @Needs(Right.SEE_ALL)
    @GetMapping("/{number}")
    String guest(
            @PathVariable long number, @RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Order order = orders.byNumberAsked(number);
        Formats f = Formats.of(model);
        return show(order, Note.said(said, f.words()).stream().toList(), host, model);
    }

    private String show(Order order, List<Note> notes, Host host, Model model) {
        Formats f = Formats.of(model);
        GuestCard card = cards.of(order);
        List<Order> all = cards.orders(card);
        GuestCardStore.Sums sums = cards.sums(card);
        List<SaidRow> said = all.stream()
                .sorted(Comparator.comparing(Order::number))
                .flatMap(o -> conversation.of(o, f).stream())
                .toList();
        String next = when(sums.next(), f);
        model.addAttribute(
                "page",
                new GuestPage(
                        notes,
                        order.contact().name(),
                        "/desk/guests/" + order.number(),
                        all.stream()
                                .flatMap(o -> Stream.of(
                                        o.contact().phone(), o.contact().email()))
                                .filter(s -> !s.isEmpty())
                                .distinct()
                                .toList(),
                        card.tags(),
                        card.note(),
                        f.text(
                                next.isEmpty() ? "guests.sums" : "guests.sumsNext",
                                sums.bookings(),
                                f.money(Money.ofMinor(sums.paid())),
                                next),
                        List.of(
                                Field.line("tags", f.text("guests.tags"), MOST_NAME)
                                        .value(String.join(", ", card.tags()))
                                        .help(f.text("guests.tagsHelp")),
                                Field.text("note", f.text("guests.note"), GuestCards.MOST_NOTE)
                                        .value(card.note())
                                        .help(f.text("guests.noteHelp"))),
                        all.stream()
                                .flatMap(o -> o.lines().stream().map(l -> booked(o, l, f)))
                                .toList(),
                        said.subList(Math.max(0, said.size() - MOST_SAID), said.size()),
                        card.isMerged() ? members(card, all) : List.of(),
                        cards.doubles(order, card).stream()
                                .map(GuestListController::other)
                                .toList(),
                        host.may(Right.GUEST_DATA) ? goes(card, f) : List.of(),
                        guests.isOpen(card)));
        return "guests/guest";
    }

    private static Booked booked(Order order, OrderLine line, Formats f) {
        return new Booked(
                "/desk/orders/" + order.number(),
                Long.toString(order.number()),
                f.dayAndTimes(line.time()),
                line.sold().title() + " · " + f.text("offer.people", line.party()),
                line.status().code(),
                f.text("status." + line.status().code()),
                f.money(line.total()));
    }

    private static Other other(Order order) {
        return new Other(
                Long.toString(order.number()),
                order.contact().name(),
                Stream.of(order.contact().email(), order.contact().phone())
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse(""));
    }

    /** One order for each address of a guest, and those without one. */
    private static List<Other> members(GuestCard card, List<Order> all) {
        List<Other> members = new ArrayList<>();
        for (String email : card.emails()) {
            all.stream()
                    .filter(o -> o.contact().email().equalsIgnoreCase(email))
                    .findFirst()
                    .map(GuestListController::other)
                    .ifPresent(members::add);
        }
        all.stream()
                .filter(o -> o.contact().email().isEmpty())
                .map(GuestListController::other)
                .forEach(members::add);
        return members;
    }

    private List<String> goes(GuestCard card, Formats f) {
        int years = catalogues.catalogue().keeping().documentYears();
        return guests.goes(card).entrySet().stream()
                .filter(e -> e.getValue() > 0 || STAY.contains(e.getKey()))
                .map(e -> f.text("guests.goes." + e.getKey(), e.getValue(), years))
                .toList();
    }

    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}")
    String keep(
            @PathVariable long number,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String tags) {
        cards.keep(orders.byNumberAsked(number), note, Written.line(tags, MOST_NAME));
        return back(number, "noted");
    }

    /** Makes a guest and whoever gave another order one. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}/merge")
    String merge(@PathVariable long number, @RequestParam long other) {
        cards.merge(orders.byNumberAsked(number), orders.byNumberAsked(other));
        return back(number, "merged");
    }

    /** Makes whoever gave an order a guest of their own again. */
    @Needs(Right.SEE_ALL)
    @PostMapping("/{number}/split")
    String split(@PathVariable long number, @RequestParam long other) {
        cards.leave(orders.byNumberAsked(other));
        return back(number, "split");
    }

    private static String back(long number, String said) {
        return "redirect:/desk/guests/" + number + "?said=" + said;
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/{number}/file")
    ResponseEntity<String> takeOut(@PathVariable long number, Actor host) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"guest.json\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(guests.takeOut(cards.of(orders.byNumberAsked(number)), host));
    }

    @Needs(Right.GUEST_DATA)
    @PostMapping("/{number}/forget")
    String forget(@PathVariable long number, Host host, Model model) {
        Order order = orders.byNumberAsked(number);
        if (guests.forget(cards.of(order), host.actor())) {
            return "redirect:/desk/guests?said=forgotten";
        }
        return show(order, List.of(Note.bad(Formats.of(model).text("guests.notYet"))), host, model);
    }
}
