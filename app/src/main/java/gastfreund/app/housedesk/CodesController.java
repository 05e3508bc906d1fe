package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.editing.Undoing;
import gastfreund.app.files.CodeTable;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PromoCode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import tools.jackson.databind.node.ObjectNode;

/** Promo codes: their list, new ones, many at once, and the sheet of each. */
@Controller
@RequestMapping(CodesController.ADDRESS)
class CodesController {

    static final String ADDRESS = "/desk/codes";
    static final int MOST_CODE = 40;

    private static final int MOST_SHOWN = 100;
    private static final int MOST_AT_ONCE = 500;
    private static final int RANDOM_LETTERS = 8;
    private static final int MOST_BEGIN = 20;
    private static final Pattern CODE = Pattern.compile("\\A[A-Za-z0-9][A-Za-z0-9-]*+\\z");
    private static final Pattern COUNT = Pattern.compile("\\A\\d{1,4}+\\z");

    private final Sheets sheets;
    private final HouseDocuments documents;
    private final Editing editing;
    private final Undoing undoing;
    private final Orders orders;
    private final CodeTable table;
    private final Tokens tokens;

    CodesController(
            Sheets sheets,
            HouseDocuments documents,
            Editing editing,
            Undoing undoing,
            Orders orders,
            CodeTable table,
            Tokens tokens) {
        this.sheets = sheets;
        this.documents = documents;
        this.editing = editing;
        this.undoing = undoing;
        this.orders = orders;
        this.table = table;
        this.tokens = tokens;
    }

    static String address(String code) {
        return ADDRESS + "/" + UriUtils.encodePathSegment(code, StandardCharsets.UTF_8);
    }

    private CodeSubject subject(String code) {
        String normal = PromoCode.normal(code);
        return new CodeSubject(normal, documents, orders.broughtBy(normal));
    }

    @Needs(Right.SET_UP)
    @GetMapping
    String list(
            Host host,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = Note.said(said, f.words()).stream().toList();
        return show(host, search, notes, CodeSubject.fresh("", "10 %", f), many("", "20", "10 %", "1", f), model);
    }

    /**
     * @param one the fields for a new one, with what was typed
     * @param many those for many
     */
    private String show(Host host, String search, List<Note> notes, List<Field> one, List<Field> many, Model model) {
        Formats f = Formats.of(model);
        String wanted = Written.line(search, MOST_CODE);
        List<Draft> drafts = editing.drafts(host).stream()
                .filter(d -> d.ref().kind() == Kind.PROMO_CODES)
                .toList();
        List<Document> found = Stream.concat(
                        drafts.stream().filter(Draft::isNew).map(Draft::document), found(wanted).stream())
                .toList();
        List<CodesPage.Row> rows = found.stream()
                .limit(MOST_SHOWN)
                .map(d -> row(d, drafts.stream().anyMatch(x -> x.ref().equals(d.ref())), f))
                .toList();
        model.addAttribute(
                "page",
                new CodesPage(
                        notes,
                        Field.line("search", f.text("codes.search"), MOST_CODE).value(wanted),
                        rows,
                        found.size() > rows.size() ? f.text("codes.more", found.size() - rows.size()) : "",
                        one,
                        many,
                        UriComponentsBuilder.fromPath(ADDRESS + "/codes.csv")
                                .queryParam("search", wanted)
                                .build()
                                .toUriString()));
        return "housedesk/codes";
    }

    private List<Document> found(String search) {
        String normal = PromoCode.normal(search);
        return documents.all(Kind.PROMO_CODES).stream()
                .filter(d -> d.ref().id().contains(normal))
                .toList();
    }

    private CodesPage.Row row(Document code, boolean draft, Formats f) {
        CodeSubject subject = subject(code.ref().id());
        List<String> facts = new ArrayList<>();
        facts.add(
                code.json().has("amount")
                        ? f.money(Money.ofMinor(code.json().path("amount").longValue(0)))
                        : Sorts.SHARE.said(code.json(), f));
        if (code.json().has("to")) {
            facts.add(f.text("codes.until", CodeSorts.TO.said(code.json().path("to"), f)));
        }
        if (code.json().has("maxUses")) {
            facts.add(f.text(
                    "codes.usedOf",
                    subject.brought().orders(),
                    code.json().path("maxUses").intValue(0)));
        }
        return new CodesPage.Row(
                code.name(),
                address(code.ref().id()),
                String.join(" · ", facts),
                subject.brought().orders() == 0 ? "" : subject.brought(f),
                draft);
    }

    private static List<Field> many(String begin, String count, String worth, String maxUses, Formats f) {
        return List.of(
                Field.line("begin", f.text("codes.begin"), MOST_BEGIN)
                        .with("autocapitalize", "characters")
                        .help(f.text("codes.beginHelp"))
                        .value(Written.line(begin, MOST_BEGIN)),
                Field.line("count", f.text("codes.count"), 4)
                        .with("inputmode", "numeric")
                        .value(Written.line(count, 4)),
                Field.line("worth", f.text("member.worth"), 20).id("many-worth").value(Written.line(worth, 20)),
                Field.line("maxUses", f.text("codes.each"), 4)
                        .with("inputmode", "numeric")
                        .value(Written.line(maxUses, 4)));
    }

    /** Begins a new one, as a draft. */
    @Needs(Right.SET_UP)
    @PostMapping
    String begin(
            Host host,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String worth,
            Model model) {
        String called = Written.line(code, MOST_CODE);
        Optional<ObjectNode> json = fresh(called, worth, Formats.of(model));
        DocumentRef ref = new DocumentRef(Kind.PROMO_CODES, PromoCode.normal(called));
        if (json.isPresent() && editing.begin(host, new Document(ref, 0, json.get()))) {
            return "redirect:" + address(ref.id());
        }
        Formats f = Formats.of(model);
        Note wrong = Note.bad(f.text(json.isEmpty() ? "said.code-wrong" : "said.code-taken"));
        return show(
                host,
                "",
                List.of(wrong),
                CodeSubject.fresh(called, Written.line(worth, MOST_CODE), f),
                many("", "20", "10 %", "1", f),
                model);
    }

    private static Optional<ObjectNode> fresh(String code, String worth, Formats f) {
        String typed = Written.line(worth, MOST_CODE);
        return CODE.matcher(code).matches() && !typed.isEmpty() && !typed.startsWith("-")
                ? Sorts.SHARE.read(typed, f).map(w ->
                        (ObjectNode) Sort.JSON.objectNode().put("code", code).setAll((ObjectNode) w))
                : Optional.empty();
    }

    /** Makes many that nobody can guess, at once. */
    @Needs(Right.SET_UP)
    @PostMapping("/many")
    String many(
            Host host,
            @RequestParam(defaultValue = "") String begin,
            @RequestParam(defaultValue = "") String count,
            @RequestParam(defaultValue = "") String worth,
            @RequestParam(defaultValue = "") String maxUses,
            Model model) {
        Formats f = Formats.of(model);
        int wanted = COUNT.matcher(count.strip()).matches() ? Integer.parseInt(count.strip()) : 0;
        String beginning = Written.line(begin, MOST_BEGIN).toUpperCase(Locale.ROOT);
        boolean counted = maxUses.isBlank() || COUNT.matcher(maxUses.strip()).matches();
        boolean right = wanted >= 1
                && wanted <= MOST_AT_ONCE
                && counted
                && fresh(beginning + tokens.letters(RANDOM_LETTERS), worth, f).isPresent();
        if (!right) {
            return show(
                    host,
                    "",
                    List.of(Note.bad(f.text("said.codes-wrong"))),
                    CodeSubject.fresh("", "10 %", f),
                    many(begin, count, worth, maxUses, f),
                    model);
        }
        List<Document> codes = new ArrayList<>();
        for (int i = 0; i < wanted; i++) {
            String code = beginning + tokens.letters(RANDOM_LETTERS);
            ObjectNode json = fresh(code, worth, f).orElseThrow();
            if (!maxUses.isBlank()) {
                json.put("maxUses", Integer.parseInt(maxUses.strip()));
            }
            codes.add(new Document(new DocumentRef(Kind.PROMO_CODES, PromoCode.normal(code)), 0, json));
        }
        return "redirect:"
                + UriComponentsBuilder.fromPath(ADDRESS)
                        .queryParam("search", beginning)
                        .build()
                        .encode()
                        .toUriString()
                + editing.together(host, codes, List.of()).said('&');
    }

    /** Those that are found, as a file. */
    @Needs(Right.SET_UP)
    @GetMapping("/codes.csv")
    ResponseEntity<String> file(@RequestParam(defaultValue = "") String search) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"promo-codes.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(table.written(found(Written.line(search, MOST_CODE))));
    }

    @Needs(Right.SET_UP)
    @GetMapping("/{code}")
    @Partial("sheet")
    String page(
            Host host, @PathVariable String code, @RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                sheets.page(
                        host,
                        subject(code),
                        "",
                        Note.said(said, f.words()).stream().toList(),
                        "",
                        f));
        return "housedesk/sheet";
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{code}")
    String type(Host host, @PathVariable String code, @RequestParam MultiValueMap<String, String> form, Model model) {
        return sheets.type(host, subject(code), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{code}/keep")
    String keep(Host host, @PathVariable String code, @RequestParam MultiValueMap<String, String> form, Model model) {
        return sheets.keep(host, subject(code), form, Formats.of(model));
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{code}/drop")
    String drop(Host host, @PathVariable String code) {
        return sheets.drop(host, subject(code), "", ADDRESS);
    }

    @Needs(Right.SET_UP)
    @PostMapping("/{code}/delete")
    String delete(Host host, @PathVariable String code) {
        DocumentRef ref = subject(code).ref();
        return undoing.delete(host, ref) instanceof Undoing.Deleting.Deleted
                ? "redirect:" + ADDRESS + "?said=deleted"
                : "redirect:" + address(ref.id()) + "?said=not-deleted";
    }
}
