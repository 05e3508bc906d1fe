package gastfreund.app.agenda;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.AsOf;
import gastfreund.app.openings.BookedNow;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.openings.Reaches;
import gastfreund.app.openings.Slot;
import gastfreund.core.bookings.Booked;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * What can be had by time, of all offers that are listed; what takes time is read once for all of them. Of an offer's
 * lengths the first counts that has something on the date, at any of its places.
 */
@Service
public class Agenda {

    private static final Comparator<Interval> BY_TIME =
            Comparator.comparingLong(Interval::start).thenComparingLong(Interval::end);

    /** How many different questions are kept with how much is open on each date. */
    private static final int KEPT = 200;

    /** So many dates are looked at one offer after the other. */
    private static final int FEW_DATES = 7;

    /** What was counted is of no use in another minute. */
    private static final Duration LONGEST = Duration.ofMinutes(1);

    /**
     * An opening of the agenda.
     *
     * @param place null where the offer has none
     */
    record Opening(Slot slot, @Nullable PlaceId place) {

        private static Opening of(Answer.Entry entry, House house) {
            return new Opening(Slot.of(entry, house), entry.open().get(0).place());
        }
    }

    /**
     * An offer with its openings on a date.
     *
     * @param length the first of its lengths that has some; a timetable's sessions have each their own
     * @param openings by time; not empty
     */
    record Lane(Offer offer, Length length, List<Opening> openings) {}

    /**
     * A session of a timetable.
     *
     * @param opening empty: nobody can come any more
     */
    record Session(Offer offer, Answer.Entry entry, Optional<Opening> opening) {}

    /** What was counted. */
    private record Counted(AsOf asOf, Sought sought, LocalDate first, int days) {}

    private final CatalogueService catalogues;
    private final BookedNow booked;
    private final BookingChanges changes;
    private final Cache<Counted, List<Integer>> counts =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterWrite(LONGEST).build();

    Agenda(CatalogueService catalogues, BookedNow booked, BookingChanges changes) {
        this.catalogues = catalogues;
        this.booked = booked;
        this.changes = changes;
    }

    /** The offers that have something on a date, in the house's order. */
    List<Lane> day(Sought sought, LocalDate date, Instant now) {
        return days(sought, date, date, now).get(0);
    }

    /** The same for each of some dates. */
    List<List<Lane>> days(Sought sought, LocalDate first, LocalDate last, Instant now) {
        House house = catalogues.catalogue().house();
        List<List<Lane>> days = new ArrayList<>();
        first.datesUntil(last.plusDays(1)).forEach(date -> days.add(new ArrayList<>()));
        for (Found found : found(sought, first, last, now)) {
            found.open().forEach((date, entries) -> days.get((int) ChronoUnit.DAYS.between(first, date))
                    .add(new Lane(
                            found.offer(),
                            entries.length(),
                            entries.list().stream()
                                    .map(e -> Opening.of(e, house))
                                    .toList())));
        }
        return days;
    }

    /** How many openings each of so many dates has. It is kept until a booking, the house or the minute changes it. */
    List<Integer> counts(Sought sought, LocalDate first, int days, Instant now) {
        Counted asked = new Counted(AsOf.of(catalogues.catalogue().house(), changes, now), sought, first, days);
        List<Integer> kept = counts.getIfPresent(asked);
        if (kept == null) {
            kept = count(sought, first, days, now);
            counts.put(asked, kept);
        }
        return kept;
    }

    private List<Integer> count(Sought sought, LocalDate first, int days, Instant now) {
        Integer[] open = new Integer[days];
        Arrays.fill(open, 0);
        LocalDate last = first.plusDays(days - 1L);
        for (Found found : found(sought, first, last, now)) {
            found.open()
                    .forEach((date, entries) -> open[(int) ChronoUnit.DAYS.between(first, date)] +=
                            entries.list().size());
        }
        return List.of(open);
    }

    /** The sessions of timetables on some dates, by time; those too that are full. */
    List<Session> sessions(Sought sought, LocalDate first, LocalDate last, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        List<Offer> offers =
                offers(catalogue, sought).stream().filter(Offer::hasTimetable).toList();
        List<Query> asked =
                offers.stream().map(o -> timetable(o, sought, first, last, now)).toList();
        Booked taken = taken(house, asked, now);
        List<Session> sessions = new ArrayList<>();
        for (int i = 0; i < offers.size(); i++) {
            Offer offer = offers.get(i);
            for (Answer.Entry entry :
                    Openings.explain(house, taken, asked.get(i)).entries()) {
                if (entry.isOpen() ? fits(entry, sought, house) : Slot.isFull(entry) && isThen(entry, sought, house)) {
                    sessions.add(new Session(
                            offer, entry, entry.isOpen() ? Optional.of(Opening.of(entry, house)) : Optional.empty()));
                }
            }
        }
        sessions.sort(Comparator.comparingLong(s -> s.entry().time().start()));
        return sessions;
    }

    /** Openings of one length. */
    private record Entries(Length length, List<Answer.Entry> list) {}

    /** The openings of an offer on those dates that have some. */
    private record Found(Offer offer, Map<LocalDate, Entries> open) {}

    private List<Found> found(Sought sought, LocalDate first, LocalDate last, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        List<Offer> offers = offers(catalogue, sought);
        Booked taken = taken(
                house,
                offers.stream()
                        .flatMap(o -> lengths(o).stream()
                                .flatMap(l -> queries(house, o, l, sought, first, last, now).stream()))
                        .toList(),
                now);
        // Nothing is read from here on, and many dates of many offers are work for more than one processor.
        Stream<Offer> each = first.plusDays(FEW_DATES).isBefore(last) ? offers.parallelStream() : offers.stream();
        return each.map(offer -> new Found(offer, open(house, taken, offer, sought, first, last, now)))
                .toList();
    }

    private static Map<LocalDate, Entries> open(
            House house, Booked taken, Offer offer, Sought sought, LocalDate first, LocalDate last, Instant now) {
        Map<LocalDate, Entries> open = new TreeMap<>();
        for (Length length : lengths(offer)) {
            Map<LocalDate, Map<Interval, Answer.Entry>> dates = new TreeMap<>();
            for (Dates missing : missing(open, first, last)) {
                for (Query query : queries(house, offer, length, sought, missing.first(), missing.last(), now)) {
                    for (Answer.Entry entry :
                            Openings.openings(house, taken, query).entries()) {
                        if (fits(entry, sought, house)) {
                            dates.computeIfAbsent(
                                            house.zone().dateOf(entry.time().start()), d -> new TreeMap<>(BY_TIME))
                                    .putIfAbsent(entry.time(), entry);
                        }
                    }
                }
            }
            dates.forEach(
                    (date, entries) -> open.putIfAbsent(date, new Entries(length, List.copyOf(entries.values()))));
        }
        return open;
    }

    /** Some dates, both ends among them. */
    private record Dates(LocalDate first, LocalDate last) {}

    /** The dates for which nothing was found, as far as they follow one another together. */
    private static List<Dates> missing(Map<LocalDate, Entries> found, LocalDate first, LocalDate last) {
        List<Dates> missing = new ArrayList<>();
        LocalDate begun = first;
        for (LocalDate date : found.keySet()) {
            if (begun.isBefore(date)) {
                missing.add(new Dates(begun, date.minusDays(1)));
            }
            begun = date.plusDays(1);
        }
        if (!begun.isAfter(last)) {
            missing.add(new Dates(begun, last));
        }
        return missing;
    }

    /** The lengths that are asked for one after the other; all the sessions of a timetable are asked for at once. */
    private static List<Length> lengths(Offer offer) {
        return offer.hasTimetable() ? offer.lengths().subList(0, 1) : offer.lengths();
    }

    /** When a length can be had, place by place. */
    private static List<Query> queries(
            House house, Offer offer, Length length, Sought sought, LocalDate first, LocalDate last, Instant now) {
        if (offer.hasTimetable()) {
            return List.of(timetable(offer, sought, first, last, now));
        }
        Query query = Reaches.query(offer, length, sought.party(), first, last, now)
                .withStaff(sought.person())
                .withPlace(sought.place());
        List<PlaceId> places = sought.place() != null ? List.of() : house.placesOf(offer);
        return places.size() < 2
                ? List.of(query)
                : places.stream().map(query::withPlace).toList();
    }

    /** When a timetable has sessions, of whatever length. */
    private static Query timetable(Offer offer, Sought sought, LocalDate first, LocalDate last, Instant now) {
        return Query.of(offer.id(), first, last, now)
                .withParty(sought.party())
                .withStaff(sought.person())
                .withPlace(sought.place());
    }

    private static List<Offer> offers(Catalogue catalogue, Sought sought) {
        return catalogue.listed().stream()
                .filter(o -> sought.mayBe(catalogue, o))
                .toList();
    }

    private Booked taken(House house, List<Query> asked, Instant now) {
        return booked.touching(Reaches.together(house, asked), now);
    }

    private static boolean isThen(Answer.Entry entry, Sought sought, House house) {
        return sought.part() == null
                || sought.part()
                        == PartOfDay.of(
                                house.zone().localOf(entry.time().start()).toLocalTime());
    }

    private static boolean fits(Answer.Entry entry, Sought sought, House house) {
        return isThen(entry, sought, house)
                && sought.limit(house.currency())
                        .map(limit -> entry.open().stream()
                                        .map(o -> o.opening().price())
                                        .min(Money::compareTo)
                                        .orElseThrow()
                                        .compareTo(limit)
                                <= 0)
                        .orElse(true);
    }
}
