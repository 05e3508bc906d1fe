package gastfreund.app.figures;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.figures.FigureStore.Cancelled;
import gastfreund.app.figures.Report.MoneyOf;
import gastfreund.app.figures.Report.Sold;
import gastfreund.app.figures.Report.TimeOf;
import gastfreund.app.figures.Report.Week;
import gastfreund.app.journal.Actor;
import gastfreund.app.sources.Sightings;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.figures.SoldTime;
import gastfreund.core.figures.Track;
import gastfreund.core.figures.Track.Kind;
import gastfreund.core.figures.Track.Share;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Use;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.housefile.HouseFile;
import gastfreund.housefile.SoldFile;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Tells what weeks were like, from what is booked and paid. Everything is read at one moment. */
@Service
public class Figures {

    private static final long DAY = 24 * 60 * 60L;

    /** How long before their start bookings are told apart, in seconds; each up to (exclusive). */
    static final List<Long> LEADS = List.of(DAY, 3 * DAY, 7 * DAY, 14 * DAY, 30 * DAY);

    private final FigureStore store;
    private final BookedStore booked;
    private final CatalogueService catalogues;
    private final Sightings sightings;
    private final Reading reading;
    private final Clock clock;

    Figures(
            FigureStore store,
            BookedStore booked,
            CatalogueService catalogues,
            Sightings sightings,
            Reading reading,
            Clock clock) {
        this.store = store;
        this.booked = booked;
        this.catalogues = catalogues;
        this.sightings = sightings;
        this.reading = reading;
        this.clock = clock;
    }

    private House house() {
        return catalogues.catalogue().house();
    }

    /** The weeks that are asked of, up to this one. */
    Span span(FigureFilter filter) {
        return Span.upTo(house().zone().dateOf(clock.instant()), filter.weeks());
    }

    private Asked asked(FigureFilter filter, Span span, Instant now) {
        HouseZone zone = house().zone();
        return new Asked(span.from(zone), span.to(zone), now, filter.offer(), filter.person());
    }

    /** What the weeks were like. */
    Report of(FigureFilter filter) {
        return reading.of(() -> {
            Instant now = clock.instant();
            House house = house();
            Span span = span(filter);
            List<Sighted> both = List.of(sighted(filter, span, now), sighted(filter, span.before(), now));
            return new Report(
                    span,
                    both.get(0).money(),
                    both.get(1).money(),
                    time(filter, span, now),
                    sightings.between(span.from(house.zone()), now.plusSeconds(1)),
                    both.get(0).booked(),
                    both.get(1).booked(),
                    store.left(FigureStore.VOUCHER, house.zone().dateOf(now)),
                    store.left(FigureStore.PASS, house.zone().dateOf(now)));
        });
    }

    private record Sighted(MoneyOf money, Report.Booked booked) {}

    private Sighted sighted(FigureFilter filter, Span span, Instant now) {
        return new Sighted(money(filter, span, now), booked(asked(filter, span, now)));
    }

    private MoneyOf money(FigureFilter filter, Span span, Instant now) {
        List<Week> weeks = new ArrayList<>();
        for (LocalDate monday : span.mondays()) {
            Asked week = asked(filter, new Span(monday, 1), now);
            Money wares = week.isOfAll() ? store.wares(week.from(), week.to()) : Money.ZERO;
            weeks.add(new Week(monday, store.byOffer(week), wares));
        }
        return new MoneyOf(List.copyOf(weeks));
    }

    /** What guests cancelled, by the terms that held then, and what the house did. */
    private record Fallen(List<Report.Tier> tiers, List<String> byHouse) {}

    private Fallen fallen(Asked asked) {
        Map<Optional<Terms.Tier>, List<String>> tiers = new LinkedHashMap<>();
        List<String> byHouse = new ArrayList<>();
        for (Cancelled one : store.cancelled(asked)) {
            if (Actor.ofCode(one.who()).isForGuest()) {
                tiers.computeIfAbsent(tier(one), t -> new ArrayList<>()).add(one.id());
            } else {
                byHouse.add(one.id());
            }
        }
        return new Fallen(
                tiers.entrySet().stream()
                        .map(e -> new Report.Tier(e.getKey(), e.getValue()))
                        .sorted(Comparator.comparingInt((Report.Tier t) ->
                                -t.tier().map(Terms.Tier::hoursBefore).orElse(-1)))
                        .toList(),
                byHouse);
    }

    private Report.Booked booked(Asked asked) {
        Fallen fallen = fallen(asked);
        return new Report.Booked(
                store.byLead(asked, LEADS),
                store.byParty(asked),
                store.byLength(asked),
                store.byAddOns(asked),
                store.byStatus(asked),
                fallen.tiers(),
                fallen.byHouse(),
                store.again(asked),
                store.byCode(asked));
    }

    /** The step of its own terms that held when it was cancelled. */
    private static Optional<Terms.Tier> tier(Cancelled one) {
        Terms terms = SoldFile.read(HouseFile.parse(one.sold())).terms();
        return terms.tierAt(one.start(), one.at()).stream()
                .mapToObj(i -> terms.tiers().get(i))
                .findFirst();
    }

    private TimeOf time(FigureFilter filter, Span span, Instant now) {
        List<Track> tracks = tracks(span, now);
        List<Track> before = tracks(span.before(), now);
        House house = house();
        Share[][] week = new Share[Track.DAYS][Track.HOURS];
        for (Share[] day : week) {
            Arrays.fill(day, Share.NONE);
        }
        Share whole = Share.NONE;
        Share wholeBefore = Share.NONE;
        List<Sold> each = new ArrayList<>();
        Set<String> counted = counted(filter, house);
        for (int i = 0; i < tracks.size(); i++) {
            Track track = tracks.get(i);
            Share[][] hours = track.byHour(house.zone());
            Share share = Track.sum(hours);
            Share earlier = before.get(i).share(house.zone());
            if (share.could() > 0 || earlier.could() > 0) {
                each.add(new Sold(track.kind(), track.id(), share, earlier));
            }
            if (counted.contains(key(track.kind(), track.id()))) {
                whole = whole.plus(share);
                wholeBefore = wholeBefore.plus(earlier);
                for (int day = 0; day < Track.DAYS; day++) {
                    for (int hour = 0; hour < Track.HOURS; hour++) {
                        week[day][hour] = week[day][hour].plus(hours[day][hour]);
                    }
                }
            }
        }
        return new TimeOf(week, whole, wholeBefore, List.copyOf(each));
    }

    private static String key(Kind kind, String id) {
        return kind + " " + id;
    }

    /** Whose time makes the whole: the person or the offer that is asked of, or else all people and what needs none of them. */
    private static Set<String> counted(FigureFilter filter, House house) {
        if (!filter.person().isEmpty()) {
            return Set.of(key(Kind.STAFF, filter.person()));
        }
        if (!filter.offer().isEmpty()) {
            return Set.of(key(Kind.OFFER, filter.offer()));
        }
        Set<String> counted = new HashSet<>();
        house.staff().forEach(s -> counted.add(key(Kind.STAFF, s.id().value())));
        for (Offer offer : house.offers()) {
            if (offer.serving().pick() == Serving.Pick.NOBODY && !offer.hasTimetable()) {
                List<Use> uses = offer.uses();
                uses.forEach(u -> counted.add(key(Kind.RESOURCE, u.resource().value())));
                if (uses.isEmpty()) {
                    counted.add(key(Kind.OFFER, offer.id().value()));
                }
            }
        }
        return counted;
    }

    /** When everybody and everything could be sold in some weeks, and was; as far as they are over. */
    private List<Track> tracks(Span span, Instant now) {
        House house = house();
        long start = house.zone().startOf(span.first());
        long end = Math.min(house.zone().startOf(span.end()), Math.floorDiv(now.getEpochSecond(), 60));
        Interval over = Interval.between(start, Math.max(end, start + 1));
        Booked all = booked.touching(over, now);
        return SoldTime.of(house, all, over);
    }

    /** The bookings of which a figure is made; without one, all of them. */
    List<Row> rows(FigureFilter filter, Optional<Slice> slice) {
        return reading.of(() -> {
            Asked asked = asked(filter, span(filter), clock.instant());
            List<Row> rows = store.rows(asked);
            if (slice.isEmpty()) {
                return rows;
            }
            if (slice.get().kind() == Slice.Kind.TIER) {
                Fallen fallen = fallen(asked);
                Set<String> ids = slice.get().value().equals(Slice.BY_HOUSE)
                        ? Set.copyOf(fallen.byHouse())
                        : fallen.tiers().stream()
                                .filter(t ->
                                        Slice.tier(t.tier()).equals(slice.get().value()))
                                .flatMap(t -> t.bookings().stream())
                                .collect(Collectors.toSet());
                return rows.stream().filter(r -> ids.contains(r.id())).toList();
            }
            return rows.stream().filter(slice.get().of(house())).toList();
        });
    }

    /** The vouchers and passes that are out today. */
    List<FigureStore.Outstanding> outstanding() {
        return reading.of(() -> {
            LocalDate today = house().zone().dateOf(clock.instant());
            List<FigureStore.Outstanding> all = new ArrayList<>(store.outstanding(FigureStore.VOUCHER, today));
            all.addAll(store.outstanding(FigureStore.PASS, today));
            return all;
        });
    }
}
