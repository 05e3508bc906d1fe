package gastfreund.app.explainer;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.explainer.ExplainerPage.Candidate;
import gastfreund.app.explainer.ExplainerPage.Ribbon;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.openings.Sentence;
import gastfreund.app.pages.Field;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Layer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import gastfreund.core.sessions.Needs;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes the page of the day explainer, from the same answer as every opening. */
@Component
class ExplainerPages {

    private static final int NEAR = 38;

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final BookedStore booked;
    private final Reading reading;
    private final DayRibbons ribbons;
    private final Ways ways;
    private final Clock clock;

    ExplainerPages(
            CatalogueService catalogues,
            OpeningsService openings,
            BookedStore booked,
            Reading reading,
            DayRibbons ribbons,
            Ways ways,
            Clock clock) {
        this.ribbons = ribbons;
        this.ways = ways;
        this.catalogues = catalogues;
        this.openings = openings;
        this.booked = booked;
        this.reading = reading;
        this.clock = clock;
    }

    LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    ExplainerPage page(Asked asked, @Nullable Long wanted, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        Instant now = clock.instant();
        Query query = asked.query(asked.choice(), now);
        Answer answer = openings.explain(house, query);
        Days days =
                Days.between(house.zone(), asked.day().minusDays(1), asked.day().plusDays(1));
        Interval around = Interval.between(
                house.zone().startOf(asked.day().minusDays(1)),
                house.zone().startOf(asked.day().plusDays(2)));
        Booked all = reading.of(() -> booked.touching(around, now));
        Offer offer = asked.choice().offer();
        List<StaffId> serving = serving(asked.choice(), answer);
        List<Layer> layers = Layer.of(house, offer, asked.choice().place(), serving, Needs.of(offer));
        Scale scale = Scale.of(asked, layers, days, answer);
        List<Ribbon> drawn = ribbons.of(asked, layers, serving, days, all, scale, f);
        List<Answer.Entry> entries = answer.entries().stream()
                .filter(e -> e.time().start() >= scale.start() && e.time().start() < scale.end())
                .toList();
        Answer.@Nullable Entry chosen = chosen(entries, wanted);
        int height = DayRibbons.TOP + drawn.size() * DayRibbons.STEP + 92;
        ReasonWords words = new ReasonWords(catalogue, f);
        return new ExplainerPage(
                about(asked, house, f),
                choices(asked, house, f),
                asked.on(asked.day().minusDays(1)).address(null),
                asked.on(asked.day().plusDays(1)).address(null),
                answer.refusal() != null
                        ? f.text("explain.refused")
                        : entries.isEmpty() ? f.text("explain.noStart") : "",
                scale.axis(house),
                height,
                drawn,
                candidates(asked, entries, chosen, scale, f),
                chosen == null
                        ? new ExplainerPage.Chosen(0, 0, "")
                        : new ExplainerPage.Chosen(
                                scale.x(chosen.time().start()),
                                scale.width(chosen.time().start(), chosen.time().end()),
                                f.time(chosen.time().start())),
                chosen == null
                        ? ""
                        : f.text(
                                chosen.isOpen() ? "explain.open" : "explain.why",
                                f.time(chosen.time().start())),
                chosen == null ? List.of() : why(chosen, offer, words, f),
                chosen == null || chosen.isOpen() ? List.of() : ways.of(asked, chosen, entries, words, f));
    }

    /** Who is asked for, or the first who could serve. */
    private static List<StaffId> serving(Choice choice, Answer answer) {
        if (choice.staff() != null) {
            return List.of(choice.staff());
        }
        return answer.entries().stream()
                .flatMap(e -> e.options().stream())
                .map(Answer.Judged::staff)
                .findFirst()
                .orElse(choice.offer().serving().options().get(0));
    }

    private static Answer.@Nullable Entry chosen(List<Answer.Entry> entries, @Nullable Long wanted) {
        if (wanted == null) {
            return entries.stream()
                    .filter(e -> !e.isOpen() && e.options().stream().noneMatch(o -> isOutside(o.reasons())))
                    .findFirst()
                    .orElse(entries.isEmpty() ? null : entries.get(0));
        }
        return entries.stream()
                .min(Comparator.comparingLong(e -> Math.abs(e.time().start() - wanted)))
                .orElse(null);
    }

    private static boolean isOutside(List<Reason> reasons) {
        return reasons.stream().anyMatch(r -> r instanceof Reason.OutsideHours || r instanceof Reason.Closed);
    }

    private static List<Candidate> candidates(
            Asked asked, List<Answer.Entry> entries, Answer.@Nullable Entry chosen, Scale scale, Formats f) {
        List<Candidate> candidates = new ArrayList<>();
        int told = -NEAR;
        for (int i = 0; i < entries.size(); i++) {
            Answer.Entry entry = entries.get(i);
            long start = entry.time().start();
            int x = scale.x(start);
            int before = i == 0 ? x : (scale.x(entries.get(i - 1).time().start()) + x) / 2;
            int after = i + 1 == entries.size()
                    ? x + 8
                    : (scale.x(entries.get(i + 1).time().start()) + x) / 2;
            boolean shown = entry.isOpen() && x - told >= NEAR;
            if (shown) {
                told = x;
            }
            candidates.add(new Candidate(
                    asked.address(start),
                    f.text(entry.isOpen() ? "explain.canBe" : "explain.cannotBe", f.times(entry.time())),
                    before,
                    Math.max(3, after - before),
                    x,
                    entry.isOpen(),
                    entry == chosen,
                    shown ? f.time(start) : ""));
        }
        return candidates;
    }

    /** What stands against a start; where several could serve, for each of them. */
    private List<Sentence> why(Answer.Entry entry, Offer offer, ReasonWords words, Formats f) {
        if (entry.isOpen()) {
            List<Sentence> open = new ArrayList<>();
            for (Answer.Judged option : entry.open()) {
                String who = words.names(option.staff());
                open.add(Sentence.of(f.text(
                        who.isEmpty() ? "explain.openFor" : "explain.openWith",
                        f.shortMoney(option.opening().price()),
                        option.opening().left(),
                        who)));
            }
            return open;
        }
        Set<Sentence> sentences = new LinkedHashSet<>();
        for (Answer.Judged option : entry.options()) {
            option.reasons().forEach(r -> sentences.add(words.of(r, offer, entry.time())));
        }
        return List.copyOf(sentences);
    }

    private String about(Asked asked, House house, Formats f) {
        Choice choice = asked.choice();
        List<String> parts = new ArrayList<>();
        parts.add(choice.offer().title());
        parts.add(f.duration(Minutes.of(choice.length().minutes().count() * choice.units())));
        parts.add(f.text("offer.people", choice.party()));
        if (choice.staff() != null) {
            parts.add(f.text("explain.with", house.staff(choice.staff()).name()));
        }
        if (choice.place() != null) {
            parts.add(house.place(choice.place()).name());
        }
        parts.add(f.day(asked.day()));
        return String.join(" · ", parts);
    }

    private static List<Field> choices(Asked asked, House house, Formats f) {
        Choice choice = asked.choice();
        Offer offer = choice.offer();
        List<Field> fields = new ArrayList<>();
        fields.add(Field.select(
                        "offer",
                        f.text("explain.offer"),
                        house.offers().stream()
                                .filter(o -> !house.retired().offers().contains(o.id()))
                                .map(o -> Field.Option.of(o.id().value(), o.title()))
                                .toList())
                .value(offer.id().value()));
        fields.add(Field.date("day", f.text("explain.day")).value(asked.day().toString()));
        fields.add(Field.select(
                        "length",
                        f.text("explain.lengthField"),
                        offer.lengths().stream()
                                .map(l -> Field.Option.of(l.id().value(), f.duration(l.minutes())))
                                .toList())
                .value(choice.length().id().value()));
        fields.add(Field.line("party", f.text("explain.party"), 3)
                .with("inputmode", "numeric")
                .value(Integer.toString(choice.party())));
        if (!offer.serving().of().isEmpty()) {
            List<Field.Option> staff = new ArrayList<>(List.of(Field.Option.of("", f.text("explain.anyone"))));
            offer.serving().of().stream()
                    .filter(s -> !house.retired().staff().contains(s))
                    .forEach(s ->
                            staff.add(Field.Option.of(s.value(), house.staff(s).name())));
            fields.add(Field.select("staff", f.text("explain.staff"), staff)
                    .value(choice.staff() == null ? "" : choice.staff().value()));
        }
        if (house.placesOf(offer).size() > 1) {
            fields.add(Field.select(
                            "place",
                            f.text("explain.placeField"),
                            house.placesOf(offer).stream()
                                    .map(p -> Field.Option.of(
                                            p.value(), house.place(p).name()))
                                    .toList())
                    .value(choice.place() == null ? "" : choice.place().value()));
        }
        fields.add(Field.select(
                        "as",
                        f.text("explain.as"),
                        List.of(
                                Field.Option.of("guest", f.text("explain.asGuest")),
                                Field.Option.of("desk", f.text("explain.asDesk"))))
                .value(asked.audience() == Audience.DESK ? "desk" : "guest"));
        return fields;
    }
}
