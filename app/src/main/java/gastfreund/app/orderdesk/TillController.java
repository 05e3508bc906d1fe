package gastfreund.app.orderdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.till.Till;
import gastfreund.app.till.TillEntry;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The money of a day: what came in by each way, what should lie in the drawer, and who got it. */
@Controller
@RequestMapping("/desk/till")
class TillController {

    private static final int MOST_WORDS = 200;

    private final Till till;
    private final CatalogueService catalogues;
    private final Clock clock;

    TillController(Till till, CatalogueService catalogues, Clock clock) {
        this.till = till;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * What was written into a form that could not be done, so that it stands there again.
     *
     * @param problem the key of what is wrong
     */
    public record Wrong(String form, String amount, String words, String problem) {

        static final Wrong NOTHING = new Wrong("", "", "", "");
    }

    @Needs(Right.TAKE_MONEY)
    @GetMapping
    String day(
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String said,
            Model model) {
        Formats f = Formats.of(model);
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        LocalDate shown = GivenDate.of(day)
                .filter(d -> d.isAfter(today.minusYears(20)) && !d.isAfter(today))
                .orElse(today);
        Wrong wrong = model.getAttribute("wrong") instanceof Wrong w ? w : Wrong.NOTHING;
        Optional<Note> counted = model.getAttribute("counted") instanceof String words
                ? Optional.of(Note.warn(words))
                : Optional.empty();
        List<Till.Came> came = till.came(shown);
        model.addAttribute(
                "page",
                new TillPage(
                        Stream.concat(Note.said(said, f.words()).stream(), counted.stream())
                                .toList(),
                        f.day(shown),
                        address(shown.minusDays(1)),
                        shown.isBefore(today) ? address(shown.plusDays(1)) : "",
                        address(today),
                        came.stream().map(c -> way(c, f)).toList(),
                        f.money(Money.sum(came.stream().map(Till.Came::rest).toList())),
                        till.on(shown).stream().map(e -> entry(e, f)).toList(),
                        f.money(till.drawer()),
                        shown.equals(today),
                        doings(wrong, f)));
        return "orderdesk/till";
    }

    private static String address(LocalDate day) {
        return "/desk/till?day=" + day;
    }

    private static TillPage.Way way(Till.Came came, Formats f) {
        return new TillPage.Way(
                f.text("gateway." + came.gateway()),
                f.money(came.in()),
                came.back().isZero() ? "" : f.money(came.back()),
                f.money(came.rest()));
    }

    private static TillPage.Entry entry(TillEntry entry, Formats f) {
        Long order = entry.order();
        return new TillPage.Entry(
                Long.toString(entry.number()),
                f.time(entry.at()),
                f.text("till.kind." + entry.kind().code()) + (entry.words().isEmpty() ? "" : ": " + entry.words()),
                f.text("gateway." + entry.way().code()),
                order == null ? "" : "/desk/orders/" + order,
                order == null ? "" : Long.toString(order),
                entry.who(),
                f.money(entry.amount()));
    }

    private static List<TillPage.Doing> doings(Wrong wrong, Formats f) {
        return List.of(
                doing("count", wrong, true, f), doing("hand-over", wrong, true, f), doing("change", wrong, false, f));
    }

    private static TillPage.Doing doing(String form, Wrong wrong, boolean words, Formats f) {
        boolean bad = wrong.form().equals(form);
        Field amount = Field.amount("amount", f.text("till." + form + ".amount"))
                .id("amount-" + form)
                .required();
        Field given = bad
                ? amount.value(wrong.amount()).wrong(f.text(wrong.problem())).with("autofocus", "autofocus")
                : amount;
        return new TillPage.Doing(
                "/desk/till/" + form,
                f.text("till." + form),
                f.text("till." + form + ".go"),
                f.text("till." + form + ".help"),
                bad,
                words ? List.of(given, said(form, bad ? wrong.words() : "", f)) : List.of(given));
    }

    private static Field said(String form, String words, Formats f) {
        return Field.line("words", f.text("till." + form + ".words"), MOST_WORDS)
                .id("words-" + form)
                .value(words);
    }

    @Needs(Right.TAKE_MONEY)
    @PostMapping("/count")
    String count(
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String words,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Host host) {
        Optional<Money> counted = f.amount(amount);
        if (counted.isEmpty()) {
            return wrong("count", amount, words, "till.noAmount", next);
        }
        Money difference = till.counted(counted.get(), Written.line(words, MOST_WORDS), host);
        if (difference.isZero()) {
            return "redirect:/desk/till?said=counted-right";
        }
        boolean more = difference.isPositive();
        Money size = more ? difference : Money.ZERO.minus(difference);
        next.addFlashAttribute("counted", f.text(more ? "till.more" : "till.less", f.money(size)));
        return "redirect:/desk/till";
    }

    @Needs(Right.TAKE_MONEY)
    @PostMapping("/hand-over")
    String handOver(
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String words,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Host host) {
        Optional<Money> handed = f.amount(amount).filter(Money::isPositive);
        String to = Written.line(words, MOST_WORDS);
        if (handed.isEmpty() || to.isEmpty()) {
            return wrong("hand-over", amount, words, handed.isEmpty() ? "till.noAmount" : "till.noName", next);
        }
        return till.handOver(handed.get(), to, host)
                ? "redirect:/desk/till?said=handed-over"
                : wrong("hand-over", amount, words, "till.tooMuch", next);
    }

    @Needs(Right.TAKE_MONEY)
    @PostMapping("/change")
    String change(
            @RequestParam(defaultValue = "") String amount,
            @ModelAttribute(name = "f", binding = false) Formats f,
            RedirectAttributes next,
            Host host) {
        Optional<Money> put = f.amount(amount).filter(Money::isPositive);
        if (put.isEmpty()) {
            return wrong("change", amount, "", "till.noAmount", next);
        }
        till.putIn(put.get(), host);
        return "redirect:/desk/till?said=put-in";
    }

    private static String wrong(String form, String amount, String words, String problem, RedirectAttributes next) {
        next.addFlashAttribute("wrong", new Wrong(form, amount, words, problem));
        return "redirect:/desk/till";
    }
}
