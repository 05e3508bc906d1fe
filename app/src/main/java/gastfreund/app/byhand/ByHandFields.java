package gastfreund.app.byhand;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.pages.Field;
import gastfreund.app.visits.Visits;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The fields of the page on which a host books for a guest. */
@Component
class ByHandFields {

    private static final int MOST_EACH = 12;
    private static final int MOST_DATES = 26;

    private final CatalogueService catalogues;

    ByHandFields(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    ReasonWords words(Formats f) {
        return new ReasonWords(catalogues.catalogue(), f);
    }

    private static boolean isAt(Offer offer, Catalogue catalogue) {
        List<PlaceId> places = catalogue.house().placesOf(offer);
        return places.isEmpty() || places.stream().anyMatch(p -> !Visits.isVisit(p, catalogue));
    }

    /** What can be booked at the desk: not what takes place at the guest's address alone. */
    static List<Offer> offers(Catalogue catalogue) {
        return catalogue.house().offers().stream()
                .filter(o -> !catalogue.house().retired().offers().contains(o.id()))
                .filter(o -> isAt(o, catalogue))
                .toList();
    }

    /** What stands against a time, in words. */
    String said(ByHandPages.State state, Answer.Judged option, Interval time, Formats f) {
        return words(f).all(option.reasons(), state.choice().offer(), time);
    }

    static List<Field> who(ByHandPages.State state, Formats f) {
        List<Field> who = new ArrayList<>();
        ByHandForm form = state.form();
        who.add(line("name", 120, form.name(), f.text("checkout.name"), state));
        who.add(line("email", 254, form.email(), f.text("checkout.email"), state)
                .with("inputmode", "email"));
        who.add(line("phone", 60, form.phone(), f.text("checkout.phone"), state).with("inputmode", "tel"));
        who.add(Field.text("notes", f.text("byhand.notes"), 2000)
                .id("guest-notes")
                .value(form.notes()));
        who.add(Field.select(
                        "source",
                        f.text("byhand.source"),
                        ByHandPages.SOURCES.stream()
                                .map(s -> Field.Option.of(s, f.text("byhand.source." + s)))
                                .toList())
                .value(ByHandForm.said(form.source())));
        return who;
    }

    static List<Field> money(ByHandPages.State state, Host host, Formats f) {
        ByHandForm form = state.form();
        List<Field> money = new ArrayList<>();
        money.add(Field.choice(
                        "way",
                        f.text("byhand.way"),
                        Stream.of(ByHand.Way.values())
                                .filter(w -> w.hand().isEmpty() || host.may(Right.TAKE_MONEY))
                                .map(w -> Field.Option.of(w.code(), f.text("byhand.way." + w.code())))
                                .toList())
                .value(ByHand.Way.of(form.way()).code())
                .wrong(state.wrong().getOrDefault("way", "")));
        money.add(Field.amount("price", f.text("byhand.price"))
                .value(form.price())
                .help(f.text("byhand.priceHelp"))
                .wrong(state.wrong().getOrDefault("price", "")));
        money.add(line("why", 200, form.why(), f.text("byhand.why"), state));
        money.add(Field.tick("tell", f.text("byhand.tell"), form.tells()));
        return money;
    }

    private static Field line(String name, int most, @Nullable String value, String label, ByHandPages.State state) {
        return Field.line(name, label, most)
                .value(value)
                .with("autocomplete", "off")
                .wrong(state.wrong().getOrDefault(name, ""));
    }

    List<Field> what(ByHandPages.State state, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        Choice choice = state.choice();
        Offer offer = choice.offer();
        List<Field> what = new ArrayList<>();
        what.add(Field.select(
                        "offer",
                        f.text("byhand.offer"),
                        offers(catalogue).stream()
                                .map(o -> Field.Option.of(o.id().value(), o.title()))
                                .toList())
                .value(offer.id().value()));
        what.add(Field.select(
                        "length",
                        f.text("byhand.length"),
                        offer.lengths().stream()
                                .map(l -> Field.Option.of(l.id().value(), f.duration(l.minutes())))
                                .toList())
                .value(choice.length().id().value()));
        what.add(Field.select(
                        "units",
                        f.text("byhand.units"),
                        IntStream.rangeClosed(
                                        choice.length().minUnits(),
                                        Math.min(
                                                choice.length().maxUnits(),
                                                choice.length().minUnits() + MOST_EACH))
                                .mapToObj(n -> Field.Option.of(Integer.toString(n), Integer.toString(n)))
                                .toList())
                .value(Integer.toString(choice.units())));
        what.add(Field.line("party", f.text("byhand.party"), 3)
                .with("inputmode", "numeric")
                .value(Integer.toString(choice.party())));
        what.add(Field.select(
                        "staff",
                        f.text("byhand.staff"),
                        Stream.concat(
                                        Stream.of(Field.Option.of("", f.text("byhand.anyone"))),
                                        house.staff().stream()
                                                .filter(s -> offer.servedBy(s.id()))
                                                .map(s -> Field.Option.of(s.id().value(), s.name())))
                                .toList())
                .value(choice.staff() == null ? "" : choice.staff().value()));
        what.add(Field.select(
                        "place",
                        f.text("byhand.place"),
                        house.placesOf(offer).stream()
                                .filter(p -> !Visits.isVisit(p, catalogue))
                                .map(p -> Field.Option.of(
                                        p.value(), house.place(p).name()))
                                .toList())
                .value(choice.place() == null ? "" : choice.place().value()));
        what.add(Field.date("day", f.text("byhand.day")).value(state.day().toString()));
        what.add(Field.select("start", f.text("byhand.start"), starts(state, f))
                .value(
                        state.chosen() == null
                                ? ""
                                : Long.toString(state.chosen().time().start()))
                .wrong(state.wrong().getOrDefault("start", "")));
        if (!offer.hasTimetable()) {
            what.add(Field.select(
                            "times",
                            f.text("byhand.times"),
                            IntStream.rangeClosed(1, MOST_DATES)
                                    .mapToObj(n -> Field.Option.of(Integer.toString(n), f.text("byhand.timesOf", n)))
                                    .toList())
                    .value(Integer.toString(Math.min(MOST_DATES, state.form().dates()))));
            what.add(Field.select(
                            "every",
                            f.text("byhand.every"),
                            IntStream.rangeClosed(1, Series.MOST_WEEKS)
                                    .mapToObj(n -> Field.Option.of(Integer.toString(n), f.text("byhand.everyOf", n)))
                                    .toList())
                    .value(Integer.toString(state.form().weeks())));
        }
        what.add(Field.tick("spite", f.text("byhand.spite"), state.form().inSpite()));
        return what;
    }

    private List<Field.Option> starts(ByHandPages.State state, Formats f) {
        List<Field.Option> starts = new ArrayList<>();
        for (Answer.Entry entry : state.times()) {
            String value = Long.toString(entry.time().start());
            if (entry.isOpen()) {
                Money price = entry.open().stream()
                        .map(o -> o.opening().price())
                        .min(Money::compareTo)
                        .orElseThrow();
                starts.add(Field.Option.of(value, f.times(entry.time()) + " · " + f.shortMoney(price)));
            } else if (state.form().inSpite()) {
                starts.add(Field.Option.of(
                        value,
                        f.times(entry.time()) + " · "
                                + said(state, entry.options().get(0), entry.time(), f)));
            }
        }
        if (starts.isEmpty()) {
            starts.add(Field.Option.of("", f.text("byhand.nothing")));
        }
        return starts;
    }

    static List<Field> addOns(ByHandPages.State state, Formats f) {
        List<Field> addOns = new ArrayList<>();
        for (AddOn addOn : state.choice().offer().addOns()) {
            int now = state.choice().addOns().getOrDefault(addOn.id(), 0);
            addOns.add(Field.select(
                            "add",
                            addOn.title(),
                            IntStream.rangeClosed(0, Math.min(addOn.max(), MOST_EACH))
                                    .mapToObj(n -> Field.Option.of(addOn.id() + ":" + n, n == 0 ? "–" : n + " ×"))
                                    .toList())
                    .id("add-" + addOn.id())
                    .value(addOn.id() + ":" + now));
        }
        return addOns;
    }
}
