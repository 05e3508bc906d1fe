package gastfreund.app.blocked;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.Written;
import gastfreund.core.offers.StaffId;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which times are kept free. */
@Controller
@RequestMapping("/desk/blocked")
class BlockedController {

    private static final int MOST_WORD = 60;

    private final Blocking blocking;
    private final CatalogueService catalogues;
    private final Clock clock;

    BlockedController(Blocking blocking, CatalogueService catalogues, Clock clock) {
        this.blocking = blocking;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** What was typed; each may be missing. */
    record Asked(
            @Nullable String person,
            @Nullable String day,
            @Nullable String from,
            @Nullable String to,
            @Nullable String word,
            @Nullable Boolean weekly,
            @Nullable String until) {

        boolean isWeekly() {
            return weekly != null && weekly;
        }
    }

    /** @param times what is kept free in the next weeks */
    public record BlockedPage(List<Note> notes, List<Field> fields, List<Row> times) {}

    /** @param all where all of it is given free; empty: it is one date */
    public record Row(String who, String when, String word, String weekly, String day, String free, String all) {}

    @Needs(Right.OWN_HOURS)
    @GetMapping
    String page(Asked asked, @RequestParam(required = false) @Nullable String said, Host host, Model model) {
        return show(
                asked,
                false,
                Note.said(said, Formats.of(model).words()).stream().toList(),
                host,
                model);
    }

    private String show(Asked asked, boolean judged, List<Note> notes, Host host, Model model) {
        Formats f = Formats.of(model);
        Catalogue catalogue = catalogues.catalogue();
        model.addAttribute(
                "page",
                new BlockedPage(
                        notes,
                        fields(asked, judged, host, catalogue, f),
                        blocking.ahead().stream()
                                .filter(t -> blocking.may(host, t.staff()))
                                .map(t -> row(t, catalogue, f))
                                .toList()));
        return "blocked/blocked";
    }

    private static Row row(BlockedTime time, Catalogue catalogue, Formats f) {
        LocalDate day = f.zone().dateOf(time.time().start());
        return new Row(
                catalogue.house().staff(time.staff()).name(),
                f.dayAndTimes(time.time()),
                time.word(),
                time.weekly() ? f.text("blocked.everyWeek") : "",
                "/desk?day=" + day,
                "/desk/blocked/" + time.id() + "/free",
                time.weekly() ? "/desk/blocked/" + time.id() + "/free-all" : "");
    }

    private List<Field> fields(Asked asked, boolean judged, Host host, Catalogue catalogue, Formats f) {
        LocalDate today = catalogue.zone().dateOf(clock.instant());
        List<Field.Option> people = catalogue.house().staff().stream()
                .filter(s -> blocking.may(host, s.id()))
                .map(s -> Field.Option.of(s.id().value(), s.name()))
                .toList();
        Field person = Field.select("person", f.text("blocked.person"), people).value(asked.person());
        Field day = Field.date("day", f.text("blocked.day"))
                .value(GivenDate.of(asked.day()).orElse(today).toString())
                .required();
        Field from = time("from", asked.from(), f);
        Field to = time("to", asked.to(), f);
        Field word = Field.line("word", f.text("blocked.word"), MOST_WORD)
                .value(asked.word())
                .help(f.text("blocked.wordHelp"));
        Field weekly = Field.tick("weekly", f.text("blocked.weekly"), asked.isWeekly());
        Field until = Field.date("until", f.text("blocked.until")).value(asked.until());
        if (judged) {
            person = person(asked, host).isEmpty() ? person.wrong(f.text("blocked.noPerson")) : person;
            day = GivenDate.of(asked.day()).isEmpty() ? day.wrong(f.text("blocked.noDay")) : day;
            from = at(asked.from()).isEmpty() ? from.wrong(f.text("blocked.noTime")) : from;
            to = at(asked.to()).isEmpty() ? to.wrong(f.text("blocked.noTime")) : to;
            until = last(asked).isEmpty() ? until.wrong(f.text("blocked.noUntil", Blocking.MOST_WEEKS)) : until;
        }
        return List.of(person, day, from, to, word, weekly, until);
    }

    private static Field time(String name, @Nullable String given, Formats f) {
        return Field.time(name, f.text("blocked." + name)).value(given).required();
    }

    private Optional<StaffId> person(Asked asked, Host host) {
        return catalogues.catalogue().house().staff().stream()
                .map(s -> s.id())
                .filter(s -> s.value().equals(asked.person()) && blocking.may(host, s))
                .findFirst();
    }

    private static Optional<LocalTime> at(@Nullable String text) {
        try {
            return text == null || text.isBlank() ? Optional.empty() : Optional.of(LocalTime.parse(text));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** The last date on which it may begin; empty where that makes no sense. */
    private static Optional<LocalDate> last(Asked asked) {
        Optional<LocalDate> day = GivenDate.of(asked.day());
        return asked.isWeekly()
                ? GivenDate.of(asked.until())
                        .filter(u -> day.isPresent()
                                && !u.isBefore(day.get())
                                && u.isBefore(day.get().plusWeeks(Blocking.MOST_WEEKS)))
                : day;
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping
    String block(Asked asked, Host host, Model model) {
        Optional<StaffId> person = person(asked, host);
        Optional<LocalDate> day = GivenDate.of(asked.day());
        Optional<LocalTime> from = at(asked.from());
        Optional<LocalTime> to = at(asked.to());
        Optional<LocalDate> last = last(asked);
        if (person.isEmpty() || day.isEmpty() || from.isEmpty() || to.isEmpty() || last.isEmpty()) {
            Note wrong = Note.bad(Formats.of(model).text("blocked.wrong"));
            return show(asked, true, List.of(wrong), host, model);
        }
        String word = Written.line(asked.word() == null ? "" : asked.word(), MOST_WORD);
        blocking.block(new Blocking.Wish(person.get(), day.get(), from.get(), to.get(), last.get(), word), host);
        return "redirect:/desk?day=" + day.get() + "&said=blocked";
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/{id}/free")
    String free(@PathVariable long id, Host host) {
        return "redirect:/desk/blocked?said=" + (blocking.free(id, false, host) ? "freed" : "changed");
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/{id}/free-all")
    String freeAll(@PathVariable long id, Host host) {
        return "redirect:/desk/blocked?said=" + (blocking.free(id, true, host) ? "freed" : "changed");
    }
}
