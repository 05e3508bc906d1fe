package gastfreund.app.board;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.Use;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedDeque;
import org.springframework.stereotype.Component;

/** Draws the ruler of days. */
@Component
class Rulers {

    private static final int TICK = 30;
    private static final int FULL = 34;
    private static final int MOST_KEPT = 12;

    private final BoardStore store;
    private final CatalogueService catalogues;
    private final BookingChanges changes;
    private final Clock clock;
    private final Deque<Sums> kept = new ConcurrentLinkedDeque<>();

    Rulers(BoardStore store, CatalogueService catalogues, BookingChanges changes, Clock clock) {
        this.changes = changes;
        this.store = store;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * How much is open and taken on each of some days, as of one version of the bookings.
     *
     * @param house which things and hours count
     * @param until from when on a place that is kept now is not any more, in seconds since the epoch
     */
    private record Sums(
            long version,
            LocalDate first,
            House house,
            long until,
            long[] staffOpen,
            long[] staffTaken,
            long[] unitsOpen,
            long[] unitsTaken,
            boolean[] waiting) {}

    /** Six weeks with the day in the third. */
    Ruler of(LocalDate selected) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate first = catalogue.extras().manners().weekOf(selected).minusWeeks(2);
        Days days = Days.between(catalogue.zone(), first.minusDays(1), first.plusDays(Ruler.DAYS - 1L));
        Sums sums = kept(first, catalogue.house()).orElseGet(() -> counted(first, catalogue, days));
        List<Ruler.Tick> ticks = new ArrayList<>();
        for (int day = 1; day < days.count(); day++) {
            int percent = Math.max(
                    percent(sums.staffTaken()[day], sums.staffOpen()[day]),
                    percent(sums.unitsTaken()[day], sums.unitsOpen()[day]));
            int fill = percent == 0 ? 0 : Math.max(3, percent * FULL / 100);
            LocalDate date = days.date(day);
            ticks.add(new Ruler.Tick(
                    date,
                    (day - 1) * TICK,
                    fill,
                    percent,
                    sums.staffOpen()[day] + sums.unitsOpen()[day] > 0,
                    sums.waiting()[day],
                    date.equals(selected)));
        }
        return new Ruler(List.copyOf(ticks));
    }

    private Optional<Sums> kept(LocalDate first, House house) {
        long version = changes.version();
        long now = clock.instant().getEpochSecond();
        return kept.stream()
                .filter(s ->
                        s.version() == version && s.until() > now && s.first().equals(first) && s.house() == house)
                .findFirst();
    }

    private Sums counted(LocalDate first, Catalogue catalogue, Days days) {
        House house = catalogue.house();
        // Read before what is counted, so that what changes meanwhile is counted anew.
        long version = changes.version();
        List<BoardStore.Taken> bookings = store.taken(days.span(), clock.instant());
        Sums sums = new Sums(
                version,
                first,
                house,
                bookings.stream().mapToLong(BoardStore.Taken::expires).min().orElse(Long.MAX_VALUE),
                new long[days.count()],
                new long[days.count()],
                new long[days.count()],
                new long[days.count()],
                new boolean[days.count()]);
        for (Staff person : house.staff()) {
            add(sums.staffOpen(), days, person.hours().openTime(days), 1);
        }
        IntervalSet houseHours = house.hours().openTime(days);
        for (Resource resource : house.resources()) {
            add(sums.unitsOpen(), days, resource.hours().openTime(days).intersect(houseHours), resource.units());
        }
        Set<Object> sessions = new HashSet<>();
        for (BoardStore.Taken booking : bookings) {
            Offer offer = catalogue.offer(booking.offer());
            Interval taken = booking.time().widened(offer.prep(), offer.reset());
            // Bookings that share a session take its staff once.
            if (!offer.sharing().shared() || sessions.add(List.of(booking.offer(), booking.time(), booking.staff()))) {
                add(sums.staffTaken(), days, taken, booking.staff().size());
            }
            add(sums.unitsTaken(), days, taken, units(offer, house, booking));
            int day = days.dayOf(booking.time().start());
            if (booking.asks() && day >= 0 && day < sums.waiting().length) {
                sums.waiting()[day] = true;
            }
        }
        kept.addFirst(sums);
        if (kept.size() > MOST_KEPT) {
            kept.pollLast();
        }
        return sums;
    }

    private static long units(Offer offer, House house, BoardStore.Taken booking) {
        long units = 0;
        for (Use use : offer.uses()) {
            if (house.resources().stream().anyMatch(r -> r.id().equals(use.resource()))) {
                units += (long) use.units() * (use.per() == Use.Per.PERSON ? booking.party() : 1);
            }
        }
        return units;
    }

    private static int percent(long taken, long open) {
        return open == 0 ? (taken > 0 ? 100 : 0) : (int) Math.min(100, taken * 100 / open);
    }

    private static void add(long[] sums, Days days, Interval part, long weight) {
        int last = Math.min(sums.length - 1, days.dayOf(part.end() - 1));
        for (int day = Math.max(0, days.dayOf(part.start())); day <= last; day++) {
            long from = Math.max(part.start(), days.start(day));
            long to = Math.min(part.end(), days.start(day + 1));
            sums[day] += Math.max(0, to - from) * weight;
        }
    }

    private static void add(long[] sums, Days days, IntervalSet set, long weight) {
        set.intervals().forEach(part -> add(sums, days, part, weight));
    }
}
