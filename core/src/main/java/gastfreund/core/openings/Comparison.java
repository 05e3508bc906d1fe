package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a change does: a house before and after it, compared for guests ({@code docs/openings.md}, "What a change does").
 *
 * @param offers those of which something is gained or lost: in the order of the house after, then those that only the
 *     house before has
 * @param clashes of sessions with a booking, as far as only the house after has them
 */
public record Comparison(List<Change> offers, List<Clash> clashes) {

    /** How many dates can be compared. */
    public static final int MOST_DAYS = 400;

    /**
     * What becomes of an offer; all numbers count what is on sale.
     *
     * @param startsGained starts at which only the house after has anything of it on sale
     * @param startsLost starts at which only the house before has
     * @param days those on which something is gained or lost, in order
     */
    public record Change(
            OfferId offer,
            int before,
            int after,
            int gained,
            int lost,
            int startsGained,
            int startsLost,
            List<OnDay> days) {}

    /** What is gained and lost on a date. */
    public record OnDay(LocalDate date, int gained, int lost) {}

    /** Something on sale; in a timetable whatever its length. */
    private record OnSale(boolean timetabled, @Nullable LengthId length, @Nullable PlaceId place, long start) {}

    /** What makes two sessions one. */
    private record Same(
            OfferId offer, long start, long end, @Nullable PlaceId place, Set<StaffId> staff, Set<BookingId> bookings) {

        static Same of(Session session) {
            return new Same(
                    session.offer(),
                    session.guests().start(),
                    session.guests().end(),
                    session.place(),
                    session.staff(),
                    session.bookings().stream().map(Booking::id).collect(Collectors.toSet()));
        }
    }

    /**
     * Compares over some dates from that of {@code now} on.
     *
     * @param days how many, 1 to {@link #MOST_DAYS}
     * @throws IllegalArgumentException where there are fewer or more
     */
    public static Comparison of(
            House before, Booked bookedBefore, House after, Booked bookedAfter, Instant now, int days) {
        return of(Before.of(before, bookedBefore, now, days), after, bookedAfter);
    }

    /**
     * The house before a change, with what it has on sale: whoever asks for many changes of the same house, as while somebody
     * types, keeps it. It can be asked from several threads.
     */
    public static final class Before {

        private final House house;
        private final Booked booked;
        private final Instant now;
        private final int days;
        private final Map<OfferId, Set<OnSale>> onSale = new ConcurrentHashMap<>();

        private Before(House house, Booked booked, Instant now, int days) {
            this.house = house;
            this.booked = booked;
            this.now = now;
            this.days = days;
        }

        /**
         * @param days how many dates from that of {@code now} on, 1 to {@link #MOST_DAYS}
         * @throws IllegalArgumentException where there are fewer or more
         */
        public static Before of(House house, Booked booked, Instant now, int days) {
            if (days < 1 || days > MOST_DAYS) {
                throw new IllegalArgumentException("1 to 400 dates can be compared");
            }
            return new Before(house, booked, now, days);
        }

        private Set<OnSale> onSale(OfferId id) {
            return onSale.computeIfAbsent(id, i -> Comparison.onSale(house, booked, i, now, days));
        }
    }

    /** Compares with a house before, over its dates and as of its instant. */
    public static Comparison of(Before before, House after, Booked bookedAfter) {
        List<OfferId> ids =
                new ArrayList<>(after.offers().stream().map(Offer::id).toList());
        before.house.offers().stream()
                .map(Offer::id)
                .filter(id -> !ids.contains(id))
                .forEach(ids::add);
        Difference difference = Difference.of(before.house, after, before.booked.isSameAs(bookedAfter));
        List<OfferId> touched = ids.stream().filter(difference::touches).toList();
        // Somebody waits for this while typing, and no offer's answer needs another's: every processor helps.
        ForkJoinTask<List<Clash>> clashes = ForkJoinPool.commonPool()
                .submit(() -> newClashes(before.house, before.booked, after, bookedAfter, before.now, difference));
        List<Change> changes = touched.parallelStream()
                .map(id -> changeOf(before, after, bookedAfter, id))
                .flatMap(Optional::stream)
                .toList();
        return new Comparison(changes, clashes.join());
    }

    private static Optional<Change> changeOf(Before before, House after, Booked bookedAfter, OfferId id) {
        Set<OnSale> was = before.onSale(id);
        Set<OnSale> is = onSale(after, bookedAfter, id, before.now, before.days);
        return was.equals(is) ? Optional.empty() : Optional.of(change(id, was, before.house.zone(), is, after.zone()));
    }

    private static Set<OnSale> onSale(House house, Booked booked, OfferId id, Instant now, int days) {
        Optional<Offer> found = house.offer(id);
        if (found.isEmpty()) {
            return Set.of();
        }
        Offer offer = found.get();
        LocalDate first = house.zone().dateOf(now);
        Query query = Query.of(id, first, first.plusDays(days - 1L), now)
                .withParty(offer.party().min());
        Set<OnSale> onSale = new HashSet<>();
        if (offer.hasTimetable()) {
            for (Answer.Entry entry : Openings.openings(house, booked, query).entries()) {
                for (Answer.Judged option : entry.options()) {
                    onSale.add(
                            new OnSale(true, null, option.place(), entry.time().start()));
                }
            }
            return onSale;
        }
        List<@Nullable PlaceId> places = new ArrayList<>(offer.places());
        if (places.isEmpty()) {
            places.add(null);
        }
        for (Length length : offer.lengths()) {
            for (PlaceId place : places) {
                Query one = query.withLength(length.id(), length.minUnits()).withPlace(place);
                for (Answer.Entry entry : Openings.openings(house, booked, one).entries()) {
                    onSale.add(
                            new OnSale(false, length.id(), place, entry.time().start()));
                }
            }
        }
        return onSale;
    }

    private static Change change(
            OfferId offer, Set<OnSale> was, HouseZone zoneBefore, Set<OnSale> is, HouseZone zoneAfter) {
        Map<LocalDate, int[]> byDay = new TreeMap<>();
        int gained = 0;
        int lost = 0;
        for (OnSale one : is) {
            if (!was.contains(one)) {
                gained++;
                byDay.computeIfAbsent(zoneAfter.dateOf(one.start()), d -> new int[2])[0]++;
            }
        }
        for (OnSale one : was) {
            if (!is.contains(one)) {
                lost++;
                byDay.computeIfAbsent(zoneBefore.dateOf(one.start()), d -> new int[2])[1]++;
            }
        }
        List<OnDay> days = new ArrayList<>();
        byDay.forEach((date, counts) -> days.add(new OnDay(date, counts[0], counts[1])));
        Set<Long> startsBefore = starts(was);
        Set<Long> startsAfter = starts(is);
        return new Change(
                offer,
                was.size(),
                is.size(),
                gained,
                lost,
                onlyIn(startsAfter, startsBefore),
                onlyIn(startsBefore, startsAfter),
                List.copyOf(days));
    }

    private static Set<Long> starts(Set<OnSale> onSale) {
        return onSale.stream().map(OnSale::start).collect(Collectors.toSet());
    }

    private static int onlyIn(Set<Long> these, Set<Long> others) {
        return (int) these.stream().filter(s -> !others.contains(s)).count();
    }

    private static List<Clash> newClashes(
            House before, Booked bookedBefore, House after, Booked bookedAfter, Instant now, Difference difference) {
        List<Clash> clashes = Clashes.ofBooked(after, bookedAfter, now, difference);
        if (clashes.isEmpty()) {
            return List.of();
        }
        Map<Same, Set<String>> known = new HashMap<>();
        for (Clash clash : Clashes.ofBooked(before, bookedBefore, now, difference)) {
            known.put(
                    Same.of(clash.session()),
                    clash.reasons().stream().map(Reason::code).collect(Collectors.toSet()));
        }
        return clashes.stream()
                .map(clash -> onlyNew(clash, known.getOrDefault(Same.of(clash.session()), Set.of())))
                .filter(clash -> !clash.reasons().isEmpty())
                .toList();
    }

    private static Clash onlyNew(Clash clash, Set<String> known) {
        return new Clash(
                clash.session(),
                clash.reasons().stream().filter(r -> !known.contains(r.code())).toList());
    }
}
