package gastfreund.app.hours;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Figures;
import gastfreund.app.editing.Keeping;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Written;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** When the house and what belongs to it can be booked. Everything changes a draft, which is kept or dropped. */
@Controller
@RequestMapping("/desk/hours")
class HoursController {

    private static final int MOST_FIGURES = 200;
    private static final int MOST_NOTE = 120;
    private static final int MOST_DAYS = 800;

    private final HoursPages pages;
    private final Editing editing;

    HoursController(HoursPages pages, Editing editing) {
        this.pages = pages;
        this.editing = editing;
    }

    @Needs(Right.OWN_HOURS)
    @GetMapping
    String first(Host host) {
        return "redirect:" + pages.first(host).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @Needs(Right.OWN_HOURS)
    @GetMapping("/{kind}/{id}")
    @Partial("hours")
    String page(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            Model model) {
        Formats f = Formats.of(model);
        Document seen = seen(host, kind, id);
        Differ differ = differ(seen, from, to, f);
        return show(host, seen, differ, Note.said(said, f.words()).stream().toList(), model);
    }

    /** The fields for days that differ, filled with what is so on them. */
    private Differ differ(Document seen, String from, String to, Formats f) {
        LocalDate first = HoursPages.date(from);
        LocalDate last = HoursPages.date(to);
        if (first == null) {
            return Differ.nothing();
        }
        Optional<HoursException> exception = Hours.of(seen.json()).exceptionOn(first);
        return new Differ(
                first.toString(),
                last == null ? "" : last.toString(),
                exception.map(e -> pages.figures(f).of(e.windows())).orElse(""),
                exception.map(e -> Hours.note(seen.json(), e)).orElse(""),
                "",
                "");
    }

    private Document seen(Host host, String kind, String id) {
        return pages.seen(host, kind, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private String show(Host host, Document seen, Differ differ, List<Note> notes, Model model) {
        model.addAttribute("page", pages.page(host, seen, differ, notes, Formats.of(model)));
        return "hours/hours";
    }

    /** Takes in the figures of the week; a script that asks for a part of the page is answered with that. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}")
    String type(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam Map<String, String> form,
            Model model) {
        Document seen = seen(host, kind, id);
        type(host, seen, form, Formats.of(model));
        String part = "hours".equals(form.get("fragment")) ? "?fragment=hours" : "";
        return "redirect:" + HoursPages.address(seen.ref()) + part;
    }

    private void type(Host host, Document seen, Map<String, String> form, Formats f) {
        Figures figures = pages.figures(f);
        Schedule hours = Hours.of(seen.json());
        boolean asHouse = seen.ref().kind() == Kind.OFFERS && !seen.json().has("hours");
        Schedule shown = asHouse ? pages.houseHours(host) : hours;
        Schedule changed = shown;
        Map<String, String> unread = new HashMap<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            String written = form.get(Hours.code(day));
            if (written == null) {
                continue;
            }
            Figures.Read read = figures.read(Written.line(written, MOST_FIGURES));
            unread.put(Hours.code(day), read.isRight() ? "" : Written.line(written, MOST_FIGURES));
            List<Window> windows = read.windows();
            if (windows != null && !windows.equals(shown.windowsOn(day))) {
                changed = changed.withDay(day, windows);
            }
        }
        Schedule now = changed;
        boolean same = now.equals(shown);
        editing.change(
                host,
                seen.ref(),
                json -> {
                    if (!same) {
                        Hours.put(json, now);
                    }
                },
                unread);
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}/keep")
    String keep(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam Map<String, String> form,
            Model model) {
        Document seen = seen(host, kind, id);
        type(host, seen, form, Formats.of(model));
        Keeping keeping = editing.keep(host, pages.together(host, seen.ref()));
        String said =
                keeping instanceof Keeping.Kept kept ? (kept.keeping() == 0 ? "?said=nothing" : "?said=kept") : "";
        return "redirect:" + HoursPages.address(seen.ref()) + said;
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}/drop")
    String drop(Host host, @PathVariable String kind, @PathVariable String id) {
        Document seen = seen(host, kind, id);
        editing.drop(host, pages.together(host, seen.ref()));
        return "redirect:" + HoursPages.address(seen.ref()) + "?said=dropped";
    }

    /** Copies the windows of a day to other days. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}/copy")
    String copy(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "mon") String day,
            @RequestParam(defaultValue = "") List<String> to) {
        Document seen = seen(host, kind, id);
        List<Window> windows = Hours.of(seen.json()).windowsOn(Hours.day(day).orElse(DayOfWeek.MONDAY));
        Map<String, String> read = new HashMap<>();
        to.forEach(t -> read.put(t, ""));
        editing.change(
                host,
                seen.ref(),
                json -> to.stream()
                        .flatMap(t -> Hours.day(t).stream())
                        .forEach(t -> Hours.put(json, Hours.of(json).withDay(t, windows))),
                read);
        return "redirect:" + HoursPages.address(seen.ref());
    }

    /** Gives others the same week; their days that differ stay as they are. */
    @Needs(Right.SET_UP)
    @PostMapping("/{kind}/{id}/others")
    String others(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") List<String> others) {
        Document seen = seen(host, kind, id);
        Schedule week = Hours.of(seen.json());
        for (String other : others) {
            String[] parts = other.split("/", 2);
            pages.seen(host, parts[0], parts.length < 2 ? "" : parts[1])
                    .ifPresent(d -> editing.change(
                            host,
                            d.ref(),
                            json -> {
                                Schedule own = Hours.of(json);
                                Hours.put(
                                        json,
                                        week.weekly()
                                                .map(w -> Schedule.of(w, own.exceptions()))
                                                .orElse(Schedule.allDayBut(own.exceptions())));
                            },
                            Map.of()));
        }
        return "redirect:" + HoursPages.address(seen.ref());
    }

    /** Whether an offer has hours of its own: those of the house to begin with. */
    @Needs(Right.SET_UP)
    @PostMapping("/offers/{id}/own")
    String own(Host host, @PathVariable String id, @RequestParam boolean own) {
        Document seen = seen(host, Kind.OFFERS.code(), id);
        Schedule house = pages.houseHours(host);
        editing.change(
                host,
                seen.ref(),
                json -> {
                    json.remove("hours");
                    if (own) {
                        Hours.put(json, house);
                    }
                },
                Map.of());
        return "redirect:" + HoursPages.address(seen.ref());
    }

    /** Makes days differ. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}/days")
    String differ(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String figures,
            @RequestParam(defaultValue = "") String note,
            Model model) {
        Formats f = Formats.of(model);
        Document seen = seen(host, kind, id);
        LocalDate first = HoursPages.date(from);
        LocalDate last = to.isBlank() ? first : HoursPages.date(to);
        Figures.Read read = pages.figures(f).read(Written.line(figures, MOST_FIGURES));
        List<Window> windows = read.windows();
        String wrong = first == null || last == null
                ? f.text("hours.noDate")
                : last.isBefore(first)
                        ? f.text("hours.backwards")
                        : last.isAfter(first.plusDays(MOST_DAYS)) ? f.text("hours.tooLong") : "";
        if (first == null || last == null || windows == null || !wrong.isEmpty()) {
            Differ differ = new Differ(
                    Written.line(from, 10),
                    Written.line(to, 10),
                    Written.line(figures, MOST_FIGURES),
                    Written.line(note, MOST_NOTE),
                    wrong,
                    read.wrong());
            return show(host, seen, differ, List.of(), model);
        }
        HoursException exception = new HoursException(first, last, windows);
        editing.change(
                host, seen.ref(), json -> Hours.differ(json, exception, Written.line(note, MOST_NOTE)), Map.of());
        return "redirect:" + HoursPages.address(seen.ref()) + "#days";
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/{kind}/{id}/days/usual")
    String asUsual(
            Host host,
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam String from,
            @RequestParam String to) {
        Document seen = seen(host, kind, id);
        LocalDate first = HoursPages.date(from);
        LocalDate last = HoursPages.date(to);
        if (first == null || last == null || last.isBefore(first)) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        editing.change(host, seen.ref(), json -> Hours.asUsual(json, first, last), Map.of());
        return "redirect:" + HoursPages.address(seen.ref()) + "#days";
    }
}
