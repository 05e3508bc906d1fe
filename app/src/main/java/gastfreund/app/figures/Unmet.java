package gastfreund.app.figures;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.lookedfor.Counted;
import gastfreund.app.lookedfor.LookedFor;
import gastfreund.app.openings.Ribbon;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.figures.Play;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What guests looked for and did not find, and what it would have taken: tried by the engine on the days that they wanted, with
 * what is booked on them ({@code docs/figures.md}).
 */
@Service
public class Unmet {

    private static final int MOST_GROUPS = 12;

    /** So many different questions of a group are tried, the most asked first. */
    private static final int MOST_TRIED = 60;

    private static final int MOST_CHANGES = 3;

    private static final int BESIDE = 2;

    private final LookedFor lookedFor;
    private final BookedStore booked;
    private final CatalogueService catalogues;
    private final HouseDocuments documents;
    private final Editing editing;
    private final Reading reading;
    private final Clock clock;

    Unmet(
            LookedFor lookedFor,
            BookedStore booked,
            CatalogueService catalogues,
            HouseDocuments documents,
            Editing editing,
            Reading reading,
            Clock clock) {
        this.lookedFor = lookedFor;
        this.booked = booked;
        this.catalogues = catalogues;
        this.documents = documents;
        this.editing = editing;
        this.reading = reading;
        this.clock = clock;
    }

    /** For when something was wanted. */
    enum When {
        SAME_DAY,
        WEEKDAY,
        SATURDAY,
        SUNDAY,
        ANY;

        static When of(Counted one) {
            LocalDate wanted = one.asked().wanted();
            if (wanted == null) {
                return ANY;
            }
            if (wanted.equals(one.on())) {
                return SAME_DAY;
            }
            return switch (wanted.getDayOfWeek()) {
                case SATURDAY -> SATURDAY;
                case SUNDAY -> SUNDAY;
                default -> WEEKDAY;
            };
        }

        String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** What belongs together: an offer, for so many, at such times. */
    record Group(OfferId offer, int party, When when) {

        String code() {
            return offer.value() + "/" + party + "/" + when.code();
        }
    }

    /** What a change would have given more of what a group asked for than there is as it is. */
    record Given(Change change, Play.Result result) {}

    /**
     * What a group asked for.
     *
     * @param guests how many asked
     * @param why what stood against it most, as the engine says it; empty where nothing was planned at all
     * @param given what single changes would have given, the most first; empty where none would have given anything
     */
    record Asked(Group group, int guests, String why, List<Given> given) {}

    private List<Counted> lately() {
        HouseZone zone = catalogues.catalogue().zone();
        return lookedFor.since(zone.dateOf(clock.instant()).minusDays(LookedFor.DAYS)).stream()
                .filter(c -> onSale(c.asked().offer()).isPresent())
                .toList();
    }

    private Optional<Offer> onSale(OfferId id) {
        return catalogues.plain().house().onSale().stream()
                .filter(o -> o.id().equals(id))
                .findFirst();
    }

    private static Map<Group, List<Counted>> grouped(List<Counted> all) {
        Map<Group, List<Counted>> groups = new LinkedHashMap<>();
        all.forEach(c -> groups.computeIfAbsent(
                        new Group(c.asked().offer(), c.asked().party(), When.of(c)), g -> new ArrayList<>())
                .add(c));
        return groups;
    }

    private static int guests(List<Counted> of) {
        return of.stream().mapToInt(Counted::guests).sum();
    }

    /** The largest groups, with what it would have taken. */
    List<Asked> groups(Formats f) {
        return reading.of(() -> {
            List<Counted> all = lately();
            Booked around = booked(all);
            return grouped(all).entrySet().stream()
                    .sorted(Comparator.comparingInt((Map.Entry<Group, List<Counted>> e) -> -guests(e.getValue()))
                            .thenComparing(e -> e.getKey().code()))
                    .limit(MOST_GROUPS)
                    .map(e -> asked(e.getKey(), e.getValue(), around, f))
                    .toList();
        });
    }

    private Asked asked(Group group, List<Counted> of, Booked around, Formats f) {
        List<Counted> tried = of.stream()
                .sorted(Comparator.comparingInt(c -> -c.guests()))
                .limit(MOST_TRIED)
                .toList();
        House house = catalogues.plain().house();
        Play.Result without = play(house, around, tried, q -> null);
        List<Given> given = new ArrayList<>();
        for (Change change : changes(group, of, house, f)) {
            changed(change)
                    .map(after -> play(after, around, tried, change.instead()).minus(without))
                    .filter(result -> result.had() > 0)
                    .ifPresent(result -> given.add(new Given(change, result)));
        }
        given.sort(Comparator.comparingInt(g -> -g.result().had()));
        return new Asked(
                group, guests(of), why(of), given.stream().limit(MOST_CHANGES).toList());
    }

    private static String why(List<Counted> of) {
        Map<String, Integer> counts = new HashMap<>();
        of.forEach(c -> c.asked().why().stream()
                .limit(1)
                .forEach(code -> counts.merge(code.split(":")[0], c.guests(), Integer::sum)));
        return counts.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    private List<Change> changes(Group group, List<Counted> of, House house, Formats f) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        Map<LengthId, Integer> lengths = new HashMap<>();
        for (Counted one : of) {
            LocalDate wanted = one.asked().wanted();
            if (wanted == null) {
                days.addAll(EnumSet.allOf(DayOfWeek.class));
            } else {
                days.add(wanted.getDayOfWeek());
            }
            lengths.merge(one.asked().length(), one.guests(), Integer::sum);
        }
        LengthId most = lengths.entrySet().stream()
                .max(Map.Entry.<LengthId, Integer>comparingByValue()
                        .thenComparing(e -> e.getKey().value()))
                .map(Map.Entry::getKey)
                .orElseThrow();
        return onSale(group.offer())
                .map(offer -> new Changes(house, f).of(offer, days, most))
                .orElse(List.of());
    }

    private Optional<House> changed(Change change) {
        return change.changed(documents::find)
                .map(documents::tryOut)
                .filter(Tried::isRight)
                .map(Tried::right);
    }

    private Play.Result play(
            House house, Booked around, List<Counted> asked, Function<Query, @Nullable Query> instead) {
        return Play.of(
                house,
                around,
                asked.stream()
                        .map(c -> {
                            Query query = c.asked().query(c.on(), Ribbon.DAYS);
                            return new Play.Wanted(query, instead.apply(query), c.guests());
                        })
                        .toList());
    }

    /** All that takes time where any of it was wanted. */
    private Booked booked(List<Counted> asked) {
        House house = catalogues.plain().house();
        @Nullable Interval reach = null;
        for (Counted one : asked) {
            Interval own = reach(house, one.asked().query(one.on(), Ribbon.DAYS));
            reach = reach == null
                    ? own
                    : Interval.between(Math.min(reach.start(), own.start()), Math.max(reach.end(), own.end()));
        }
        Instant now = clock.instant();
        return reach == null ? Booked.nothing() : booked.touching(reach, now);
    }

    /** What can matter to a question; where it is refused as the house is now, its dates and those beside them. */
    private static Interval reach(House house, Query query) {
        Interval own = Openings.reach(house, query);
        return own.start() < own.end()
                ? own
                : Interval.between(
                        house.zone().startOf(query.from().minusDays(BESIDE)),
                        house.zone().startOf(query.to().plusDays(BESIDE + 1L)));
    }

    /** Makes the drafts of a change for a host, and tells where they are looked at; empty where there is no such change now. */
    @Transactional
    public Optional<String> draft(Host host, String group, String key, Formats f) {
        List<Counted> all = lately();
        return grouped(all).entrySet().stream()
                .filter(e -> e.getKey().code().equals(group))
                .flatMap(e ->
                        changes(e.getKey(), e.getValue(), catalogues.plain().house(), f).stream())
                .filter(c -> c.key().equals(key))
                .findFirst()
                .map(change -> {
                    change.edits().forEach((ref, edit) -> editing.change(host, ref, edit, Map.of()));
                    return Editors.of(change);
                });
    }

    /**
     * What a host's drafts would have sold.
     *
     * @param names of the documents that are changed
     * @param without how many would find something now as it is
     */
    record WhatIf(List<String> names, Play.Result with, Play.Result without) {}

    /** Plays a host's drafts over all that was asked for; empty where there is none, or they do not fit. */
    Optional<WhatIf> whatIf(Host host) {
        return reading.of(() -> {
            List<Document> drafts =
                    editing.drafts(host).stream().map(Draft::document).toList();
            if (drafts.isEmpty()) {
                return Optional.empty();
            }
            Tried tried = documents.tryOut(drafts);
            if (!tried.isRight()) {
                return Optional.empty();
            }
            List<Counted> all = lately();
            Booked around = booked(all);
            return Optional.of(new WhatIf(
                    drafts.stream().map(Document::name).toList(),
                    play(tried.right(), around, all, q -> null),
                    play(catalogues.plain().house(), around, all, q -> null)));
        });
    }
}
