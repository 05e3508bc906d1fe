package gastfreund.app.arrivals;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.openings.Sentence;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.storage.DoesMore;
import gastfreund.app.typed.GivenTable;
import gastfreund.app.typed.Written;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** Guests and bookings from elsewhere, at the desk: a table, what its columns are, what it would do, and doing it. */
@Controller
@RequestMapping("/desk/house/arrivals")
class ArrivalsController {

    private static final String OWN = "/desk/house/arrivals";
    private static final String COLUMN = "column-";
    private static final int SHOWN_ROWS = 5;
    private static final int MOST_NAME = 100;
    private static final List<String> SAID =
            List.of("taken", "undone", "not-undone", "removed", "changed", "no-file", "no-table");
    private static final List<String> BAD = List.of("not-undone", "changed", "no-file", "no-table");

    private final Arrivals arrivals;
    private final CatalogueService catalogues;

    ArrivalsController(Arrivals arrivals, CatalogueService catalogues) {
        this.arrivals = arrivals;
        this.catalogues = catalogues;
    }

    /** The tables that came, and where another one is sent. */
    public record ArrivalsPage(List<Note> notes, Field file, List<Came> came) {}

    /**
     * A table that came.
     *
     * @param next where it goes on; empty: it is taken over
     * @param undo where it is taken back; empty: it is not to be
     * @param remove where it is dropped; empty: it is taken over
     */
    public record Came(String name, String facts, String next, String undo, String remove) {}

    @Needs(Right.FILES)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = said == null || !SAID.contains(said)
                ? List.of()
                : List.of(
                        BAD.contains(said)
                                ? Note.bad(f.text("arrivals.said." + said, Arrivals.MOST_ROWS))
                                : Note.done(f.text("arrivals.said." + said)));
        model.addAttribute(
                "page",
                new ArrivalsPage(
                        notes,
                        Field.file("file", f.text("arrivals.file"), "text/csv,.csv,.txt"),
                        arrivals.newest().stream().map(a -> came(a, f)).toList()));
        return "arrivals/arrivals";
    }

    private Came came(Arrival arrival, Formats f) {
        List<String> facts = new ArrayList<>();
        facts.add(f.text("arrivals.came", f.moment(arrival.came()), arrival.who()));
        if (arrival.taken() != null) {
            facts.add(
                    arrival.undone() == null
                            ? f.text("arrivals.taken", f.moment(arrival.taken()), arrivals.orders(arrival))
                            : f.text("arrivals.undone", f.moment(arrival.undone())));
        }
        String own = OWN + "/" + arrival.id();
        boolean standing = arrival.taken() != null && arrival.undone() == null;
        return new Came(
                arrival.name(),
                String.join(" · ", facts),
                !arrival.isOpen() ? "" : arrival.columns().isEmpty() ? own + "/columns" : own,
                standing ? own + "/undo" : "",
                arrival.isOpen() ? own + "/remove" : "");
    }

    @Needs(Right.FILES)
    @PostMapping("/file")
    String take(@RequestParam(required = false) @Nullable MultipartFile file, Host host) throws IOException {
        if (file == null || file.isEmpty()) {
            return "redirect:" + OWN + "?said=no-file";
        }
        String name = Written.line(file.getOriginalFilename() == null ? "" : file.getOriginalFilename(), MOST_NAME);
        return arrivals.come(name.isEmpty() ? "table.csv" : name, text(file.getBytes()), host)
                .map(id -> "redirect:" + OWN + "/" + id + "/columns")
                .orElse("redirect:" + OWN + "?said=no-table");
    }

    /** UTF-8 where it is, otherwise as table programs wrote it for long. */
    private static String text(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    /**
     * Where the columns are named.
     *
     * @param fields one for each column
     * @param rows the first rows
     */
    public record ColumnsPage(
            List<Note> notes, String name, String action, List<Field> fields, Field order, List<List<String>> rows) {}

    private Arrival open(long id) {
        return arrivals.byId(id)
                .filter(Arrival::isOpen)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static GivenTable table(Arrival arrival) {
        return GivenTable.read(arrival.content()).orElseThrow();
    }

    @Needs(Right.FILES)
    @GetMapping("/{id}/columns")
    String columns(@PathVariable long id, Model model) {
        Arrival arrival = open(id);
        List<Column> chosen =
                arrival.columns().isEmpty() ? Column.guessed(table(arrival).heads()) : arrival.columns();
        return columns(arrival, chosen, arrival.monthFirst(), List.of(), model);
    }

    private static String columns(
            Arrival arrival, List<Column> chosen, boolean monthFirst, List<Note> notes, Model model) {
        Formats f = Formats.of(model);
        GivenTable table = table(arrival);
        List<Field.Option> options = Arrays.stream(Column.values())
                .map(c -> Field.Option.of(c.code(), f.text("arrivals.column." + c.code())))
                .toList();
        List<Field> fields = new ArrayList<>();
        for (int i = 0; i < table.heads().size(); i++) {
            fields.add(Field.select(COLUMN + i, table.heads().get(i), options)
                    .value(chosen.get(i).code()));
        }
        model.addAttribute(
                "page",
                new ColumnsPage(
                        notes,
                        arrival.name(),
                        OWN + "/" + arrival.id() + "/columns",
                        fields,
                        Field.tick("monthFirst", f.text("arrivals.monthFirst"), monthFirst),
                        table.rows(SHOWN_ROWS)));
        return "arrivals/columns";
    }

    @Needs(Right.FILES)
    @PostMapping("/{id}/columns")
    String say(@PathVariable long id, @RequestParam Map<String, String> form, Model model) {
        Arrival arrival = open(id);
        List<Column> chosen = new ArrayList<>();
        for (int i = 0; i < table(arrival).heads().size(); i++) {
            chosen.add(Column.of(form.getOrDefault(COLUMN + i, "")));
        }
        boolean monthFirst = form.containsKey("monthFirst");
        boolean halfBooking = chosen.contains(Column.OFFER) != chosen.contains(Column.START);
        if (!chosen.contains(Column.NAME) || halfBooking) {
            String wrong = halfBooking ? "arrivals.halfBooking" : "arrivals.noNameColumn";
            Note note = Note.bad(Formats.of(model).text(wrong));
            return columns(arrival, chosen, monthFirst, List.of(note), model);
        }
        arrivals.say(id, chosen, monthFirst);
        return "redirect:" + OWN + "/" + id;
    }

    /**
     * What it would do.
     *
     * @param rows first those that cannot be taken over
     * @param take what the button says; empty: there is none
     */
    public record LookPage(
            List<Note> notes,
            String name,
            String sum,
            List<Shown> rows,
            String take,
            String action,
            String leave,
            String columns) {}

    /**
     * A row.
     *
     * @param look {@code wrong}, {@code warned}, {@code right} or {@code out}
     */
    public record Shown(int number, String guest, String booking, List<String> says, String look, boolean out) {}

    /** Looks at it by doing it, and gives that up. */
    @DoesMore
    @Needs(Right.FILES)
    @GetMapping("/{id}")
    String look(@PathVariable long id, @RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Arrival arrival = open(id);
        if (arrival.columns().isEmpty()) {
            return "redirect:" + OWN + "/" + id + "/columns";
        }
        Formats f = Formats.of(model);
        List<Arrivals.Judged> judged = arrivals.look(arrival, host);
        long wrong = judged.stream().filter(j -> !j.isRight()).count();
        long out = judged.stream().filter(Arrivals.Judged::out).count();
        long taken = judged.size() - wrong - out;
        List<Note> notes = "changed".equals(said) ? List.of(Note.warn(f.text("arrivals.said.changed"))) : List.of();
        model.addAttribute(
                "page",
                new LookPage(
                        notes,
                        arrival.name(),
                        f.text("arrivals.sum", taken, wrong, out),
                        judged.stream()
                                .map(j -> shown(j, f))
                                .sorted((a, b) -> Integer.compare(order(a), order(b)))
                                .toList(),
                        wrong == 0 && taken > 0 ? f.text("arrivals.take", taken) : "",
                        OWN + "/" + id + "/take",
                        OWN + "/" + id + "/leave",
                        OWN + "/" + id + "/columns"));
        return "arrivals/look";
    }

    private static int order(Shown row) {
        return List.of("wrong", "warned", "right", "out").indexOf(row.look());
    }

    private Shown shown(Arrivals.Judged judged, Formats f) {
        Row row = judged.row();
        ReasonWords reasons = new ReasonWords(catalogues.catalogue(), f);
        List<String> says = new ArrayList<>();
        for (Row.Wrong wrong : judged.wrong()) {
            if (!wrong.what().equals("clash")) {
                says.add(f.text("arrivals.wrong." + wrong.what(), wrong.about()));
            }
        }
        Row.Wish wish = row.wish();
        if (wish != null && judged.time() != null) {
            for (var reason : judged.against()) {
                Sentence sentence = reasons.of(reason, wish.offer(), judged.time());
                says.add(sentence.words());
            }
        }
        String guest = String.join(
                " · ",
                List.of(
                                row.contact().name(),
                                row.contact().email(),
                                row.contact().phone())
                        .stream()
                        .filter(s -> !s.isEmpty())
                        .toList());
        String look = judged.out()
                ? "out"
                : !judged.wrong().isEmpty() ? "wrong" : judged.against().isEmpty() ? "right" : "warned";
        return new Shown(row.number(), guest, booking(judged, f), List.copyOf(says), look, judged.out());
    }

    private static String booking(Arrivals.Judged judged, Formats f) {
        Row.Wish wish = judged.row().wish();
        if (wish == null) {
            return "";
        }
        String price = wish.price() == null ? "" : f.money(wish.price());
        String when = judged.time() == null ? "" : f.dayAndTimes(judged.time());
        return List.of(wish.offer().title(), when, f.text("arrivals.party", wish.party()), price).stream()
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(" · "));
    }

    /** Leaves rows out, and takes others in again. */
    @Needs(Right.FILES)
    @PostMapping("/{id}/leave")
    String leave(@PathVariable long id, @RequestParam(defaultValue = "") List<String> out) {
        open(id);
        arrivals.leaveOut(
                id,
                out.stream()
                        .flatMap(o ->
                                Optional.of(o)
                                        .filter(n -> n.length() < 5 && n.chars().allMatch(Character::isDigit))
                                        .stream())
                        .filter(n -> !n.isEmpty())
                        .map(Integer::valueOf)
                        .collect(Collectors.toCollection(TreeSet::new)));
        return "redirect:" + OWN + "/" + id;
    }

    @Needs(Right.FILES)
    @PostMapping("/{id}/take")
    String takeOver(@PathVariable long id, Host host) {
        return arrivals.takeOver(open(id), host)
                ? "redirect:" + OWN + "?said=taken"
                : "redirect:" + OWN + "/" + id + "?said=changed";
    }

    @Needs(Right.FILES)
    @PostMapping("/{id}/undo")
    String undo(@PathVariable long id) {
        Arrival arrival = arrivals.byId(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return "redirect:" + OWN + "?said=" + (arrivals.undo(arrival) ? "undone" : "not-undone");
    }

    @Needs(Right.FILES)
    @PostMapping("/{id}/remove")
    String remove(@PathVariable long id) {
        arrivals.remove(open(id).id());
        return "redirect:" + OWN + "?said=removed";
    }
}
