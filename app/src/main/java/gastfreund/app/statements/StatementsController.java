package gastfreund.app.statements;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.PaymentService;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which statements are read and what is doubtful is seen to. */
@Controller
@RequestMapping("/desk/statements")
class StatementsController {

    private static final int SHOWN_ROWS = 5;
    private static final String COLUMN = "column-";

    private final Statements statements;
    private final PaymentService payments;
    private final Orders orders;

    StatementsController(Statements statements, PaymentService payments, Orders orders) {
        this.statements = statements;
        this.payments = payments;
        this.orders = orders;
    }

    /** @param open lines that nobody has matched or laid aside */
    public record StatementsPage(List<Note> notes, List<Open> open, List<Read> read) {}

    /**
     * A line with what it may be.
     *
     * @param other where it is laid aside
     */
    public record Open(String when, String amount, String name, String words, List<Proposal> proposals, String other) {}

    /** @param action where it is said to be that one; empty: the amount is another, and a host looks into it */
    public record Proposal(String order, String words, String action, String payment) {}

    /** @param columns where its columns are named; empty: it is read */
    public record Read(String name, String when, String columns, List<Matched> matched) {}

    public record Matched(String order, String words) {}

    @Needs(Right.SETTLE)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        List<Note> notes = new ArrayList<>(Note.said(said, f.words()).stream().toList());
        if (model.getAttribute("taken") instanceof Note taken) {
            notes.add(taken);
        }
        model.addAttribute(
                "page",
                new StatementsPage(
                        notes,
                        statements.open().stream().map(k -> open(k, f)).toList(),
                        statements.last().stream().map(s -> read(s, f)).toList()));
        return "statements/statements";
    }

    private Open open(StatementStore.Kept kept, Formats f) {
        StatementLine line = kept.line();
        return new Open(
                f.shortDay(line.booked()),
                f.money(line.amount()),
                line.name(),
                line.words(),
                statements.matches(line).stream()
                        .map(m -> proposal(kept.id(), m, f))
                        .toList(),
                "/desk/statements/lines/" + kept.id() + "/other");
    }

    private static Proposal proposal(long line, Matching.Match match, Formats f) {
        Matching.Awaited awaited = match.awaited();
        boolean sum = match.sure() == Matching.Sure.OTHER_AMOUNT;
        return new Proposal(
                "/desk/orders/" + awaited.order(),
                f.text(
                        sum ? "statements.otherAmount" : "statements.likely",
                        awaited.guest(),
                        Long.toString(awaited.order()),
                        f.money(awaited.amount()),
                        awaited.reference()),
                sum ? "" : "/desk/statements/lines/" + line + "/for",
                awaited.payment());
    }

    private Read read(StatementStore.Statement statement, Formats f) {
        return new Read(
                statement.name(),
                f.moment(statement.read()) + " · " + statement.who(),
                statement.content().isEmpty() ? "" : "/desk/statements/" + statement.id() + "/columns",
                statements.matched(statement.id()).stream()
                        .map(k -> matched(k, f))
                        .toList());
    }

    private Matched matched(StatementStore.Kept kept, Formats f) {
        Order order = orders.byId(payments.find(Objects.requireNonNull(kept.payment()))
                .orElseThrow()
                .order());
        return new Matched(
                "/desk/orders/" + order.number(),
                f.text(
                        "statements.matched",
                        f.money(kept.line().amount()),
                        order.contact().name(),
                        Long.toString(order.number())));
    }

    @Needs(Right.SETTLE)
    @PostMapping("/file")
    String take(
            @RequestParam(required = false) @Nullable MultipartFile file,
            Host host,
            Model model,
            RedirectAttributes next)
            throws IOException {
        Formats f = Formats.of(model);
        if (file == null || file.isEmpty()) {
            next.addFlashAttribute("taken", Note.bad(f.text("statements.noFile")));
            return "redirect:/desk/statements";
        }
        try {
            String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
            Statements.Taken taken = statements.take(file.getBytes(), name, host);
            if (taken.columns()) {
                return "redirect:/desk/statements/" + taken.statement() + "/columns";
            }
            next.addFlashAttribute("taken", told(taken, f));
        } catch (UnreadableException e) {
            next.addFlashAttribute("taken", Note.bad(f.text(e.key())));
        }
        return "redirect:/desk/statements";
    }

    private static Note told(Statements.Taken taken, Formats f) {
        return Note.done(f.text("statements.taken", taken.lines(), taken.matched()));
    }

    /**
     * Where the columns of a table are named.
     *
     * @param fields one for each column
     * @param rows the first rows
     */
    public record ColumnsPage(List<Note> notes, String action, List<Field> fields, List<List<String>> rows) {}

    @Needs(Right.SETTLE)
    @GetMapping("/{id}/columns")
    String columns(@PathVariable long id, Model model) {
        BankTable table = statements.table(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        List<Note> notes = model.getAttribute("taken") instanceof Note taken ? List.of(taken) : List.of();
        return columns(id, table, table.guessed(), notes, model);
    }

    private static String columns(
            long id, BankTable table, List<BankTable.Column> chosen, List<Note> notes, Model model) {
        Formats f = Formats.of(model);
        List<Field.Option> options = Arrays.stream(BankTable.Column.values())
                .map(c -> Field.Option.of(c.code(), f.text("statements.column." + c.code())))
                .toList();
        List<Field> fields = new ArrayList<>();
        for (int i = 0; i < table.heads().size(); i++) {
            fields.add(Field.select(COLUMN + i, table.heads().get(i), options)
                    .value(chosen.get(i).code()));
        }
        model.addAttribute(
                "page", new ColumnsPage(notes, "/desk/statements/" + id + "/columns", fields, table.rows(SHOWN_ROWS)));
        return "statements/columns";
    }

    @Needs(Right.SETTLE)
    @PostMapping("/{id}/columns")
    String read(
            @PathVariable long id,
            @RequestParam Map<String, String> form,
            Host host,
            Model model,
            RedirectAttributes next) {
        Formats f = Formats.of(model);
        BankTable table = statements.table(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        List<BankTable.Column> chosen = new ArrayList<>();
        for (int i = 0; i < table.heads().size(); i++) {
            chosen.add(BankTable.Column.of(form.getOrDefault(COLUMN + i, "")));
        }
        try {
            next.addFlashAttribute("taken", told(statements.read(id, chosen, host), f));
            return "redirect:/desk/statements";
        } catch (UnreadableException e) {
            return columns(id, table, chosen, List.of(Note.bad(f.text(e.key()))), model);
        }
    }

    @Needs(Right.SETTLE)
    @PostMapping("/lines/{line}/for")
    String isFor(@PathVariable long line, @RequestParam String payment, Host host) {
        return "redirect:/desk/statements?said=" + (statements.isFor(line, payment, host) ? "received" : "changed");
    }

    @Needs(Right.SETTLE)
    @PostMapping("/lines/{line}/other")
    String isOther(@PathVariable long line) {
        return "redirect:/desk/statements?said=" + (statements.isOther(line) ? "seen" : "changed");
    }
}
