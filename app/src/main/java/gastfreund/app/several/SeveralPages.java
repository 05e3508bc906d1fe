package gastfreund.app.several;

import gastfreund.app.blocked.Blocking;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.talks.Talks;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the page of several bookings shows, and what its form says. */
@Component
class SeveralPages {

    private static final String DOING = "doing-";

    private final Several several;
    private final Blocking blocking;
    private final CatalogueService catalogues;
    private final Clock clock;

    SeveralPages(Several several, Blocking blocking, CatalogueService catalogues, Clock clock) {
        this.several = several;
        this.blocking = blocking;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** @param person whose day it is; null: bookings are named */
    record Meant(List<BookingId> bookings, @Nullable StaffId person, LocalDate day) {}

    Meant meant(SeveralController.Asked asked) {
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        LocalDate on = GivenDate.of(asked.day())
                .filter(d -> d.isAfter(today.minusDays(2)) && d.isBefore(today.plusYears(3)))
                .orElse(today);
        List<String> named = asked.booking() == null ? List.of() : asked.booking();
        Optional<StaffId> known = catalogues.catalogue().house().staff().stream()
                .map(Staff::id)
                .filter(s -> s.value().equals(asked.person()))
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

    static String words(Map<String, String> form) {
        return Written.text(form.getOrDefault("words", ""), Talks.MOST_WORDS);
    }

    private boolean blocks(Meant meant, Map<String, String> form, Host host) {
        return meant.person() != null && form.containsKey("block") && mayBlock(meant.person(), host);
    }

    private boolean mayBlock(StaffId person, Host host) {
        return host.may(Right.OWN_HOURS) && blocking.may(host, person);
    }

    /** Keeps the person's day free where the form says so. */
    void block(Meant meant, Map<String, String> form, Host host, Formats f) {
        if (blocks(meant, form, host)) {
            StaffId whose = Objects.requireNonNull(meant.person());
            String word = f.text("several.away");
            blocking.block(
                    new Blocking.Wish(whose, meant.day(), LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, meant.day(), word),
                    host);
        }
    }

    /** What is done with one, as the form says; nobody cancels who may not give money back. */
    private static Doing said(Several.One one, Map<String, String> form, Host host) {
        String all = form.getOrDefault("all", "");
        Doing doing = Doing.of(all.isEmpty() ? form.get(DOING + one.line().booking()) : all);
        boolean may = doing.kind() != Doing.Kind.CANCEL || host.may(Right.GIVE_MONEY);
        return may ? doing : Doing.STAY;
    }

    private static Optional<Shift> shift(Map<String, String> form) {
        return Shift.of(form.getOrDefault("by", ""), form.getOrDefault("unit", ""));
    }

    /** The same with its time where all are moved by as much. */
    private Doing doing(Several.One one, Map<String, String> form, Host host) {
        Doing doing = said(one, form, host);
        if (doing.kind() != Doing.Kind.SHIFT) {
            return doing;
        }
        List<StaffId> staff = one.line().reserved().staff();
        return shift(form)
                .map(s -> Doing.move(
                        s.of(one.line().time().start(), catalogues.catalogue().zone()),
                        staff.size() == 1 ? staff.get(0) : null))
                .orElse(Doing.STAY);
    }

    List<Several.Wish> wishes(List<Several.One> all, Map<String, String> form, Host host) {
        return all.stream()
                .map(o -> new Several.Wish(o.line().booking(), doing(o, form, host)))
                .toList();
    }

    /** @param checked whether it is said what would be done */
    SeveralPage page(Meant meant, Map<String, String> form, boolean checked, List<Note> notes, Host host, Formats f) {
        List<Several.One> all = several.look(meant.bookings(), host);
        String name = meant.person() == null
                ? ""
                : catalogues.catalogue().house().staff(meant.person()).name();
        return new SeveralPage(
                notes,
                name.isEmpty()
                        ? f.text("several.some", all.size())
                        : f.text("several.of", name, f.shortDay(meant.day())),
                search(meant, f),
                all.stream().map(one -> row(one, form, host, f)).toList(),
                together(form, host, f),
                words(meant, form, host, f),
                checked ? told(all, meant, form, host, f) : List.of(),
                hidden(meant, all));
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
        one.later()
                .forEach(l -> options.add(Field.Option.of(
                        Doing.move(l.start(), l.person()).code(),
                        f.text("several.at", when(l.start(), l.person(), f)))));
        options.add(Field.Option.of(Doing.SHIFT.code(), f.text("several.shift")));
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
                        .value(said(one, form, host).code()));
    }

    /** A start in words, with who serves then where that is said. */
    private String when(long start, @Nullable StaffId person, Formats f) {
        String moment = f.shortDay(f.zone().dateOf(start)) + ", " + f.time(start);
        return person == null
                ? moment
                : f.text(
                        "several.with1",
                        moment,
                        catalogues.catalogue().house().staff(person).name());
    }

    /** By how much they are moved that are moved alike, and whether that is all of them. */
    private static List<Field> together(Map<String, String> form, Host host, Formats f) {
        List<Field.Option> all = new ArrayList<>();
        all.add(Field.Option.of("", f.text("several.all.each")));
        all.add(Field.Option.of(Doing.SHIFT.code(), f.text("several.all.shift")));
        if (host.may(Right.GIVE_MONEY)) {
            all.add(Field.Option.of(Doing.CANCEL.code(), f.text("several.all.cancel")));
        }
        Field by = Field.line("by", f.text("several.by"), 4)
                .value(form.getOrDefault("by", ""))
                .with("inputmode", "numeric");
        boolean shifts = form.values().stream().anyMatch(Doing.SHIFT.code()::equals);
        return List.of(
                Field.select("all", f.text("several.all"), all).value(form.getOrDefault("all", "")),
                shifts && shift(form).isEmpty() ? by.wrong(f.text("several.byWhat")) : by,
                Field.select(
                                "unit",
                                f.text("several.unit"),
                                Arrays.stream(Shift.Unit.values())
                                        .map(u -> Field.Option.of(u.code(), f.text("several.unit." + u.code())))
                                        .toList())
                        .value(form.getOrDefault("unit", Shift.Unit.DAYS.code())));
    }

    private List<Field> words(Meant meant, Map<String, String> form, Host host, Formats f) {
        List<Field> fields = new ArrayList<>();
        fields.add(Field.text("words", f.text("several.words"), Talks.MOST_WORDS)
                .value(form.getOrDefault("words", ""))
                .help(f.text("several.wordsHelp")));
        if (meant.person() != null && mayBlock(meant.person(), host)) {
            fields.add(Field.tick("block", f.text("several.block"), form.containsKey("block")));
        }
        return fields;
    }

    /** What would be done, in lines. */
    private List<String> told(List<Several.One> all, Meant meant, Map<String, String> form, Host host, Formats f) {
        Map<BookingId, Several.Hindered> hindered = several.check(wishes(all, form, host), words(form), host).stream()
                .collect(Collectors.toMap(Several.Hindered::booking, Function.identity()));
        List<String> lines = new ArrayList<>();
        Money back = Money.ZERO;
        int cancelled = 0;
        int stay = 0;
        int others = 0;
        for (Several.One one : all) {
            Doing doing = doing(one, form, host);
            String guest = one.order().contact().name();
            String times = meant.person() == null
                    ? f.dayAndTimes(one.line().time())
                    : f.times(one.line().time());
            Several.Hindered against = hindered.get(one.line().booking());
            if (against != null) {
                lines.add(f.text("several.toldNot", guest, times, against(one, against, f)));
                continue;
            }
            switch (doing.kind()) {
                case STAY, SHIFT -> stay++;
                case HAND_OVER -> lines.add(f.text("several.toldTo", guest, times, name(doing)));
                case MOVE -> lines.add(f.text("several.toldAt", guest, times, when(doing.start(), doing.to(), f)));
                case CANCEL -> {
                    back = back.plus(one.line().paid());
                    cancelled++;
                    lines.add(f.text(
                            "several.toldCancel",
                            guest,
                            times,
                            f.money(one.line().paid())));
                }
            }
            others += doing.kind() == Doing.Kind.STAY ? 0 : 1;
        }
        if (cancelled > 0) {
            lines.add(f.text("several.toldBack", f.money(back)));
        }
        if (stay > 0) {
            lines.add(f.text(words(form).isEmpty() ? "several.toldStay" : "several.toldWrite", stay));
        }
        if (others > 0) {
            lines.add(f.text("several.toldLetters", others));
        }
        if (blocks(meant, form, host)) {
            lines.add(f.text("several.toldBlock"));
        }
        return lines.isEmpty() ? List.of(f.text("several.toldNothing")) : lines;
    }

    private String name(Doing doing) {
        return catalogues
                .catalogue()
                .house()
                .staff(Objects.requireNonNull(doing.to()))
                .name();
    }

    /** What stands against it, in words. */
    private String against(Several.One one, Several.Hindered hindered, Formats f) {
        Offer offer = catalogues.catalogue().offer(one.line().offer());
        return hindered.reasons().isEmpty()
                ? f.text("several.noSuchTime")
                : new ReasonWords(catalogues.catalogue(), f).all(hindered.reasons(), offer, hindered.time());
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
