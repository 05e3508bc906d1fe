package gastfreund.app.hours;

import gastfreund.app.calendars.WholeDays;
import gastfreund.app.catalogue.Document;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import gastfreund.core.hours.HoursException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Holidays from an iCalendar file: which of them are days off is asked before. */
@Controller
@RequestMapping("/desk/hours/{kind}/{id}/holidays")
class HolidaysController {

    private static final int MOST_TEXT = 10_000;
    private static final int MOST_NOTE = 120;
    private static final int MONTHS = 24;

    private final HoursPages pages;
    private final Editing editing;
    private final Clock clock;

    HolidaysController(HoursPages pages, Editing editing, Clock clock) {
        this.pages = pages;
        this.editing = editing;
        this.clock = clock;
    }

    /**
     * What the page shows.
     *
     * @param found the days to choose from; of no options before a file was read
     */
    public record HolidaysPage(String title, String address, String back, List<Note> notes, Field file, Field found) {}

    @Needs(Right.OWN_HOURS)
    @GetMapping
    String page(Host host, @PathVariable String kind, @PathVariable String id, Model model) {
        return show(seen(host, kind, id), "", "", List.of(), model);
    }

    private Document seen(Host host, String kind, String id) {
        return pages.seen(host, kind, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static String show(Document seen, String text, String wrong, List<Field.Option> options, Model model) {
        Formats f = Formats.of(model);
        String address = HoursPages.address(seen.ref());
        Field file = Field.text("calendar", f.text("holidays.file"), MOST_TEXT)
                .help(f.text("holidays.fileHelp"))
                .value(text)
                .wrong(wrong);
        Field found = Field.choices("holiday", f.text("holidays.which"), options)
                .given(options.stream().map(Field.Option::value).toList());
        String title = seen.ref().kind().code().equals("house")
                ? f.text("hours.titleHouse")
                : f.text("hours.title", seen.name());
        model.addAttribute("page", new HolidaysPage(title, address + "/holidays", address, List.of(), file, found));
        return "hours/holidays";
    }

    /** Reads a file, and asks which of its days are meant. */
    @Needs(Right.OWN_HOURS)
    @PostMapping
    String read(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String calendar,
            Model model) {
        Formats f = Formats.of(model);
        Document seen = seen(host, kind, id);
        LocalDate today = f.zone().dateOf(clock.instant());
        String text = Written.text(calendar, MOST_TEXT);
        Optional<List<WholeDays.Event>> events = WholeDays.read(text, today, today.plusMonths(MONTHS));
        if (events.isEmpty() || events.get().isEmpty()) {
            return show(
                    seen,
                    text,
                    f.text(events.isEmpty() ? "holidays.noFile" : "holidays.noDays", MONTHS),
                    List.of(),
                    model);
        }
        List<Field.Option> options = events.get().stream()
                .map(e -> new Field.Option(
                        e.from() + "|" + e.to() + "|" + e.summary(),
                        e.from().equals(e.to())
                                ? f.shortDay(e.from())
                                : f.shortDay(e.from()) + " – " + f.shortDay(e.to()),
                        e.summary() + " " + e.from().getYear()))
                .toList();
        return show(seen, "", "", options, model);
    }

    /** Closes on the days that were ticked, with their names as the reason. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/take")
    String take(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") List<String> holiday) {
        Document seen = seen(host, kind, id);
        editing.change(
                host,
                seen.ref(),
                json -> {
                    for (String one : holiday) {
                        String[] parts = one.split("\\|", 3);
                        LocalDate from = parts.length < 3 ? null : HoursPages.date(parts[0]);
                        LocalDate to = parts.length < 3 ? null : HoursPages.date(parts[1]);
                        if (from != null && to != null && !to.isBefore(from)) {
                            Hours.differ(
                                    json, new HoursException(from, to, List.of()), Written.line(parts[2], MOST_NOTE));
                        }
                    }
                },
                Map.of());
        return "redirect:" + HoursPages.address(seen.ref()) + "#days";
    }
}
