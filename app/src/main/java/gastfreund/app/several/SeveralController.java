package gastfreund.app.several;

import gastfreund.app.blocked.Blocking;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.talks.Talks;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which something is done with several bookings at once. */
@Controller
@RequestMapping("/desk/several")
class SeveralController {

    private static final String DOING = "doing-";

    private final Several several;
    private final Blocking blocking;
    private final CatalogueService catalogues;
    private final Clock clock;

    SeveralController(Several several, Blocking blocking, CatalogueService catalogues, Clock clock) {
        this.several = several;
        this.blocking = blocking;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** Which bookings are meant: those that are named, or all of a person's day. */
    private record Meant(List<BookingId> bookings, @Nullable StaffId person, LocalDate day) {}

    private Meant meant(List<String> named, @Nullable String person, @Nullable String day) {
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        LocalDate on = GivenDate.of(day)
                .filter(d -> d.isAfter(today.minusDays(2)) && d.isBefore(today.plusYears(3)))
                .orElse(today);
        Optional<StaffId> known = catalogues.catalogue().house().staff().stream()
                .map(Staff::id)
                .filter(s -> s.value().equals(person))
                .findFirst();
        List<BookingId> bookings = named.isEmpty()
                ? known.map(p -> several.of(p, on)).orElse(List.of())
                : named.stream()
                        .filter(b -> !b.isBlank())
                        .limit(Several.MOST)
                        .map(BookingId::new)
                        .toList();
        return new Meant(bookings, named.isEmpty() ? known.orElse(null) : null, on);
    }

    @Needs(Right.MOVE)
    @GetMapping
    String page(
            @RequestParam(defaultValue = "") List<String> booking,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String day,
            Host host,
            Model model) {
        Meant meant = meant(booking, person, day);
        List<Note> notes = model.getAttribute("done") instanceof Note done ? List.of(done) : List.of();
        return show(meant, Map.of(), false, notes, host, model);
    }

    /** Shows what would be done. */
    @Needs(Right.MOVE)
    @PostMapping("/check")
    String check(
            @RequestParam(defaultValue = "") List<String> booking,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam Map<String, String> form,
            Host host,
            Model model) {
        return show(meant(booking, person, day), form, true, List.of(), host, model);
    }

    @Needs(Right.MOVE)
    @PostMapping
    String carryOut(
            @RequestParam(defaultValue = "") List<String> booking,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam Map<String, String> form,
            Host host,
            RedirectAttributes next,
            Model model) {
        Formats f = Formats.of(model);
        Meant meant = meant(booking, person, day);
        String words = words(form);
        List<String> left = new ArrayList<>();
        for (Several.One one : several.look(meant.bookings(), host)) {
            Doing doing = doing(one, form, host);
            if (!several.carryOut(new Several.Wish(one.line().booking(), doing), words, host)) {
                left.add(one.order().contact().name());
            }
        }
        if (blocks(meant, form, host)) {
            StaffId whose = Objects.requireNonNull(meant.person());
            String word = f.text("several.away");
            blocking.block(
                    new Blocking.Wish(whose, meant.day(), LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, meant.day(), word),
                    host);
        }
        next.addFlashAttribute(
                "done",
                left.isEmpty()
                        ? Note.done(f.text("several.done"))
                        : Note.bad(f.text("several.left", String.join(", ", left))));
        return "redirect:/desk/several?day=" + meant.day()
                + (meant.person() == null ? "" : "&person=" + meant.person());
    }

    private static String words(Map<String, String> form) {
        return Written.text(form.getOrDefault("words", ""), Talks.MOST_WORDS);
    }

    private boolean blocks(Meant meant, Map<String, String> form, Host host) {
        return meant.person() != null
                && form.containsKey("block")
                && host.may(Right.OWN_HOURS)
                && blocking.may(host, meant.person());
    }

    /** What is done with one; nobody cancels who may not give money back. */
    private static Doing doing(Several.One one, Map<String, String> form, Host host) {
        Doing doing = Doing.of(form.get(DOING + one.line().booking()));
        boolean may = doing.kind() != Doing.Kind.CANCEL || host.may(Right.GIVE_MONEY);
        return may ? doing : Doing.STAY;
    }

    private String show(
            Meant meant, Map<String, String> form, boolean checked, List<Note> notes, Host host, Model model) {
        Formats f = Formats.of(model);
        List<Several.One> all = several.look(meant.bookings(), host);
        String name = meant.person() == null
                ? ""
                : catalogues.catalogue().house().staff(meant.person()).name();
        model.addAttribute(
                "page",
                new SeveralPage(
                        notes,
                        name.isEmpty()
                                ? f.text("several.some", all.size())
                                : f.text("several.of", name, f.shortDay(meant.day())),
                        search(meant, f),
                        all.stream().map(one -> row(one, form, host, f)).toList(),
                        words(meant, form, host, f),
                        checked ? told(all, meant, form, host, f) : List.of(),
                        hidden(meant, all)));
        return "several/several";
    }

    private List<Field> search(Meant meant, Formats f) {
        List<Field.Option> people = catalogues.catalogue().house().staff().stream()
                .map(s -> Field.Option.of(s.id().value(), s.name()))
                .toList();
        return List.of(
                Field.select(
                                "person",
                                f.text("several.person"),
                                Stream.concat(Stream.of(Field.Option.of("", f.text("several.choose"))), people.stream())
                                        .toList())
                        .value(meant.person() == null ? "" : meant.person().value()),
                Field.date("day", f.text("several.day")).value(meant.day().toString()));
    }

    private SeveralPage.Row row(Several.One one, Map<String, String> form, Host host, Formats f) {
        OrderLine line = one.line();
        Contact contact = one.order().contact();
        List<Field.Option> options = new ArrayList<>();
        options.add(Field.Option.of(Doing.STAY.code(), f.text("several.stay")));
        one.free()
                .forEach(s ->
                        options.add(Field.Option.of(Doing.handOver(s.id()).code(), f.text("several.to", s.name()))));
        if (host.may(Right.GIVE_MONEY)) {
            options.add(Field.Option.of(Doing.CANCEL.code(), f.text("several.cancel", f.money(line.paid()))));
        }
        return new SeveralPage.Row(
                "/desk/orders/" + one.order().number(),
                f.dayAndTimes(line.time()),
                contact.name(),
                contact.phone().isEmpty() ? contact.email() : contact.phone(),
                line.sold().title() + " · " + f.text("offer.people", line.party()),
                String.join(", ", line.sold().staff().values()),
                f.money(line.paid()),
                Field.select(
                                DOING + line.booking(),
                                f.text("several.what", contact.name(), f.dayAndTimes(line.time())),
                                options)
                        .value(doing(one, form, host).code()));
    }

    private List<Field> words(Meant meant, Map<String, String> form, Host host, Formats f) {
        List<Field> fields = new ArrayList<>();
        fields.add(Field.text("words", f.text("several.words"), Talks.MOST_WORDS)
                .value(form.getOrDefault("words", ""))
                .help(f.text("several.wordsHelp")));
        if (meant.person() != null && host.may(Right.OWN_HOURS) && blocking.may(host, meant.person())) {
            fields.add(Field.tick("block", f.text("several.block"), form.containsKey("block")));
        }
        return fields;
    }

    /** What would be done, in lines. */
    private List<String> told(List<Several.One> all, Meant meant, Map<String, String> form, Host host, Formats f) {
        List<String> lines = new ArrayList<>();
        Map<Doing.Kind, List<Several.One>> by = all.stream()
                .collect(Collectors.groupingBy(o -> doing(o, form, host).kind()));
        for (Several.One one : by.getOrDefault(Doing.Kind.HAND_OVER, List.of())) {
            String to = catalogues
                    .catalogue()
                    .house()
                    .staff(Objects.requireNonNull(doing(one, form, host).to()))
                    .name();
            lines.add(f.text(
                    "several.toldTo",
                    one.order().contact().name(),
                    f.times(one.line().time()),
                    to));
        }
        List<Several.One> cancelled = by.getOrDefault(Doing.Kind.CANCEL, List.of());
        for (Several.One one : cancelled) {
            lines.add(f.text(
                    "several.toldCancel",
                    one.order().contact().name(),
                    f.times(one.line().time()),
                    f.money(one.line().paid())));
        }
        if (!cancelled.isEmpty()) {
            Money back = Money.sum(cancelled.stream().map(o -> o.line().paid()).toList());
            lines.add(f.text("several.toldBack", f.money(back)));
        }
        int stay = by.getOrDefault(Doing.Kind.STAY, List.of()).size();
        if (stay > 0) {
            lines.add(f.text(words(form).isEmpty() ? "several.toldStay" : "several.toldWrite", stay));
        }
        if (stay < all.size()) {
            lines.add(f.text("several.toldLetters", all.size() - stay));
        }
        if (blocks(meant, form, host)) {
            lines.add(f.text("several.toldBlock"));
        }
        return lines.isEmpty() ? List.of(f.text("several.toldNothing")) : lines;
    }

    private static List<Field> hidden(Meant meant, List<Several.One> all) {
        List<Field> hidden = new ArrayList<>();
        if (meant.person() == null) {
            all.forEach(
                    o -> hidden.add(Field.hidden("booking", o.line().booking().value())));
        } else {
            hidden.add(Field.hidden("person", meant.person().value()));
            hidden.add(Field.hidden("day", meant.day().toString()));
        }
        return hidden;
    }
}
