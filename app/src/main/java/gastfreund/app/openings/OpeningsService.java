package gastfreund.app.openings;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Assignment;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Asks the core about openings, with what is booked in reach of the question. */
@Service
public class OpeningsService {

    /** How many dates are looked at together when the next opening is sought. */
    private static final int STRIDE = 35;

    /** How far ahead the next opening is sought. */
    private static final int FARTHEST = 8 * STRIDE;

    private static final int MOST_AGAINST = 3;

    private final CatalogueService catalogues;
    private final BookedNow booked;
    private final BookedStore store;
    private final Reading reading;

    OpeningsService(CatalogueService catalogues, BookedNow booked, BookedStore store, Reading reading) {
        this.booked = booked;
        this.catalogues = catalogues;
        this.store = store;
        this.reading = reading;
    }

    /** What can be booked. */
    public Answer openings(Query query) {
        return openings(house(), query);
    }

    /** What could be booked in a form of the house. */
    public Answer openings(House house, Query query) {
        return Openings.openings(house, booked(house, query), query);
    }

    /** Every candidate in a form of the house, with what stands against it. */
    public Answer explain(House house, Query query) {
        return Openings.explain(house, booked(house, query), query);
    }

    /**
     * What could be booked in a form of the house; on dates without any opening what is planned or within hours, and what
     * stands against it: of what is planned all, else the first of all.
     */
    public Answer openingsOrReasons(House house, Query query) {
        Booked taken = booked(house, query);
        Answer open = Openings.openings(house, taken, query);
        if (open.refusal() != null) {
            return open;
        }
        boolean planned = house.offer(query.offer()).orElseThrow().hasTimetable();
        Set<LocalDate> found = new HashSet<>();
        open.entries().forEach(e -> found.add(house.zone().dateOf(e.time().start())));
        List<Answer.Entry> entries = new ArrayList<>(open.entries());
        LocalDate date = query.from();
        while (!date.isAfter(query.to())) {
            LocalDate first = date;
            while (!date.isAfter(query.to()) && !found.contains(date)) {
                date = date.plusDays(1);
            }
            if (date.isAfter(first)) {
                Query shut = query.between(first, date.minusDays(1));
                entries.addAll(
                        (planned ? Openings.explain(house, taken, shut) : Openings.firstReasons(house, taken, shut))
                                .entries());
            }
            date = date.plusDays(1);
        }
        entries.sort(Comparator.comparingLong(e -> e.time().start()));
        return new Answer(null, entries);
    }

    /** What stands against all that was asked for, as the engine says it, the most frequent first; no more than three. */
    public List<String> against(House house, Query query) {
        Map<String, Integer> counts = new TreeMap<>();
        explain(house, query).entries().stream()
                .flatMap(e -> e.options().stream())
                .flatMap(o -> o.reasons().stream())
                .forEach(r -> counts.merge(r.code(), 1, Integer::sum));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(MOST_AGAINST)
                .map(Map.Entry::getKey)
                .toList();
    }

    /**
     * Who serves whoever names nobody at an opening; asked inside the transaction that takes it.
     *
     * @param entry at least one of its options is open; the others do not count
     */
    public Answer.Judged assigned(House house, Query query, Answer.Entry entry) {
        Interval week = Assignment.week(house, entry.time().start());
        return Assignment.of(
                house,
                reading.of(() -> store.touching(week, query.now())),
                query,
                new Answer.Entry(entry.time(), entry.open()));
    }

    /** The same time again, every so many weeks. */
    public Series.Found series(Series.Wish wish) {
        House house = house();
        Query query = wish.query();
        LocalDate first = house.zone().dateOf(wish.start());
        LocalDate last = wish.last(house.zone());
        Interval before = Openings.reach(house, query.between(first, first));
        Interval after = Openings.reach(house, query.between(last, last));
        Interval whole = Interval.between(
                Math.min(before.start(), Assignment.week(house, wish.start()).start()),
                Math.max(after.end(), house.zone().startOf(last.plusWeeks(1))));
        Booked booked = reading.of(() -> store.touching(whole, query.now()));
        return Series.of(house, booked, wish);
    }

    private House house() {
        return catalogues.catalogue().house();
    }

    private Booked booked(House house, Query query) {
        return booked.touching(Openings.reach(house, query), query.now());
    }

    /** The next opening from the query's first date on, whatever its last; empty where none is within reach. */
    public Optional<Answer.Entry> next(Query query) {
        return next(house(), query);
    }

    /** The same in a form of the house. */
    public Optional<Answer.Entry> next(House house, Query query) {
        LocalDate first = query.from();
        for (int day = 0; day < FARTHEST; day += STRIDE) {
            Answer answer = openings(house, query.between(first.plusDays(day), first.plusDays(day + STRIDE - 1L)));
            if (!answer.entries().isEmpty()) {
                return Optional.of(answer.entries().get(0));
            }
        }
        return Optional.empty();
    }

    /** The openings nearest to a moment that could not be had, earliest first. */
    public List<Answer.Entry> nearest(Query query, long minute, int most) {
        LocalDate date = catalogues.catalogue().zone().dateOf(minute);
        LocalDate today = catalogues.catalogue().zone().dateOf(query.now());
        LocalDate from = date.minusDays(STRIDE / 2).isBefore(today) ? today : date.minusDays(STRIDE / 2);
        LocalDate to = date.plusDays(STRIDE).isBefore(from) ? from : date.plusDays(STRIDE);
        return openings(query.between(from, to)).entries().stream()
                .sorted(Comparator.comparingLong(e -> Math.abs(e.time().start() - minute)))
                .limit(most)
                .sorted(Comparator.comparingLong(e -> e.time().start()))
                .toList();
    }
}
